<?php

declare(strict_types=1);

namespace App\Pages\Layouts;

use IdleRidge\Core\Cuts\LoadedBoard;
use IdleRidge\Core\Cuts\LoadPlan;
use IdleRidge\Core\Cuts\LoadSpace;
use IdleRidge\Core\Interchange\Svg;

/** One load: its shelves from above, the lowest first, and the whole from the side. */
final class LoadDrawing
{
    private const WIDTH = 246.0;

    private const HEIGHT = 220.0;

    private const MARGIN = 6.0;

    /** @param  list<LoadedBoard>  $load */
    public static function shelf(LoadSpace $space, array $load, int $shelf): Svg
    {
        $scale = self::scale($space);
        [$svg, $x0, $y0] = self::sheet($space->length, $space->width, $scale, "Shelf {$shelf} from above");
        foreach ($load as $one) {
            if ($one->shelf === $shelf) {
                $half = LoadPlan::AROUND_MM / 2.0;
                self::board(
                    $svg,
                    $one,
                    [$x0 + ($one->x + $half) * $scale, $y0 + ($one->y + $half) * $scale],
                    [($one->along - 2.0 * $half) * $scale, ($one->across - 2.0 * $half) * $scale],
                );
            }
        }

        return $svg;
    }

    /** @param  list<LoadedBoard>  $load */
    public static function side(LoadSpace $space, array $load): Svg
    {
        $scale = self::scale($space);
        [$svg, $x0, $y0] = self::sheet($space->length, $space->height, $scale, 'The load from the side');
        $floors = [];
        foreach ($load as $one) {
            $floors[$one->shelf] = $one->z;
            $svg->rect(
                'carried',
                $x0 + $one->x * $scale,
                $y0 + ($space->height - $one->z - $one->board->height) * $scale,
                $one->along * $scale,
                $one->board->height * $scale,
            );
        }
        foreach (array_filter($floors) as $z) {
            $y = $y0 + ($space->height - $z + LoadPlan::SHELF_MM / 2.0) * $scale;
            $svg->line('rack', $x0, $y, $x0 + $space->length * $scale, $y);
        }

        return $svg;
    }

    /** One for all views of a load. */
    private static function scale(LoadSpace $space): float
    {
        $room = self::HEIGHT - 2.0 * self::MARGIN;

        return min((self::WIDTH - 2.0 * self::MARGIN) / $space->length, $room / $space->width, $room / $space->height);
    }

    /** @return array{Svg, float, float} the drawing with the space's outline, and where that begins */
    private static function sheet(float $wide, float $high, float $scale, string $label): array
    {
        [$w, $h] = [$wide * $scale + 2.0 * self::MARGIN, $high * $scale + 2.0 * self::MARGIN];
        $svg = new Svg($w, $h, $label, ['class' => 'drawing load-drawing', 'width' => $w, 'height' => $h]);
        $svg->rect('load-space', self::MARGIN, self::MARGIN, $wide * $scale, $high * $scale);

        return [$svg, self::MARGIN, self::MARGIN];
    }

    /**
     * @param  array{float, float}  $at
     * @param  array{float, float}  $size
     */
    private static function board(Svg $svg, LoadedBoard $one, array $at, array $size): void
    {
        $svg->rect('carried', ...[...$at, ...$size]);
        if (mb_strlen($one->board->name) * 6.4 < $size[0] - 8.0 && $size[1] > 18.0) {
            $svg->text('h', $at[0] + 6.0, $at[1] + 15.0, $one->board->name);
        }
    }
}
