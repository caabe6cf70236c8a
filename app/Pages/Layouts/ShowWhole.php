<?php

declare(strict_types=1);

namespace App\Pages\Layouts;

use App\Computed\Cuts\ComputedCuts;
use App\Computed\Findings\ComputedFindings;
use App\Computed\Land\ComputedLand;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Pages\Rail\ShowRail;
use App\Pages\Words\FindingLink;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\FindingGroup;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Plan\ShelfNeed;
use IdleRidge\Core\Plan\ShoppingList;
use IdleRidge\Core\Project\BoardWeight;
use IdleRidge\Core\Project\LayoutPlan;
use IdleRidge\Core\Project\Section;

/** All boards of a layout at a glance: how each stands, what comes next on it, when it is cured, what it weighs, what is wrong. */
final readonly class ShowWhole
{
    /** So many findings are told in words; the rule book has them all. */
    private const TOLD = 7;

    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $plans,
        private ComputedLand $land,
        private ComputedCuts $cuts,
        private ComputedFindings $findings,
        private ShowRail $rail,
    ) {
    }

    /** @return array<string, mixed> for the view layouts.whole */
    public function of(Layout $layout): array
    {
        $project = $this->load->of($layout);
        $plan = $this->plans->planOf($project, $this->plans->minute());
        $words = new ClockWords($plan->work->zone(), $plan->work->now);
        $found = $this->findings->of($plan);
        usort($found, fn (Finding $a, Finding $b): int => $a->severity->rank() <=> $b->severity->rank());
        $groups = FindingGroup::of($found);
        $rows = [];
        $weights = $this->cuts->weights($project);
        $late = $plan->late();
        foreach ($this->rail->of($project, null, $plan->work) as $k => $state) {
            $section = $project->sections[$k];
            $row = $this->row($plan, $section, $weights[$section->uid], $words, $late[$section->uid] ?? 0);
            $rows[] = $state + $row + ['findings' => self::counted($found, $section)];
        }
        $list = ShoppingList::of(ShelfNeed::of($plan), $project->works->prices, $project->layout->bench->shelf);
        $ready = $plan->ready($plan->work->certainty());

        return [
            'layout' => $layout,
            'first' => $project->sections[0] ?? null,
            'rows' => $rows,
            'drawing' => BoardsDrawing::of($project, $this->land->thumbs($project), 780.0, 250.0),
            'hours' => ClockWords::span($plan->minutes()),
            'sessions' => $plan->sessionsUsed(),
            'weight' => Format::text(array_sum(array_map(fn (BoardWeight $w): float => $w->dry(), $weights)), 'kg', 1),
            'ready' => $ready === null ? null : $words->moment($ready),
            'packs' => array_sum(array_column($list->buy, 'count')),
            'materials' => count($list->buy) + count($list->unpriced) + count($list->short),
            'told' => array_map(
                fn (FindingGroup $g): array => [
                    'subjects' => implode(', ', $subjects = array_unique(array_map(fn (Finding $f): string => $f->subject, $g->findings))),
                    'severity' => $g->severity(),
                    'times' => count($g->findings) > count($subjects) ? count($g->findings) : 1,
                    'board' => $project->section($g->first()->section)->name,
                    'address' => FindingLink::to($layout, $g->first()),
                ],
                array_slice($groups, 0, self::TOLD),
            ),
            'untold' => max(0, count($groups) - self::TOLD),
            'scale' => LayoutPlan::USUAL,
        ];
    }

    /** @return array<string, mixed> */
    private function row(BenchPlan $plan, Section $section, BoardWeight $weight, ClockWords $words, int $late): array
    {
        $moves = array_values(array_filter($plan->moves, fn (PlacedMove $p): bool => $p->move->section->uid === $section->uid));
        $ready = $plan->ready($plan->work->certainty(), $section);
        $due = $plan->work->dueOf($section);

        return [
            'section' => $section,
            'next' => $moves === [] ? null : ['title' => $moves[0]->move->title(), 'at' => $words->moment($moves[0]->start)],
            'left' => $moves === [] ? null : ClockWords::span(PlacedMove::sum($moves)),
            'ready' => $ready === null ? null : $words->moment($ready),
            'late' => $due === null ? null : $late,
            'kg' => Format::parts($weight->dry(), 'kg', 1),
            'people' => $weight->people($plan->work->project->cuts()->board),
        ];
    }

    /**
     * @param  list<Finding>  $found
     * @return array<string, int> severity → how many, the gravest first
     */
    private static function counted(array $found, Section $section): array
    {
        $counts = [];
        foreach ($found as $finding) {
            if ($finding->section === $section->uid) {
                $counts[$finding->severity->value] = ($counts[$finding->severity->value] ?? 0) + 1;
            }
        }

        return $counts;
    }
}
