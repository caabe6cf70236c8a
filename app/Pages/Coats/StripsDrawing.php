<?php

declare(strict_types=1);

namespace App\Pages\Coats;

use App\Pages\Drawing\Labels;
use App\Pages\Drawing\PlanFrame;
use IdleRidge\Core\Coats\ZoneArea;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Project\Section;

/** Where the strips of a coat's next application lie on the board, numbered in the order in which they are laid. */
final class StripsDrawing
{
    private const WIDTH = 250.0;

    private const HEIGHT = 130.0;

    /**
     * @param  list<list<array{float, float}>>  $rings of the zone, section coordinates
     * @param  list<Move>  $moves
     */
    public static function of(Section $section, array $rings, array $moves): Svg
    {
        $frame = new PlanFrame($section->width, $section->depth, self::WIDTH - 4.0, self::HEIGHT - 4.0, 2.0, 2.0);
        $height = $frame->height + 4.0;
        $svg = new Svg(self::WIDTH, $height, 'Where its strips lie', ['class' => 'drawing strips']);
        $svg->rect('brd', $frame->left, $frame->top, $frame->width, $frame->height);
        $d = fn (array $all): string => implode('', array_map(fn (array $ring): string => $frame->d($ring, true), $all));
        $svg->path('strip-zone', $d($rings), ['fill-rule' => 'evenodd']);
        $labels = new Labels(self::WIDTH, $height, 1.0, 0.0);
        foreach ($moves as $move) {
            $patch = $move->patch($rings);
            $svg->path($move->strip % 2 === 0 ? 'strip even' : 'strip', $d($patch), ['fill-rule' => 'evenodd']);
        }
        foreach ($moves as $move) {
            [$x, $y] = ZoneArea::roomiest($move->patch($rings));
            $word = (string) $move->strip;
            $place = $labels->place($word, 7.0, 13.0, [
                [$frame->x($x) - 3.5, $frame->y($y) + 4.5],
                [$frame->x($x) - 3.5, $frame->y($y) - 9.0],
                [$frame->x($x) + 12.0, $frame->y($y) + 4.5],
            ]);
            if ($place !== null) {
                $svg->text('h strip-number', $place[0], $place[1], $word);
            }
        }

        return $svg;
    }
}
