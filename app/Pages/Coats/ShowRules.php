<?php

declare(strict_types=1);

namespace App\Pages\Coats;

use App\Computed\Cuts\ComputedCuts;
use App\Computed\Growth\ComputedGrowth;
use App\Computed\Land\ComputedLand;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Computed\Water\ComputedWater;
use App\Models\Layout;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Rulebook\Growth\GrowthRule;
use IdleRidge\Core\Rulebook\Rulebook;
use IdleRidge\Core\Rulebook\RulePages;
use IdleRidge\Core\Rulebook\Water\WaterRule;

/** The rule book, with what each rule finds on this layout now. */
final readonly class ShowRules
{
    /** Findings about cutting and the view of Cuts that shows them. */
    private const CUTS = ['glue-confined-between-foam' => 'glue', 'weight-over-limit' => 'board', 'cut-near-hidden' => 'hidden'];

    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $plan,
        private ComputedLand $land,
        private ComputedCuts $cuts,
        private ComputedGrowth $growth,
        private ComputedWater $water,
    ) {
    }

    /** @return array<string, mixed> for the view coats.rules */
    public function of(Layout $layout): array
    {
        $project = $this->load->of($layout);
        $found = Rulebook::checkWork($this->plan->planOf($project, $this->plan->minute()));
        foreach ($project->sections as $section) {
            array_push($found, ...$this->land->sheet($project, $section)->findings);
            array_push($found, ...$this->cuts->findings($this->cuts->page($project, $section)));
            array_push($found, ...Rulebook::checkGrowth($this->growth->survey($project, $section)));
            array_push($found, ...Rulebook::checkWater($project, $this->water->survey($project, $section)));
        }
        $by = [];
        foreach ($found as $finding) {
            $by[$finding->id][] = $finding;
        }
        $grows = array_merge(...array_map(fn (GrowthRule $rule): array => $rule->ids(), Rulebook::growthRules()));
        $wets = array_merge(...array_map(fn (WaterRule $rule): array => $rule->ids(), Rulebook::waterRules()));
        $names = array_column(array_map(fn ($s): array => [$s->uid, $s->name], $project->sections), 1, 0);

        return [
            'layout' => $layout,
            'first' => $layout->sections()->first(),
            'book' => self::book(),
            'found' => $by,
            'sections' => $names,
            'address' => fn (Finding $f): string => match (true) {
                in_array($f->id, $grows, true) => route('growth.show', [$layout, $f->section]),
                in_array($f->id, $wets, true) => route('water.show', [$layout, $f->section]),
                isset(self::CUTS[$f->id]) => route('cuts.show', [$layout, $f->section, 'on' => self::CUTS[$f->id]]),
                $f->place->zone === null => route('land.show', [$layout, $f->section]),
                default => route('coats.show', [$layout, $f->section, 'zone' => $f->place->zone]),
            },
        ];
    }

    public static function book(): RulePages
    {
        return RulePages::of(json_decode((string) file_get_contents(base_path('library/rules.json')), true, 8, JSON_THROW_ON_ERROR));
    }
}
