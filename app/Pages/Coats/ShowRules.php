<?php

declare(strict_types=1);

namespace App\Pages\Coats;

use App\Computed\Findings\ComputedFindings;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Pages\Words\FindingLink;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Rulebook\RulePages;

/** The rule book, with what each rule finds on this layout now. */
final readonly class ShowRules
{
    public function __construct(private ProjectLoader $load, private ComputedPlan $plan, private ComputedFindings $findings)
    {
    }

    /** @return array<string, mixed> for the view coats.rules */
    public function of(Layout $layout): array
    {
        $project = $this->load->of($layout);
        $found = $this->findings->of($this->plan->planOf($project, $this->plan->minute()));
        $by = [];
        foreach ($found as $finding) {
            $by[$finding->id][] = $finding;
        }
        $names = array_column(array_map(fn ($s): array => [$s->uid, $s->name], $project->sections), 1, 0);

        return [
            'layout' => $layout,
            'first' => $layout->sections()->first(),
            'book' => self::book(),
            'found' => $by,
            'sections' => $names,
            'address' => fn (Finding $f): string => FindingLink::to($layout, $f),
        ];
    }

    public static function book(): RulePages
    {
        return RulePages::of(json_decode((string) file_get_contents(base_path('library/rules.json')), true, 8, JSON_THROW_ON_ERROR));
    }
}
