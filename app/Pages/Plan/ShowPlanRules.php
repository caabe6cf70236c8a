<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Actions\Plan\PlanSearch;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Pages\Coats\WayChoice;
use App\Pages\Rail\ShowRail;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\IdleTime;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;

/** How the layout is planned: how sure, in which turns, tools, dates, calendars; what stands idle; a longer search. */
final readonly class ShowPlanRules
{
    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private ShowRail $rail,
        private PlanSearch $search,
        private Library $library,
    ) {
    }

    /** @return array<string, mixed> for the view drying.bench */
    public function of(Layout $layout): array
    {
        $project = $this->load->of($layout);
        $plan = $this->desk->planOf($project, $this->desk->minute());
        $work = $plan->work;
        $words = new ClockWords($work->zone(), $work->now);
        $late = $plan->late();
        $tools = [];
        foreach (
            [
                ...array_map(fn ($c) => $c->recipe, $project->works->coats),
                ...array_map(fn ($l) => $l->recipe, $project->works->laid),
            ] as $recipe
        ) {
            foreach ($recipe->tools as $tool) {
                $tools[$tool] = $work->rules()->tools($tool);
            }
        }
        ksort($tools);
        $calendars = [];
        foreach ($project->works->times as $time) {
            if ($time->kind === BenchTimeKind::Busy) {
                $calendars[$time->who] = ($calendars[$time->who] ?? 0) + 1;
            }
        }

        return [
            'layout' => $layout,
            'first' => $project->sections[0] ?? null,
            'rail' => $this->rail->of($project, null, $work),
            'rules' => $work->rules(),
            'sure' => Decimal::trimmed(100.0 * $work->certainty(), 0).' %',
            'tools' => $tools + $work->rules()->tools,
            'calendars' => $calendars,
            'words' => $words,
            'plan' => $plan,
            'boards' => array_map(
                fn (Section $s): array => [
                    'section' => $s,
                    'due' => $work->rules()->dueOf($s->uid),
                    'late' => $late[$s->uid] ?? null,
                    'effective' => $work->dueOf($s),
                ],
                $project->sections,
            ),
            'idle' => array_map(
                fn (IdleTime $i): array => [
                    'when' => $words->day($i->from).', '.$words->clock($i->from).' to '.$words->clock($i->to),
                    'minutes' => $i->minutes(),
                    'fillers' => $i->fillers,
                ],
                IdleTime::of($plan),
            ),
            'ways' => $this->ways($work->rules()->ways),
            'search' => $this->search->state($layout),
            'gap' => $plan->lastHandsOn() === null ? null : max(0, $plan->lastHandsOn() - $plan->bound),
            'changes' => BenchTime::clockChanges($project->works->times, $work->zone(), $work->now, BenchWork::HORIZON_DAYS),
        ];
    }

    /**
     * @param  array<string, string>  $preferred
     * @return array<string, array<string, mixed>> family of loose material → what can be picked for it
     */
    private function ways(array $preferred): array
    {
        $out = [];
        foreach (Family::cases() as $family) {
            $label = match ($family) {
                Family::Cover => 'Ground cover',
                Family::Fibre => 'Static fibre',
                default => ucfirst($family->value),
            };
            $out[$family->value] = WayChoice::of($this->library->ways, $family, $preferred[$family->value] ?? null, $label);
        }

        return array_filter($out);
    }
}
