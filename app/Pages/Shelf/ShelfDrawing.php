<?php

declare(strict_types=1);

namespace App\Pages\Shelf;

use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\Store;

/** The shelf itself: every lot a jar, as full as it is; what is past its time hatched, what was taken up again in a bowl. */
final class ShelfDrawing
{
    private const WIDTH = 720.0;

    private const BOARD = 118.0;

    private const JAR = 44.0;

    private const GAP = 16.0;

    private const HIGHEST = 74.0;

    private const LOWEST = 34.0;

    /** Narrow letters of a label go into a jar's width and gap. */
    private const LETTERS = 11;

    /**
     * @param  list<MaterialLot>  $lots
     * @param  callable(MaterialLot): string  $href
     * @param  list<string>  $over uids of lots past their time
     */
    public static function of(array $lots, Store $store, callable $href, string $picked, array $over): Svg
    {
        $each = (int) floor((self::WIDTH - self::GAP) / (self::JAR + self::GAP));
        $boards = max(1, (int) ceil(count($lots) / $each));
        $svg = new Svg(self::WIDTH, $boards * self::BOARD + 8.0, 'Lots on the shelf, each as full as it is', [
            'class' => 'jars',
            'role' => 'group',
        ]);
        $most = [];
        foreach ($lots as $lot) {
            $most[$lot->unit] = max($most[$lot->unit] ?? 0.0, self::size($lot, $store));
        }
        for ($board = 0; $board < $boards; $board++) {
            $y = ($board + 1) * self::BOARD - 28.0;
            $svg->path('board', Svg::d([[0.0, $y], [self::WIDTH, $y], [self::WIDTH, $y + 5.0], [0.0, $y + 5.0]], true));
        }
        foreach ($lots as $k => $lot) {
            $x = self::GAP + ($k % $each) * (self::JAR + self::GAP);
            $y = (intdiv($k, $each) + 1) * self::BOARD - 28.0;
            $amount = $store->amount($lot->uid);
            $size = self::size($lot, $store);
            $high = self::LOWEST + (self::HIGHEST - self::LOWEST) * sqrt($size / max(1e-9, $most[$lot->unit]));
            $full = $size <= 0.0 ? 0.0 : min(1.0, $amount / $size);
            $words = "{$lot->material}, ".implode(' ', MaterialAmount::shown($amount, $lot->unit)).' left'.
                (in_array($lot->uid, $over, true) ? ', past its time' : '');
            $look = in_array($lot->uid, $over, true) ? ' spent' : ($lot->recovered ? ' again' : '');
            $svg->link($href($lot), $words)
                ->rect('hit', $x - 6.0, $y - self::HIGHEST - 8.0, self::JAR + 12.0, self::HIGHEST + 34.0)
                ->rect("fill{$look}", $x + 1.0, $y - ($high - 8.0) * $full, self::JAR - 2.0, ($high - 8.0) * $full)
                ->path('glass'.($lot->uid === $picked ? ' picked' : ''), self::outline($lot, $x, $y, $high));
            if ($lot->openedAt === null && ! $lot->recovered) {
                $svg->rect('lid', $x + 5.0, $y - $high - 3.0, self::JAR - 10.0, 5.0);
            }
            $svg->endLink();
            foreach (self::label($lot->material) as $line => $text) {
                $svg->text('name', $x + self::JAR / 2.0, $y + 15.0 + 10.5 * $line, $text, 'middle');
            }
        }

        return $svg;
    }

    /** A full pack of it, or what there is where that is more or no pack is known. */
    private static function size(MaterialLot $lot, Store $store): float
    {
        return max($lot->pack ?? 0.0, $store->amount($lot->uid));
    }

    private static function outline(MaterialLot $lot, float $x, float $y, float $high): string
    {
        $right = $x + self::JAR;

        return $lot->recovered
            ? Svg::d([[$x - 3.0, $y - $high + 8.0], [$x + 3.0, $y], [$right - 3.0, $y], [$right + 3.0, $y - $high + 8.0]])
            : Svg::d([
                [$x + 6.0, $y - $high],
                [$x + 6.0, $y - $high + 4.0],
                [$x, $y - $high + 8.0],
                [$x, $y],
                [$right, $y],
                [$right, $y - $high + 8.0],
                [$right - 6.0, $y - $high + 4.0],
                [$right - 6.0, $y - $high],
            ], true);
    }

    /** @return list<string> a name on two lines at most */
    private static function label(string $name): array
    {
        $lines = explode("\n", wordwrap(str_replace(' %', "\u{a0}%", $name), self::LETTERS, "\n"));
        $lines = count($lines) > 2 ? [$lines[0], $lines[1].'…'] : $lines;

        return array_map(
            fn (string $line): string => mb_strlen($line) > self::LETTERS + 2 ? mb_substr($line, 0, self::LETTERS).'…' : $line,
            $lines,
        );
    }
}
