<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Growth;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Planting\Planter;
use IdleRidge\Core\Planting\StandPattern;
use IdleRidge\Core\Planting\Tree;
use IdleRidge\Core\Project\GrowthSurvey;

/** Two or four trees by themselves look set out; three or five look grown. */
final class OddGroups implements GrowthRule
{
    /** A group larger than this is read as a wood, and nobody counts it. */
    public const LARGEST = 6;

    public function ids(): array
    {
        return ['odd-groups'];
    }

    public function check(GrowthSurvey $survey): array
    {
        $found = [];
        foreach ($survey->stands() as $stand) {
            if ($stand->rule->pattern === StandPattern::Orchard) {
                continue;
            }
            $even = array_values(array_filter(
                self::groups($stand->trees, $stand->rule->spacing),
                fn (array $group): bool => count($group) % 2 === 0 && count($group) <= self::LARGEST,
            ));
            if ($even !== []) {
                $found[] = new Finding(
                    'odd-groups',
                    Severity::Hint,
                    count($even) === 1
                        ? "{$stand->name}: ".count($even[0]).' stand together'
                        : "{$stand->name}: ".count($even).' groups of two, four or six',
                    $survey->section->uid,
                    Place::at($even[0][0]->x, $even[0][0]->y),
                    ['trees' => new Quantity((float) count($even[0]), '', 'that stand together at the first of them', decimals: 0)],
                    'Even numbers look set out; the eye pairs them off.',
                    'Take one out or set one more beside them.',
                );
            }
        }

        return $found;
    }

    /**
     * What hangs together: each tree as near to another of its group as trees of one group are set.
     *
     * @param  list<Tree>  $trees
     * @return list<non-empty-list<Tree>>
     */
    public static function groups(array $trees, float $spacing): array
    {
        $limit = (Planter::WITHIN_GROUP + Planter::BETWEEN_GROUPS) / 2.0;
        $reach = max(1.0, $limit * $spacing * max([1.0, ...array_map(fn (Tree $t): float => $t->crown, $trees)]));
        $buckets = [];
        foreach ($trees as $k => $tree) {
            $buckets[(int) floor($tree->x / $reach)][(int) floor($tree->y / $reach)][$k] = true;
        }
        $out = [];
        $taken = [];
        foreach ($trees as $first => $tree) {
            if (isset($taken[$first])) {
                continue;
            }
            $taken[$first] = true;
            $group = [$tree];
            for ($n = 0; $n < count($group); $n++) {
                [$i, $j] = [(int) floor($group[$n]->x / $reach), (int) floor($group[$n]->y / $reach)];
                for ($b = 0; $b < 9; $b++) {
                    foreach (array_keys($buckets[$i - 1 + $b % 3][$j - 1 + intdiv($b, 3)] ?? []) as $k) {
                        $mean = ($spacing * ($group[$n]->crown + $trees[$k]->crown)) / 2.0;
                        $away = hypot($group[$n]->x - $trees[$k]->x, $group[$n]->y - $trees[$k]->y);
                        if (! isset($taken[$k]) && $away <= $limit * $mean) {
                            $taken[$k] = true;
                            $group[] = $trees[$k];
                        }
                    }
                }
            }
            $out[] = $group;
        }

        return $out;
    }
}
