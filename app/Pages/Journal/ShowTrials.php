<?php

declare(strict_types=1);

namespace App\Pages\Journal;

use App\Computed\Journal\JournalRows;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Pages\Rail\ShowRail;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\OwnRecipe;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Journal\Trial;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Format;

/** What was tried on scrap, side by side: what the recipe said and what was seen. */
final readonly class ShowTrials
{
    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private ShowRail $rail,
        private Library $library,
    ) {
    }

    /** @return array<string, mixed> for the view journal.trials */
    public function of(Layout $layout, string $open): array
    {
        $project = $this->load->of($layout);
        $words = EntryWords::in($project, $this->desk->minute());
        $trials = array_map(JournalRows::trial(...), $layout->trials()->get()->all());
        usort($trials, fn (Trial $a, Trial $b): int => $b->at <=> $a->at);
        $recipes = $this->library->with(OwnRecipe::recipes($project->works->recipes))->recipes;
        $names = array_map(fn (Recipe $r): string => $r->name, $recipes);
        asort($names);

        return [
            'layout' => $layout,
            'first' => $project->sections[0] ?? null,
            'rail' => $this->rail->of($project, null),
            'recipes' => $names,
            'rows' => array_map(fn (Trial $t): array => $this->row($t, $words), $trials),
            'open' => array_column($trials, null, 'uid')[$open] ?? null,
        ];
    }

    /** @return array<string, mixed> */
    private function row(Trial $trial, EntryWords $words): array
    {
        $used = $trial->usedOfSaid();
        $against = fn (?float $seen, ?float $said): string => $seen === null || $said === null || $said <= 0.0
            ? ''
            : self::more($seen / $said);

        return [
            'uid' => $trial->uid,
            'name' => $trial->name,
            'title' => $trial->title,
            'when' => $words->moment($trial->at),
            'area' => Format::text($trial->area / 100.0, 'cm²').', '.Format::length($trial->mm, 1),
            'amounts' => array_map(
                fn (array $a): string => implode(' ', MaterialAmount::shown($a['used'], $a['unit']))." {$a['material']}",
                $trial->amounts,
            ),
            'used' => $used === null ? '' : self::more($used),
            'minutes' => $trial->minutes === null ? '' : ClockWords::span($trial->minutes),
            'said' => ClockWords::span($trial->said),
            'slower' => $against($trial->minutes, $trial->said),
            'dry' => $trial->dry === null ? '' : ClockWords::span($trial->dry),
            'saidDry' => $trial->saidDry === null ? '' : ClockWords::span($trial->saidDry),
            'wetter' => $against($trial->dry, $trial->saidDry),
            'verdict' => $trial->verdict?->value,
            'note' => $trial->note,
        ];
    }

    /** “+18 %”, “−30 %” */
    private static function more(float $share): string
    {
        return str_replace('-', '−', sprintf('%+d %%', (int) round(100.0 * ($share - 1.0))));
    }
}
