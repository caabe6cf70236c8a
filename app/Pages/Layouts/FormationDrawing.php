<?php

declare(strict_types=1);

namespace App\Pages\Layouts;

use IdleRidge\Core\Coats\Ballast;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Track\FormationGroup;
use IdleRidge\Core\Track\RunKind;

/** A formation cut across, as one looks along rising stations: on a bank, and dashed in a cutting; the same scale both ways. */
final class FormationDrawing
{
    /** How far the land is drawn over and under the formation, mm. */
    public const SHOWN_MM = 40.0;

    private const WIDTH = 460.0;

    /** What a side takes at most of the height, and of the width beside the strip. */
    private const MAX_HALF_HEIGHT = 84.0;

    private const AROUND = 24.0;

    /** So wide has half a strip to be for its figure to stand under it. */
    private const MIN_FIGURE = 26.0;

    public static function of(FormationGroup $group, float $ratio, float $gauge): Svg
    {
        [$bank, $cutting] = [$group->across(-self::SHOWN_MM), $group->across(self::SHOWN_MM)];
        $widest = max(array_map(fn (array $p): float => abs($p[0]), [...$bank, ...$cutting]));
        $scale = min(self::MAX_HALF_HEIGHT / self::SHOWN_MM, (self::WIDTH / 2.0 - self::AROUND) / $widest);
        $level = self::SHOWN_MM * $scale + self::AROUND;
        $at = fn (array $p): array => [self::WIDTH / 2.0 + $p[0] * $scale, $level - $p[1] * $scale];
        $svg = new Svg(self::WIDTH, 2.0 * $level, 'The formation cut across', ['class' => 'drawing across']);
        $foot = $level + self::SHOWN_MM * $scale;
        $solid = array_map($at, $bank);
        $svg->path('body', Svg::d($solid, true))->path('terrain', Svg::d($solid));
        $svg->path('natural', Svg::d(array_map($at, $cutting)));
        self::top($svg, $group, $ratio, $gauge, $at);
        [$left, $right] = [$group->profile->halfWidth(Side::Left), $group->profile->halfWidth(Side::Right)];
        foreach ([[-$left, 0.0, $left], [0.0, $right, $right]] as [$from, $to, $wide]) {
            [$x1, $y] = $at([$from, 0.0]);
            [$x2] = $at([$to, 0.0]);
            $svg->path('dim', 'M'.Svg::n($x1).' '.Svg::n($y + 10.0).'v6m0-3H'.Svg::n($x2).'m0-3v6');
            if ($x2 - $x1 >= self::MIN_FIGURE) {
                $svg->text('n', ($x1 + $x2) / 2.0, $y + 28.0, Format::cell($wide, 1), 'middle');
            }
        }
        [$x, $y] = $at($cutting[0]);
        $svg->text('h', max(4.0, $x), $y - 8.0, 'in a cutting');
        $svg->text('h', max(4.0, $solid[0][0]), $foot + 16.0, 'on a bank');

        return $svg;
    }

    /** What lies on it: roadbed, sleeper and rails of a track, the surface of a road. */
    private static function top(Svg $svg, FormationGroup $group, float $ratio, float $gauge, callable $at): void
    {
        $profile = $group->profile;
        $bed = $profile->roadbed();
        $box = function (string $class, float $from, float $to, float $low, float $high) use ($svg, $at): void {
            if ($high > $low) {
                $svg->path($class, Svg::d([$at([$from, $low]), $at([$from, $high]), $at([$to, $high]), $at([$to, $low])], true));
            }
        };
        if ($group->kind === RunKind::Road) {
            $ditch = $profile->ditchDepth() > 0.0 ? $profile->ditchWidth() : 0.0;
            $box('roadbed', $ditch - $profile->halfWidth(Side::Left), $profile->halfWidth(Side::Right) - $ditch, 0.0, $bed);

            return;
        }
        $ballast = Ballast::forTrack($ratio, $profile);
        $half = $ballast->sleeperLength / 2.0;
        [$top, $foot] = [$half + $ballast->shoulder, $half + $ballast->shoulder + $ballast->batter * $bed];
        if ($bed > 0.0) {
            $svg->path('roadbed', Svg::d(array_map($at, [[-$foot, 0.0], [-$top, $bed], [$top, $bed], [$foot, 0.0]]), true));
        }
        $sleeper = $bed + $profile->sleeper();
        $box('sleeper', -$half, $half, $bed, $sleeper);
        $rail = max(0.6, 0.05 * $gauge);
        foreach ([-1.0, 1.0] as $side) {
            $inside = $side * $gauge / 2.0;
            $box('railhead', $inside, $inside + $side * $rail, $sleeper, $profile->railTop());
        }
    }
}
