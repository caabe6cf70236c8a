<?php

declare(strict_types=1);

namespace App\Pages\Rounds;

use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Journal\Mishap;
use IdleRidge\Core\Journal\Stall;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\RoundSteps;
use IdleRidge\Core\Track\Run;

/** A run as a straight line by station, with what went wrong on it: passes above each other, those on cleaned rails filled. */
final class StallDrawing
{
    private const WIDTH = 720.0;

    private const LEFT = 10.0;

    private const STACK = 11.0;

    private const MAX_STACK = 5;

    /** Marks nearer than this stand above each other, units of the drawing. */
    private const NEAR = 9.0;

    /**
     * @param  list<Stall>  $stalls of the run
     * @param  list<array{from: float, to: float, passes: int}>  $repeats
     */
    public static function of(Run $run, array $stalls, array $repeats): Svg
    {
        $long = max(1.0, $run->alignment->length);
        $x = fn (float $station): float => self::LEFT + ((self::WIDTH - 2.0 * self::LEFT) * $station) / $long;
        $line = 16.0 + self::STACK * self::MAX_STACK;
        $svg = new Svg(self::WIDTH, $line + 30.0, "What went wrong on {$run->name}", ['class' => 'stall-strip']);
        foreach ($repeats as $one) {
            $svg->rect('again', $x($one['from']) - 8.0, 4.0, $x($one['to']) - $x($one['from']) + 16.0, $line - 4.0);
        }
        $svg->path('rail', 'M'.Svg::n($x(0.0)).' '.Svg::n($line).'H'.Svg::n($x($long)));
        $step = RoundSteps::axis(RoundSteps::printBar() * 3.0);
        for ($station = 0.0; $station <= $long + 0.1; $station += $step) {
            $svg->path('tick', 'M'.Svg::n($x($station)).' '.Svg::n($line).'v5');
            if ($x($station) < self::WIDTH - 40.0) {
                $svg->text('st', $x($station), $line + 18.0, Format::length($station));
            }
        }
        usort($stalls, fn (Stall $a, Stall $b): int => [$a->station, $a->pass] <=> [$b->station, $b->pass]);
        $lastX = -INF;
        $row = 0;
        foreach ($stalls as $one) {
            $at = $x($one->station);
            $row = $at - $lastX < self::NEAR ? min($row + 1, self::MAX_STACK - 1) : 0;
            $lastX = $at;
            self::mark($svg, $one, $at, $line - 8.0 - self::STACK * $row);
        }

        return $svg;
    }

    private static function mark(Svg $svg, Stall $one, float $x, float $y): void
    {
        $class = $one->cleaned ? 'mishap cleaned' : 'mishap';
        [$px, $py] = [Svg::n($x), Svg::n($y)];
        match ($one->what) {
            Mishap::Stalled => $svg->circle($class, $x, $y, 4.0),
            Mishap::Scraped => $svg->path($class, "M{$px} {$py}m-4.4 4 4.4-8.4 4.4 8.4Z"),
            Mishap::CameOff => $svg->path($class, "M{$px} {$py}m-4 -4h8v8h-8Z"),
        };
    }
}
