<?php

declare(strict_types=1);

namespace App\Pages\Rounds;

use App\Computed\Journal\JournalRows;
use App\Computed\Land\ComputedLand;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Pages\Drawing\BoardPlan;
use App\Pages\Rail\ShowRail;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Journal\CheckAnswer;
use IdleRidge\Core\Journal\CheckResult;
use IdleRidge\Core\Journal\Mishap;
use IdleRidge\Core\Journal\Stall;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Rounds\DueCheck;
use IdleRidge\Core\Rounds\RoundsDue;
use IdleRidge\Core\Rounds\StallMap;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\Vehicle;

/** Rounds: what has to be looked at now, one after the other; what was not right; where something goes wrong on the runs. */
final readonly class ShowRounds
{
    private const PLAN_WIDTH = 330.0;

    private const PLAN_MARGIN_MM = 30.0;

    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private ComputedLand $land,
        private ShowRail $rail,
    ) {
    }

    /**
     * @param  string  $asked key of the check that is shown large; the first that is due without it
     * @return array<string, mixed> for the view rounds.show
     */
    public function of(Layout $layout, string $asked, ?float $pass): array
    {
        $project = $this->load->of($layout);
        $plan = $this->desk->planOf($project, $this->desk->minute());
        $rounds = RoundsDue::of($plan->work);
        $words = new ClockWords($plan->work->zone(), $plan->work->now);
        $current = $rounds->all[$asked] ?? $rounds->due[0] ?? $rounds->later[0] ?? null;
        $stalls = array_values(array_map(JournalRows::stall(...), $layout->stalls()->get()->all()));

        return [
            'layout' => $layout,
            'first' => $project->sections[0] ?? null,
            'rail' => $this->rail->of($project, null, $plan->work),
            'current' => $current,
            'number' => $current === null ? 0 : (int) array_search($current, $rounds->due, true) + 1,
            'total' => count($rounds->due),
            'plan' => $current === null ? null : $this->plan($project, $current),
            'boards' => $this->boards($rounds->due),
            'later' => $rounds->later,
            'mends' => self::mends($plan, $words, $project),
            'done' => $this->done($plan, $words),
            ...$this->stalls($project, $stalls, $pass),
        ];
    }

    private function plan(Project $project, DueCheck $check): Svg
    {
        $plan = new BoardPlan(
            $check->section,
            $project,
            $this->land->thumb($project, $check->section),
            "Where on {$check->section->name}",
            self::PLAN_WIDTH,
            self::PLAN_MARGIN_MM,
        );
        if ($check->at !== null) {
            [$x, $y] = $plan->at(...$check->at);
            $plan->svg->circle('mark-ring', $x, $y, 13.0)->circle('mark', $x, $y, 4.0);
        }

        return $plan->svg;
    }

    /**
     * @param  list<DueCheck>  $due
     * @return array<string, list<DueCheck>> board → its checks, in the order of the walk
     */
    private function boards(array $due): array
    {
        $out = [];
        foreach ($due as $one) {
            $out[$one->section->name][] = $one;
        }

        return $out;
    }

    /** @return list<array{key: string, asks: string, note: string, board: string, minutes: int, when: string, holds: int}> */
    public static function mends(BenchPlan $plan, ClockWords $words, Project $project): array
    {
        $boards = array_column(array_map(fn (Section $s): array => [$s->uid, $s->name], $project->sections), 1, 0);
        $held = array_merge(...array_values(array_map(
            fn (array $mends): array => array_map(fn (CheckResult $m): string => $m->uid, $mends),
            $plan->work->mending->heldBack,
        )));
        $out = [];
        foreach ($plan->work->mending->open as $uid => $mend) {
            $out[] = [
                'key' => $mend->key,
                'asks' => $mend->asks,
                'note' => $mend->note,
                'board' => $boards[$mend->section] ?? '',
                'minutes' => $plan->work->mending->minutes($mend),
                'when' => isset($plan->mends[$uid]) ? $words->moment($plan->mends[$uid][0]) : '',
                'holds' => count(array_keys($held, (string) $uid, true)),
            ];
        }

        return $out;
    }

    /** @return list<array{asks: string, answer: string, when: string, note: string}> what was said today */
    private function done(BenchPlan $plan, ClockWords $words): array
    {
        $today = array_filter(
            $plan->work->project->works->journal->checks,
            fn (CheckResult $r): bool => $words->isToday($r->at) && $r->answer !== CheckAnswer::Later,
        );
        $today = array_reverse($today);
        usort($today, fn (CheckResult $a, CheckResult $b): int => $b->at <=> $a->at);

        return array_map(
            fn (CheckResult $r): array => [
                'asks' => $r->asks,
                'answer' => $r->answer->value,
                'when' => $words->clock($r->at),
                'note' => $r->note,
            ],
            array_slice($today, 0, 12),
        );
    }

    /**
     * @param  list<Stall>  $stalls
     * @return array<string, mixed>
     */
    private function stalls(Project $project, array $stalls, ?float $pass): array
    {
        $units = $project->layout->units;
        $last = max([0, ...array_map(fn (Stall $s): int => $s->pass, $stalls)]);
        $tracks = array_values(array_filter($project->runs, fn (Run $r): bool => $r->kind === RunKind::Track));
        $repeats = StallMap::repeats($stalls);
        $names = array_column(array_map(fn (Run $r): array => [$r->uid, $r->name], $tracks), 1, 0);
        $strips = [];
        foreach ($tracks as $run) {
            $here = array_values(array_filter($stalls, fn (Stall $s): bool => $s->run === $run->uid));
            if ($here !== []) {
                $its = array_values(array_filter($repeats, fn (array $r): bool => $r['run'] === $run->uid));
                $strips[] = ['name' => $run->name, 'count' => count($here), 'drawing' => StallDrawing::of($run, $here, $its)];
            }
        }

        return [
            'runs' => $names,
            'vehicles' => array_map(fn (Vehicle $v): string => $v->name, $project->layout->clearance->vehicles),
            'mishaps' => array_map(fn (Mishap $m): string => $m->value, Mishap::cases()),
            'pass' => (int) ($pass ?? max(1, $last)),
            'lastPass' => $last,
            'strips' => $strips,
            'repeats' => array_map(fn (array $r): array => [
                'where' => ($names[$r['run']] ?? 'a run that is gone').', '.Format::length($r['from']).' to '.
                    Format::length($r['to']),
                'passes' => $r['passes'],
                'told' => $r['told'],
            ], $repeats),
        ];
    }
}
