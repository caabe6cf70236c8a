<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * A colour as it is seen: sRGB 0 … 1. Paints are mixed by the weighted geometric mean of what they reflect in each band, light
 * not being added but taken (S. A. Burns, Subtractive color mixture computation, arXiv:1710.06364); differences are told in CIELAB
 * (CIE 15, ΔE*ab 1976).
 */
final readonly class Pigment
{
    /** Water paint dries about a shade darker: so much of CIELAB’s lightness. A starting value. */
    public const DRYING_SHADE_L = 6.0;

    /** D65, 2°. */
    private const WHITE_POINT_D65 = [0.95047, 1.0, 1.08883];

    private function __construct(public float $r, public float $g, public float $b)
    {
    }

    /** @throws InvalidValue unless it is #rrggbb */
    public static function hex(string $hex): self
    {
        if (preg_match('/^#[0-9a-fA-F]{6}$/', $hex) !== 1) {
            throw new InvalidValue("“{$hex}” is not a colour such as #8a6f4d.", 'hex');
        }
        $part = fn (int $at): float => (int) hexdec(substr($hex, $at, 2)) / 255.0;

        return new self($part(1), $part(3), $part(5));
    }

    /**
     * @param  non-empty-list<array{self, float}>  $parts colour, parts
     *
     * @throws InvalidValue when the parts come to nothing
     */
    public static function mixed(array $parts): self
    {
        $sum = array_sum(array_column($parts, 1));
        if ($sum <= 0.0 || min(array_column($parts, 1)) < 0.0) {
            throw new InvalidValue('The parts come to nothing.', 'parts');
        }
        $band = fn (string $key): float => self::encoded(
            exp(array_sum(array_map(fn (array $p): float => ($p[1] / $sum) * log(max(0.002, self::linear($p[0]->{$key}))), $parts))),
        );

        return new self($band('r'), $band('g'), $band('b'));
    }

    public function toHex(): string
    {
        return sprintf(
            '#%02x%02x%02x',
            ...array_map(fn (float $v): int => (int) round(255.0 * max(0.0, min(1.0, $v))), [$this->r, $this->g, $this->b]),
        );
    }

    /** The same paint, given as it looks wet, once it is dry. */
    public function dry(): self
    {
        [$l, $a, $b] = $this->lab();

        return self::fromLab(max(0.0, $l - self::DRYING_SHADE_L), $a, $b);
    }

    /** Difference as it is seen: below 1 none, to 3 only side by side, over 6 at a glance. */
    public function from(self $other): float
    {
        return sqrt(array_sum(array_map(fn (float $x, float $y): float => ($x - $y) ** 2, $this->lab(), $other->lab())));
    }

    /**
     * What several points of a picture come to, their light added.
     *
     * @param  non-empty-list<array{int, int, int}>  $points 0 … 255
     */
    public static function mean(array $points): self
    {
        $band = fn (int $k): float => self::encoded(
            array_sum(array_map(fn (array $p): float => self::linear($p[$k] / 255.0), $points)) / count($points),
        );

        return new self($band(0), $band(1), $band(2));
    }

    /** As a card that reflects the same share of every band shows it: linear light over that of the card. */
    public function inLight(float $reflectance, self $card): self
    {
        $band = fn (float $seen, float $of): float => self::encoded($reflectance * self::linear($seen) / max(1e-4, self::linear($of)));

        return new self($band($this->r, $card->r), $band($this->g, $card->g), $band($this->b, $card->b));
    }

    /** Difference as it is seen, CIEDE2000: below 1 none, to 3 only side by side, over 6 at a glance. */
    public function apart(self $other): float
    {
        return DeltaE2000::between($this->lab(), $other->lab());
    }

    /** @return array{float, float, float} CIELAB */
    public function lab(): array
    {
        [$r, $g, $b] = [self::linear($this->r), self::linear($this->g), self::linear($this->b)];
        $xyz = [
            0.4124564 * $r + 0.3575761 * $g + 0.1804375 * $b,
            0.2126729 * $r + 0.7151522 * $g + 0.072175 * $b,
            0.0193339 * $r + 0.119192 * $g + 0.9503041 * $b,
        ];
        [$x, $y, $z] = array_map(
            fn (float $v, float $white): float => $v / $white > 216.0 / 24389.0
                ? ($v / $white) ** (1.0 / 3.0)
                : (((24389.0 / 27.0) * $v) / $white + 16.0) / 116.0,
            $xyz,
            self::WHITE_POINT_D65,
        );

        return [116.0 * $y - 16.0, 500.0 * ($x - $y), 200.0 * ($y - $z)];
    }

    private static function fromLab(float $l, float $a, float $b): self
    {
        $y = ($l + 16.0) / 116.0;
        $back = fn (float $f): float => $f ** 3 > 216.0 / 24389.0 ? $f ** 3 : ((116.0 * $f - 16.0) * 27.0) / 24389.0;
        [$x, $y, $z] = [$back($y + $a / 500.0) * self::WHITE_POINT_D65[0], $back($y), $back($y - $b / 200.0) * self::WHITE_POINT_D65[2]];

        return new self(
            self::encoded(3.2404542 * $x - 1.5371385 * $y - 0.4985314 * $z),
            self::encoded(-0.969266 * $x + 1.8760108 * $y + 0.041556 * $z),
            self::encoded(0.0556434 * $x - 0.2040259 * $y + 1.0572252 * $z),
        );
    }

    /** sRGB transfer (IEC 61966-2-1). */
    private static function linear(float $v): float
    {
        return $v <= 0.04045 ? $v / 12.92 : (($v + 0.055) / 1.055) ** 2.4;
    }

    private static function encoded(float $v): float
    {
        $v = max(0.0, min(1.0, $v));

        return $v <= 0.0031308 ? 12.92 * $v : 1.055 * $v ** (1.0 / 2.4) - 0.055;
    }
}
