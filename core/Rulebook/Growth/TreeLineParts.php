<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Growth;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Project\GrowthSurvey;

/** A stand that closes most of the view along an edge parts what is before it from what is behind. */
final class TreeLineParts implements GrowthRule
{
    /** Closed over such a share of the edge, and with no gap wider than this, it is a line. */
    public const SHARE = 0.6;

    public const GAP_MM = 60.0;

    public function ids(): array
    {
        return ['tree-line'];
    }

    public function check(GrowthSurvey $survey): array
    {
        $found = [];
        foreach ($survey->project->layout->viewing->edges as $edge) {
            $long = $edge->length($survey->section->width, $survey->section->depth);
            foreach ($survey->stands() as $stand) {
                [$from, $to] = $this->closed($stand, $edge);
                if ($to - $from >= self::SHARE * $long) {
                    $found[] = new Finding(
                        'tree-line',
                        Severity::Hint,
                        "{$stand->name} parts the scene, seen from the {$edge->value}",
                        $survey->section->uid,
                        Place::at($stand->trees[0]->x, $stand->trees[0]->y),
                        [
                            'closed' => new Quantity(
                                (100.0 * ($to - $from)) / $long,
                                '%',
                                'of the edge along which crowns leave no gap',
                                decimals: 0,
                            ),
                        ],
                        'What lies behind a tree line is another place to the eye: a second scene fits there, and nothing small does.',
                        'Leave it if two scenes are wanted; else open a gap where the track or the stream goes through.',
                    );
                }
            }
        }

        return $found;
    }

    /** @return array{float, float} the longest stretch along an edge over which crowns leave no wide gap */
    private function closed(Stand $stand, BoardEdge $edge): array
    {
        $spans = [];
        foreach ($stand->trees as $tree) {
            $at = $edge->along($tree->x, $tree->y);
            $spans[] = [$at - $tree->crown / 2.0, $at + $tree->crown / 2.0];
        }
        sort($spans);
        $best = [0.0, 0.0];
        $from = $to = null;
        foreach ($spans as [$low, $high]) {
            if ($from === null || $to === null || $low > $to + self::GAP_MM) {
                [$from, $to] = [$low, $high];
            }
            $to = max($to, $high);
            $best = $to - $from > $best[1] - $best[0] ? [$from, $to] : $best;
        }

        return $best;
    }
}
