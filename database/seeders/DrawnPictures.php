<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\Journal\PictureIntake;
use GdImage;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use RuntimeException;

/** Pictures for the demo, drawn line by line: land with a track, the way it may look on a bench, in daylight or under a lamp. */
final class DrawnPictures
{
    private const WIDE = 960;

    private const HIGH = 720;

    private const LIGHT = ['day' => [1.0, 1.0, 1.0], 'lamp' => [1.0, 0.84, 0.62]];

    /** Where a card lies in it and a patch of ground, as shares; the middles of both. */
    public const CARD = [0.07, 0.92];

    public const PATCH = [0.62, 0.9];

    /** Ground → its colour in even light. */
    private const GROUND = ['bare' => [196, 188, 170], 'earth' => [92, 74, 54], 'soil' => [110, 88, 62], 'grass' => [124, 134, 72]];

    /** @var array<string, array{hash: string, width: int, height: int, sizes: array<string, string>}> */
    private static array $drawn = [];

    public function __construct(private readonly PictureIntake $intake)
    {
    }

    /**
     * @param  string  $ground bare, earth, soil or grass
     * @param  string  $light day or lamp
     * @return array{hash: string, width: int, height: int, sizes: array<string, string>}
     */
    public function of(string $ground, string $light, int $seed): array
    {
        return self::$drawn["{$ground} {$light} {$seed}"] ??= $this->drawn($ground, $light, $seed);
    }

    /** @return array<string, array<string, string>> hash → size → JPEG, of all that were drawn */
    public static function all(): array
    {
        return array_column(array_map(fn (array $one): array => [$one['hash'], $one['sizes']], self::$drawn), 1, 0);
    }

    /** A colour of the picture as the light makes it. */
    public static function hex(string $ground, string $light): string
    {
        return vsprintf('#%02x%02x%02x', self::lit(self::GROUND[$ground], $light));
    }

    public static function cardHex(string $light): string
    {
        return vsprintf('#%02x%02x%02x', self::lit([232, 232, 230], $light));
    }

    /** @return array{hash: string, width: int, height: int, sizes: array<string, string>} */
    private function drawn(string $ground, string $light, int $seed): array
    {
        $image = imagecreatetruecolor(self::WIDE, self::HIGH) ?: throw new RuntimeException('no picture can be drawn here');
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $this->sky($image, $light);
        foreach ([[300, 70, [150, 160, 158]], [360, 55, [128, 136, 112]]] as [$level, $high, $colour]) {
            $this->hills($image, $level, $high, $colour, $light, $random);
        }
        imagefilledrectangle($image, 0, 410, self::WIDE, self::HIGH, self::colour($image, self::GROUND[$ground], $light));
        $this->texture($image, $ground, $light, $random);
        $this->track($image, $light);
        $card = self::colour($image, [232, 232, 230], $light);
        imagefilledrectangle($image, 20, 630, 116, 700, $card);
        $file = tempnam(sys_get_temp_dir(), 'ridge') ?: throw new RuntimeException('no room for a picture');
        try {
            imagejpeg($image, $file, 90);

            return $this->intake->take($file);
        } finally {
            unlink($file);
        }
    }

    private function sky(GdImage $image, string $light): void
    {
        for ($y = 0; $y < 420; $y++) {
            $t = $y / 420.0;
            $at = [(int) (196 + 36 * $t), (int) (208 + 24 * $t), (int) (214 + 14 * $t)];
            imageline($image, 0, $y, self::WIDE, $y, self::colour($image, $at, $light));
        }
    }

    /** @param  array{int, int, int}  $colour */
    private function hills(GdImage $image, int $level, int $high, array $colour, string $light, Randomizer $random): void
    {
        [$a, $b] = [$random->getInt(0, 600) / 100.0, $random->getInt(0, 600) / 100.0];
        $points = [];
        for ($x = 0; $x <= self::WIDE; $x += 8) {
            array_push($points, $x, (int) ($level - $high * (0.6 * sin($x / 150.0 + $a) + 0.4 * sin($x / 61.0 + $b))));
        }
        array_push($points, self::WIDE, self::HIGH, 0, self::HIGH);
        imagefilledpolygon($image, $points, self::colour($image, $colour, $light));
    }

    private function texture(GdImage $image, string $ground, string $light, Randomizer $random): void
    {
        [$r, $g, $b] = self::GROUND[$ground];
        for ($k = 0; $k < 2600; $k++) {
            [$x, $y] = [$random->getInt(0, self::WIDE), $random->getInt(414, self::HIGH)];
            $by = $random->getInt(-14, 14);
            $colour = self::colour($image, [max(0, $r + $by), max(0, $g + $by), max(0, $b + $by)], $light);
            $long = $ground === 'grass' ? $random->getInt(4, 12) : 2;
            imageline($image, $x, $y, $x + $random->getInt(-2, 2), $y - $long, $colour);
        }
    }

    private function track(GdImage $image, string $light): void
    {
        $bed = self::colour($image, [150, 146, 138], $light);
        imagefilledpolygon($image, [0, 560, self::WIDE, 470, self::WIDE, 505, 0, 610], $bed);
        $tie = self::colour($image, [92, 74, 60], $light);
        for ($x = 10; $x < self::WIDE; $x += 26) {
            $y = 577 - (int) (($x * 91) / self::WIDE);
            imagefilledrectangle($image, $x, $y - 2, $x + 9, $y + 24, $tie);
        }
        $rail = self::colour($image, [118, 84, 62], $light);
        imagesetthickness($image, 3);
        imageline($image, 0, 578, self::WIDE, 482, $rail);
        imageline($image, 0, 596, self::WIDE, 497, $rail);
        imagesetthickness($image, 1);
    }

    /** @param  array{int, int, int}  $rgb */
    private static function colour(GdImage $image, array $rgb, string $light): int
    {
        return (int) imagecolorallocate($image, ...self::lit($rgb, $light));
    }

    /**
     * @param  array{int, int, int}  $rgb
     * @return array{int<0, 255>, int<0, 255>, int<0, 255>}
     */
    private static function lit(array $rgb, string $light): array
    {
        $band = fn (int $k): float => (($rgb[$k] / 255.0) ** 2.2 * self::LIGHT[$light][$k]) ** (1.0 / 2.2);
        $byte = fn (int $k): int => max(0, min(255, (int) round(255.0 * $band($k))));

        return [$byte(0), $byte(1), $byte(2)];
    }
}
