<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Growth;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\GrowthSurvey;

/** A tree is no larger than its species grows, at the scale that things are built to where it stands. */
final class InPerspective implements GrowthRule
{
    /** A tree may be over its species by such a share: no two are alike. */
    public const OVER = 0.1;

    public function ids(): array
    {
        return ['out-of-perspective'];
    }

    public function check(GrowthSurvey $survey): array
    {
        $found = [];
        foreach ($survey->stands() as $stand) {
            $over = [];
            foreach ($stand->trees as $k => $tree) {
                $most = $survey->project->layout->scale->toModel(1000.0 * $stand->species($tree)->highM) *
                    $survey->ground->depth->scale($tree->x, $tree->y);
                if ($tree->height > $most * (1.0 + self::OVER)) {
                    $over[] = [$tree->height / $most, $k + 1, $tree, $most];
                }
            }
            if ($over !== []) {
                usort($over, fn (array $a, array $b): int => $b[0] <=> $a[0]);
                [, $number, $tree, $most] = $over[0];
                $found[] = new Finding(
                    'out-of-perspective',
                    Severity::Hint,
                    "{$stand->name}: tree {$number}".(count($over) > 1 ? ' and '.(count($over) - 1).' more are' : ' is').
                        ' too tall for where it stands',
                    $survey->section->uid,
                    Place::at($tree->x, $tree->y),
                    [
                        'height' => new Quantity($tree->height, 'mm', 'over its ground', decimals: 0),
                        'most' => new Quantity($most, 'mm', 'the tallest of its species, at the scale of this distance', decimals: 0),
                    ],
                    'One thing out of scale gives the whole distance away.',
                    'Set it nearer, or a shorter one in its place.',
                );
            }
        }

        return $found;
    }
}
