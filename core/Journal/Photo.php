<?php

declare(strict_types=1);

namespace IdleRidge\Core\Journal;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * A picture: what is on it by the hash of its bytes, when and of which board it was taken, from where and which way. A touched patch of
 * it and the white card that it is balanced by lie at shares of its width and height.
 */
final readonly class Photo
{
    public const MAX_CAPTION = 200;

    /** Sides of the larger edge that are kept, px. */
    public const SIZES = ['small' => 320, 'middle' => 1024, 'large' => 2048];

    public string $caption;

    /**
     * @param  string  $hash SHA-256 of the largest size
     * @param  int  $width px of that; $height too
     * @param  string|null  $entry uid of the entry that it belongs to
     * @param  array{x: float, y: float, heading: float}|null  $place section mm, and degrees counter-clockwise from x to where one looked
     * @param  array{x: float, y: float, hex: string}|null  $patch
     * @param  array{x: float, y: float, hex: string}|null  $white
     * @param  array<string, mixed>  $extra
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $uid,
        public int $at,
        public string $section,
        public string $hash,
        public int $width,
        public int $height,
        string $caption = '',
        public ?string $entry = null,
        public ?string $zone = null,
        public ?array $place = null,
        public ?PhotoPin $pin = null,
        public ?array $patch = null,
        public ?array $white = null,
        public array $extra = [],
    ) {
        if (preg_match('/^[0-9a-f]{64}$/', $hash) !== 1) {
            throw new InvalidValue('A picture is named by 64 hexadecimal digits.', 'hash');
        }
        InvalidValue::unlessBetween($width, 1, self::SIZES['large'], 'The width', 'px', 'width_px');
        InvalidValue::unlessBetween($height, 1, self::SIZES['large'], 'The height', 'px', 'height_px');
        if (mb_strlen(trim($caption)) > self::MAX_CAPTION) {
            throw new InvalidValue('At most '.self::MAX_CAPTION.' characters.', 'caption');
        }
        if ($place !== null) {
            InvalidValue::unlessBetween($place['x'], -5000.0, 20_000.0, 'Where it was taken', 'mm', 'place/x_mm');
            InvalidValue::unlessBetween($place['y'], -5000.0, 20_000.0, 'Where it was taken', 'mm', 'place/y_mm');
            InvalidValue::unlessBetween($place['heading'], -360.0, 360.0, 'Which way one looked', '°', 'place/heading_deg');
        }
        foreach (['patch' => $patch, 'white' => $white] as $key => $spot) {
            if ($spot !== null) {
                InvalidValue::unlessBetween($spot['x'], 0.0, 1.0, 'The touched spot', '', "{$key}/x");
                InvalidValue::unlessBetween($spot['y'], 0.0, 1.0, 'The touched spot', '', "{$key}/y");
                if (preg_match('/^#[0-9a-f]{6}$/', $spot['hex']) !== 1) {
                    throw new InvalidValue('A colour is written such as #8a6f4d.', "{$key}/hex");
                }
            }
        }
        if ($white !== null) {
            WhiteCard::hex($white['hex']);
        }

        $this->caption = trim($caption);
    }

    /**
     * Its width and height in one of the sizes.
     *
     * @return array{int, int} px
     *
     * @throws InvalidValue when there is no such size
     */
    public function shape(string $size): array
    {
        $edge = self::SIZES[$size] ?? throw new InvalidValue("There is no size “{$size}”.", 'size');
        $share = min(1.0, $edge / max($this->width, $this->height));

        return [(int) round($this->width * $share), (int) round($this->height * $share)];
    }

    /** The same with some of its values changed, by the names of the constructor. */
    public function but(mixed ...$changed): self
    {
        return new self(...$changed + get_object_vars($this));
    }
}
