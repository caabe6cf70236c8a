<?php

declare(strict_types=1);

namespace App\Pages\Cuts;

use App\Pages\Drawing\Labels;
use IdleRidge\Core\Cuts\Riser;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\RoundSteps;
use IdleRidge\Core\Track\Run;

/** Risers under a run, to scale along its stations; heights are stretched, and it is said by how much. */
final class RisersDrawing
{
    private const WIDTH = 734.0;

    private const HEIGHT = 250.0;

    private const LEFT = 34.0;

    private const FOOT = 205.0;

    private const HEAD = 40.0;

    /**
     * @param  list<Riser>  $risers
     * @param  array{float, float}  $over
     * @return array{drawing: Svg, stretch: float}
     */
    public static function of(Run $run, array $risers, array $over, float $base): array
    {
        $along = (self::WIDTH - self::LEFT - 10.0) / max(1.0, $over[1] - $over[0]);
        $highest = max([20.0, ...array_map(fn (Riser $r): float => $r->height, $risers)]);
        $up = (self::FOOT - self::HEAD) / $highest;
        $x = fn (float $station): float => self::LEFT + ($station - $over[0]) * $along;
        $y = fn (float $height): float => self::FOOT - $height * $up;
        $svg = new Svg(self::WIDTH, self::HEIGHT, "Risers under {$run->name}", ['class' => 'drawing risers']);
        $svg->line('boardtop', self::LEFT, self::FOOT, self::WIDTH - 10.0, self::FOOT);
        $level = [];
        for ($k = 0; $k <= 60; $k++) {
            $station = $over[0] + (($over[1] - $over[0]) * $k) / 60.0;
            $level[] = [$x($station), $y($run->grade->heightAt($station) - $base)];
        }
        $svg->path('level', Svg::d($level));
        $labels = new Labels(self::WIDTH, self::HEIGHT);
        foreach ($risers as $k => $riser) {
            $half = max(3.0, 5.0 * $along);
            $tilt = ((tan(deg2rad($riser->bevelDeg)) * $half) / $along) * $up;
            $svg->path(
                'foam even',
                Svg::d(
                    [
                        [$x($riser->station) - $half, self::FOOT],
                        [$x($riser->station) + $half, self::FOOT],
                        [$x($riser->station) + $half, $y($riser->height) - $tilt],
                        [$x($riser->station) - $half, $y($riser->height) + $tilt],
                    ],
                    true,
                ),
            );
            $words = Format::cell($riser->height, 1);
            $place = $labels->place($words, 6.6, 11.0, [
                [$x($riser->station) - mb_strlen($words) * 3.3, $y($riser->height) - 9.0],
                [$x($riser->station) - mb_strlen($words) * 3.3, $y($riser->height) - 21.0],
            ]);
            if ($place !== null) {
                $svg->text('m halo', $place[0], $place[1], $words);
            }
            $name = (string) ($k + 1);
            $place = $labels->place($name, 6.6, 11.0, [[$x($riser->station) - mb_strlen($name) * 3.3, self::FOOT + 14.0]]);
            if ($place !== null) {
                $svg->text('m', $place[0], $place[1], $name);
            }
        }
        $step = RoundSteps::axis(100.0);
        for ($station = $step * ceil($over[0] / $step); $station <= $over[1]; $station += 2.0 * $step) {
            $svg->line('ticks', $x($station), self::FOOT + 22.0, $x($station), self::FOOT + 27.0)->text(
                'm tick',
                $x($station),
                self::FOOT + 39.0,
                Format::cell($station),
                'middle',
            );
        }

        return ['drawing' => $svg, 'stretch' => $up / $along];
    }
}
