<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Growth;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Planting\Tree;
use IdleRidge\Core\Project\GrowthSurvey;

/** Tall trees in front hide shorter ones that nobody then sees. */
final class TallBehind implements GrowthRule
{
    /** One that stands over another by more than this share of its own height hides it. */
    public const OVER = 0.25;

    /** So many hidden by one are a fault of the planting; one or two are nature. */
    public const FROM_HIDDEN = 3;

    private const BUCKET_MM = 20.0;

    public function ids(): array
    {
        return ['tall-behind'];
    }

    public function check(GrowthSurvey $survey): array
    {
        $found = [];
        foreach ($survey->project->layout->viewing->edges as $edge) {
            $trees = $this->seenFrom($edge, $survey);
            $buckets = [];
            foreach ($trees as $k => $one) {
                $buckets[(int) floor($one[3] / self::BUCKET_MM)][] = $k;
            }
            $by = [];
            foreach ($trees as [$tree, $name, $number, $at, $deep, $top]) {
                $hidden = 0;
                $reach = $tree->crown / 2.0;
                for ($b = (int) floor(($at - $reach) / self::BUCKET_MM); $b <= (int) floor(($at + $reach) / self::BUCKET_MM); $b++) {
                    foreach ($buckets[$b] ?? [] as $k) {
                        [$other, , , $its, $behind, $upTo] = $trees[$k];
                        // Wholly before it: no part of the other looks out beside its crown.
                        $hides = abs($its - $at) + $other->crown / 2.0 <= $reach &&
                            $behind > $deep + $reach &&
                            $top > $upTo + self::OVER * $tree->height;
                        $hidden += $hides ? 1 : 0;
                    }
                }
                if ($hidden >= self::FROM_HIDDEN) {
                    $by[$name][] = [$hidden, $number, $tree];
                }
            }
            foreach ($by as $name => $tall) {
                usort($tall, fn (array $a, array $b): int => $b[0] <=> $a[0]);
                $found[] = $this->finding($survey, (string) $name, $edge, $tall[0], count($tall));
            }
        }

        return $found;
    }

    /** @return list<array{Tree, string, int, float, float, float}> tree, stand, number, place along the edge, depth, height of its top */
    private function seenFrom(BoardEdge $edge, GrowthSurvey $survey): array
    {
        $out = [];
        foreach ($survey->stands() as $stand) {
            foreach ($stand->trees as $k => $tree) {
                $deep = $edge->inside($tree->x, $tree->y, $survey->section->width, $survey->section->depth);
                $out[] = [$tree, $stand->name, $k + 1, $edge->along($tree->x, $tree->y), $deep, $survey->top($tree)];
            }
        }

        return $out;
    }

    /** @param  array{int, int, Tree}  $worst how many it hides, its number */
    private function finding(GrowthSurvey $survey, string $name, BoardEdge $edge, array $worst, int $count): Finding
    {
        [$hidden, $number, $tree] = $worst;

        return new Finding(
            'tall-behind',
            Severity::Hint,
            $count === 1
                ? "{$name}: tree {$number} stands tall in front of {$hidden}, seen from the {$edge->value}"
                : "{$name}: {$count} trees stand tall in front, seen from the {$edge->value}; tree {$number} hides {$hidden}",
            $survey->section->uid,
            Place::at($tree->x, $tree->y),
            ['height' => new Quantity($tree->height, 'mm', 'of the worst, over its ground', decimals: 0)],
            'What is behind is not seen, and the eye reads the scene as shallow.',
            'Plant it anew with more of its height by distance, or set shorter ones in front.',
        );
    }
}
