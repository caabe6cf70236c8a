<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Growth;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\GrowthSurvey;

/** Trees of a stand that the land or the track has moved under, or that were set where they cannot stand. */
final class TreesStandFree implements GrowthRule
{
    public function ids(): array
    {
        return ['tree-in-envelope', 'tree-off-land'];
    }

    public function check(GrowthSurvey $survey): array
    {
        $found = [];
        foreach ($survey->stands() as $stand) {
            $met = [];
            foreach ($stand->trees as $k => $tree) {
                $against = $survey->ground->against($tree, $stand->rule);
                if ($against !== null) {
                    $met[$against['what']][] = [$k + 1, $against['lacks'], $tree];
                }
            }
            foreach ($met as $what => $trees) {
                usort($trees, fn (array $a, array $b): int => $b[1] <=> $a[1]);
                [$number, $lacks, $worst] = $trees[0];
                $onLand = in_array($what, ['steep', 'water', 'edge', 'joint'], true);
                $word = match ($what) {
                    'steep' => 'on ground steeper than it roots on',
                    'water' => 'in water',
                    'edge' => 'on the edge of the board',
                    'joint' => 'with its crown over the joint',
                    default => "too near {$what}",
                };
                $more = count($trees) > 1 ? ' and '.(count($trees) - 1).' more' : '';
                $found[] = new Finding(
                    $onLand ? 'tree-off-land' : 'tree-in-envelope',
                    $onLand ? Severity::Hint : Severity::Care,
                    "{$stand->name}: tree {$number}{$more} {$word}",
                    $survey->section->uid,
                    Place::at($worst->x, $worst->y),
                    $lacks > 0.0
                        ? ['lacks' => new Quantity($lacks, $what === 'steep' ? '°' : 'mm', 'what is missing at the worst', decimals: 1)]
                        : [],
                    $onLand
                        ? 'The land has changed under it, or it was set there by hand.'
                        : 'A branch that a coach brushes is bent by the tenth train and off by the hundredth.',
                    'Drag it away, take it out, or plant the stand anew.',
                );
            }
        }

        return $found;
    }
}
