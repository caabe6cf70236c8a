<?php

declare(strict_types=1);

namespace App\Pages\Cuts;

use IdleRidge\Core\Cuts\EdgeBoard;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;

/** The boards along a section's edges, one under the other, all to one scale. */
final class EdgesDrawing
{
    private const WIDTH = 734.0;

    private const LEFT = 62.0;

    private const RIGHT = 20.0;

    private const BETWEEN = 34.0;

    /** Boards shorter than this have their words beside them. */
    private const WORDS = 370.0;

    /** @param  list<EdgeBoard>  $boards */
    public static function of(array $boards): Svg
    {
        $longest = max([1.0, ...array_map(fn (EdgeBoard $b): float => $b->length, $boards)]);
        $scale = (self::WIDTH - self::LEFT - self::RIGHT) / $longest;
        $tall = fn (EdgeBoard $b): float => ($b->high - $b->ring[0][1]) * $scale;
        $height = array_sum(array_map(fn (EdgeBoard $b): float => $tall($b) + self::BETWEEN, $boards)) + 12.0;
        $svg = new Svg(self::WIDTH, $height, 'Boards along the edges', ['class' => 'drawing edges']);
        $svg->hatch('hatch-edge', 'hatch-body', 6.0, 45.0);
        $y = 12.0;
        foreach ($boards as $board) {
            $zero = $y + $board->high * $scale;
            $d = Svg::d(array_map(fn (array $p): array => [self::LEFT + $p[0] * $scale, $zero - $p[1] * $scale], $board->ring), true);
            $svg->path('foam even', $d)
                ->path('body-hatch', $d, ['fill' => 'url(#hatch-edge)'])
                ->line('boardtop', self::LEFT, $zero, self::LEFT + $board->length * $scale, $zero)
                ->text('h', self::LEFT - 10.0, $zero + 4.0, $board->edge->value, 'end');
            $foot = $zero - $board->ring[0][1] * $scale + 13.0;
            foreach ([[0.0, 'start'], [$board->length, 'end']] as [$at, $anchor]) {
                $svg->text('m tick', self::LEFT + $at * $scale, $foot, Format::cell(self::heightAt($board, $at), 1), $anchor);
            }
            $words =
                Format::cell($board->length).
                ' long, '.
                Format::cell($board->low, 1).
                ' to '.
                Format::cell($board->high, 1).
                ' over the board';
            $beside = $board->length * $scale < self::WORDS;
            $svg->text(
                'm tick',
                self::LEFT + $board->length * $scale * ($beside ? 1.0 : 0.5) + ($beside ? 14.0 : 0.0),
                $beside ? $zero + 4.0 : $foot,
                $words,
                $beside ? 'start' : 'middle',
            );
            $y += $tall($board) + self::BETWEEN;
        }

        return $svg;
    }

    private static function heightAt(EdgeBoard $board, float $at): float
    {
        $over = array_values(array_filter($board->ring, fn (array $p): bool => abs($p[0] - $at) < 1e-6 && $p[1] !== $board->ring[0][1]));

        return $over[0][1] ?? $board->low;
    }
}
