<?php

declare(strict_types=1);

namespace App\Computed\Findings;

use App\Computed\ComputedCache;
use App\Computed\Cuts\ComputedCuts;
use App\Computed\Growth\ComputedGrowth;
use App\Computed\Land\ComputedLand;
use App\Computed\Water\ComputedWater;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Rulebook\Growth\GrowthRule;
use IdleRidge\Core\Rulebook\Rulebook;
use IdleRidge\Core\Rulebook\Water\WaterRule;

/** What all rules find on a whole layout, and on which screen each of it is seen. */
final readonly class ComputedFindings
{
    /** Findings about cutting and the view of Cuts that shows them. */
    private const CUTS = ['glue-confined-between-foam' => 'glue', 'weight-over-limit' => 'board', 'cut-near-hidden' => 'hidden'];

    public function __construct(
        private ComputedLand $land,
        private ComputedCuts $cuts,
        private ComputedGrowth $growth,
        private ComputedWater $water,
        private ComputedCache $cache,
    ) {
    }

    /** @return list<Finding> of the work first, then board by board */
    public function of(BenchPlan $plan): array
    {
        return [...Rulebook::checkWork($plan), ...$this->ofBoards($plan->work->project)];
    }

    /** @return list<Finding> of what does not depend on the moment, all boards at once: most pages ask for the same layout again */
    private function ofBoards(Project $project): array
    {
        return $this->cache->remember('findings', $this->cache->fingerprint($project), fn (): array => $this->boardByBoard($project));
    }

    /** @return list<Finding> */
    private function boardByBoard(Project $project): array
    {
        $found = [];
        foreach ($project->sections as $section) {
            array_push($found, ...$this->land->sheet($project, $section)->findings);
            array_push($found, ...$this->cuts->findings($this->cuts->page($project, $section)));
            array_push($found, ...$this->growth->findings($project, $section));
            array_push($found, ...Rulebook::checkWater($project, $this->water->survey($project, $section)));
        }

        return $found;
    }

    /** @return array{string, array<string, string>} the name of its screen's route, and what that is asked besides the board */
    public static function seenOn(Finding $finding): array
    {
        static $screens = null;
        $screens ??= array_fill_keys(self::idsOf(Rulebook::growthRules()), 'growth.show') +
            array_fill_keys(self::idsOf(Rulebook::waterRules()), 'water.show');

        return match (true) {
            isset($screens[$finding->id]) => [$screens[$finding->id], []],
            isset(self::CUTS[$finding->id]) => ['cuts.show', ['on' => self::CUTS[$finding->id]]],
            $finding->place->zone === null => ['land.show', []],
            default => ['coats.show', ['zone' => $finding->place->zone]],
        };
    }

    /**
     * @param  list<GrowthRule>|list<WaterRule>  $rules
     * @return list<string>
     */
    private static function idsOf(array $rules): array
    {
        return array_merge(...array_map(fn (GrowthRule|WaterRule $rule): array => $rule->ids(), $rules));
    }
}
