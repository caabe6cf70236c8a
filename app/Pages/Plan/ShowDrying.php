<?php

declare(strict_types=1);

namespace App\Pages\Plan;

use App\Actions\Ledger\Ledger;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Pages\Rail\ShowRail;
use DateTimeImmutable;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;

/** The Drying line: the plan over the coming days, why not sooner, and the sessions it is made of. */
final readonly class ShowDrying
{
    private const MIN_DAYS = 8;

    private const MAX_DAYS = 21;

    public function __construct(private ProjectLoader $load, private ComputedPlan $desk, private ShowRail $rail, private Ledger $ledger)
    {
    }

    /** @return array<string, mixed> for the view drying.show */
    public function of(Layout $layout, string $picked): array
    {
        $project = $this->load->of($layout);
        $plan = $this->desk->planOf($project, $this->desk->minute());
        $words = new ClockWords($plan->work->zone(), $plan->work->now);
        $from = intdiv($words->at($plan->work->now)->setTime(0, 0)->getTimestamp(), 60);
        $last = max($plan->lastHandsOn() ?? 0, $plan->ready(0.9) ?? 0);
        $days = max(self::MIN_DAYS, min(self::MAX_DAYS, (int) ceil(($last - $from) / 1440)));
        $chain = $plan->chain();
        $found = array_values(array_filter($plan->moves, fn (PlacedMove $p): bool => $p->move->id === $picked))[0] ?? null;
        $page = new DryingPage(
            $plan,
            $words,
            $from,
            $days,
            $chain,
            $found?->move->id,
            fn (string $move): string => route('drying.show', [$layout, 'move' => $move]),
        );

        return [
            'layout' => $layout,
            'project' => $project,
            'words' => $words,
            'plan' => $plan,
            'first' => $project->sections[0] ?? null,
            'rail' => $this->rail->of($project, null, $plan->work),
            'line' => TimelineDrawing::of($page),
            'span' => $words->day($from).' to '.$words->day($from + 1440 * $days - 60),
            'facts' => $this->facts($plan, $words),
            'picked' => $found,
            'held' => $found !== null && in_array($found->move->id, $chain, true),
            'times' => array_map(
                fn (BenchTime $t): array => [
                    'uid' => $t->uid,
                    'kind' => $t->kind->value,
                    'visit' => $t->kind === BenchTimeKind::Visit || $t->kind === BenchTimeKind::Single,
                    'text' => $this->sentence($t),
                ],
                array_values(array_filter($project->works->times, fn (BenchTime $t): bool => $t->kind !== BenchTimeKind::Busy)),
            ),
            'next' => $this->ledger->next($layout),
            'show' => $this->show($plan, $words),
            'moves' => array_slice($plan->moves, 0, 60),
            'unplaced' => array_slice($plan->unplaced, 0, 12),
            'dayNames' => BenchTime::DAYS,
        ];
    }

    /** @return list<array{label: string, figure: Quantity|null, text: string, unit: string}> */
    private function facts(BenchPlan $plan, ClockWords $words): array
    {
        $facts = [
            [
                'label' => 'Moves to come',
                'figure' => new Quantity(count($plan->moves), 'moves', 'applications that are planned'),
                'text' => '',
                'unit' => $plan->unplaced === [] ? 'all in sessions' : count($plan->unplaced).' in none',
            ],
            [
                'label' => 'Hands on',
                'figure' => new Quantity($plan->minutes() / 60.0, 'h', 'minutes of all planned moves', decimals: 1),
                'text' => '',
                'unit' => 'h',
            ],
        ];
        $last = $plan->lastHandsOn();
        if ($last !== null) {
            $facts[] = [
                'label' => 'Last hands-on minute',
                'figure' => null,
                'text' => $words->at($last)->format('D j M'),
                'unit' => $words->clock($last),
            ];
        }
        [$half, $most] = [$plan->ready(0.5), $plan->ready(0.9)];
        if ($half !== null && $most !== null) {
            $facts[] = [
                'label' => 'All cured, 50–90 %',
                'figure' => null,
                'text' => $words->at($half)->format('j M'),
                'unit' => 'to '.$words->at($most)->format('j M'),
            ];
        }

        return $facts;
    }

    /** @return array{date: string, text: string, late: bool}|null */
    private function show(BenchPlan $plan, ClockWords $words): ?array
    {
        $date = $plan->work->project->layout->showOn;
        if ($date === null) {
            return null;
        }
        $at = intdiv((new DateTimeImmutable($date, $plan->work->zone()))->getTimestamp(), 60);
        $boards = array_filter(
            $plan->slack(),
            fn (int $slack, string $uid): bool => ($plan->work->rules()->dueOf($uid)->date ?? null) === null,
            ARRAY_FILTER_USE_BOTH,
        );
        $slack = $boards === [] || ($plan->moves === [] && $plan->work->project->works->laid === []) ? null : min($boards);
        $sure = '('.Decimal::trimmed(100.0 * $plan->work->certainty(), 0).' %)';
        $text = match (true) {
            $plan->unplaced !== [] => 'some moves find no session before it',
            $slack === null => 'nothing is planned before it',
            $slack < 0 => 'safe to travel '.ClockWords::span(-$slack)." too late {$sure}",
            default => 'safe to travel '.ClockWords::span($slack)." before it {$sure}",
        };

        return [
            'date' => $date,
            'text' => $words->day($at).': '.$text,
            'late' => $plan->unplaced !== [] || ($slack !== null && $slack < 0),
        ];
    }

    private function sentence(BenchTime $time): string
    {
        $hours =
            BenchTime::clock($time->from).
            '–'.
            BenchTime::clock($time->to).
            ($time->hands > 1 ? ", {$time->hands} pairs of hands" : '').
            ($time->who === '' ? '' : ", {$time->who}");
        $date = $time->date === null ? '' : (new DateTimeImmutable($time->date))->format('D j M Y');

        $until = $time->until === null ? '' : ' to '.(new DateTimeImmutable($time->until))->format('D j M');

        return match ($time->kind) {
            BenchTimeKind::Weekly => substr(BenchTime::DAYS[$time->weekday ?? 1], 0, 3).", {$hours}",
            BenchTimeKind::Single => "{$date}, {$hours}",
            BenchTimeKind::Visit => "{$date}{$until}, {$hours}",
            default => "{$date}{$until} closed",
        };
    }
}
