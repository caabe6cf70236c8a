<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Track\CurveSetting;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\StructureKind;

/**
 * A board's plan at 1:1, to mark it out by: outline, centrelines with the ends of sleepers, edges of formations and roads, pads,
 * waters, zones; and for every curve its chord with the offsets from it, so that it can be laid without a trammel.
 */
final class BoardPlan
{
    /** Between prototype sleepers, mm, and half their length. */
    private const PROTOTYPE_SLEEPER_SPACING_MM = 650.0;

    private const PROTOTYPE_HALF_SLEEPER_MM = 1250.0;

    /** Offsets from a chord are told so far apart, mm. */
    public const CHORD_OFFSET_STEP_MM = 50.0;

    /** Shorter curves are not told of, mm. */
    private const MIN_CURVE_MM = 60.0;

    public static function of(Project $project, Section $section, LandModel $model): Template
    {
        $board = [[0.0, 0.0], [$section->width, 0.0], [$section->width, $section->depth], [0.0, $section->depth]];
        $marked = $lines = $words = [];
        foreach ($model->grading->runs as $run) {
            $here = $run->within($section->width, $section->depth);
            if ($here === null || $here[1] - $here[0] < 5.0) {
                continue;
            }
            $line = fn (float $offset): array => array_map(
                fn (Point $p): array => [$p->x, $p->y],
                $run->alignment->polyline($here[0], $here[1], $offset, 0.05),
            );
            array_push($lines, $line(0.0), $line($run->profile->halfWidth(Side::Left)), $line(-$run->profile->halfWidth(Side::Right)));
            if ($run->kind === RunKind::Track) {
                array_push($lines, ...self::sleepers($run, $here, $project->layout->scale->ratio));
            }
            foreach (self::offsets($run, $here) as [$chord, $told]) {
                $lines[] = $chord;
                array_push($words, ...$told);
            }
            $p = $run->alignment->pointAt(min($here[1], $here[0] + 40.0));
            $words[] = [$p->x, $p->y, $run->name];
        }
        foreach ($project->shapesNear($section) as $feature) {
            if ($feature->kind === FeatureKind::Stream) {
                $lines[] = $feature->plan();
            } elseif ($feature->kind !== FeatureKind::Rough) {
                $marked[] = $feature->plan();
            }
            $words[] = [...$feature->plan()[0], $feature->name];
        }
        foreach ($project->works->zonesOf($section->uid) as $zone) {
            $outline = $zone->outlineOn($section->placement);
            if ($outline !== null) {
                $marked[] = $outline;
                $words[] = [$outline[0][0], $outline[0][1], $zone->name];
            }
        }

        return new Template(
            'plan',
            "{$section->name}, plan at 1:1",
            [$board],
            $marked,
            $lines,
            [],
            array_values(array_filter($words, fn (array $w): bool => $w[2] !== '')),
        );
    }

    /**
     * A stroke at each end of each sleeper.
     *
     * @param  array{float, float}  $here
     * @return list<list<array{float, float}>>
     */
    private static function sleepers(Run $run, array $here, float $ratio): array
    {
        $out = [];
        $half = self::PROTOTYPE_HALF_SLEEPER_MM / $ratio;
        for ($station = $here[0]; $station <= $here[1]; $station += self::PROTOTYPE_SLEEPER_SPACING_MM / $ratio) {
            if ($run->structureAt($station)?->kind === StructureKind::Tunnel) {
                continue;
            }
            foreach ([1.0, -1.0] as $side) {
                [$a, $b] = [$run->alignment->beside($station, $side * $half), $run->alignment->beside($station, $side * ($half - 3.0))];
                $out[] = [[$a->x, $a->y], [$b->x, $b->y]];
            }
        }

        return $out;
    }

    /**
     * The chord of each curve that lies on the board, and what the curve stands off it.
     *
     * @param  array{float, float}  $here
     * @return list<array{list<array{float, float}>, list<array{float, float, string}>}>
     */
    private static function offsets(Run $run, array $here): array
    {
        $out = [];
        foreach (CurveSetting::of($run->alignment, $here[0], $here[1], self::CHORD_OFFSET_STEP_MM) as $curve) {
            if ($curve->to - $curve->from < self::MIN_CURVE_MM) {
                continue;
            }
            [$a, $b, $chord] = [$curve->begin, $curve->end, $curve->chord()];
            $told = [];
            foreach ($curve->fromChord as [$x, $off]) {
                $t = 0.5 + $x / $chord;
                $told[] = [$a->x + $t * ($b->x - $a->x), $a->y + $t * ($b->y - $a->y), Format::cell($off, 1)];
            }
            $told[] = [
                ($a->x + $b->x) / 2.0,
                ($a->y + $b->y) / 2.0 - 12.0,
                ($curve->isArc ? 'R ' : 'transition to R ').Format::cell($curve->radius).', chord '.Format::cell($chord, 1),
            ];
            $out[] = [[[$a->x, $a->y], [$b->x, $b->y]], $told];
        }

        return $out;
    }
}
