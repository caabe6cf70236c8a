<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Cure\Milestone;

/**
 * What can be finished by a moment and left safe: as much as fits, what most else waits for first; nothing is begun whose
 * follower would have to come within a while and cannot.
 */
final readonly class ReadyBy
{
    /**
     * @param  list<array{placed: PlacedMove, state: string, ready: int}>  $moves in order; how each is left: dry through, set or wet
     * @param  list<array{move: Move, why: string}>  $left what is better not begun
     */
    private function __construct(public int $at, public float $certainty, public array $moves, public array $left)
    {
    }

    public static function of(BenchWork $work, int $at): self
    {
        $of = new PlanProblem($work, $at);
        $problem = $of->problem;
        $worth = self::worth($work, $of);
        $order = array_map('strval', array_keys($problem->jobs));
        usort($order, fn (string $a, string $b): int => $worth[$b] <=> $worth[$a]);
        $careful = PartialPlan::of($work, $of, $order);
        $found = ['status' => 'feasible', 'at' => $careful->at, 'cold' => [], 'bound' => 0];
        $plan = BenchPlan::of($work, $found);
        $moves = [];
        foreach ($plan->moves as $placed) {
            $moves[] = self::left($plan, $placed, $at);
        }

        $left = array_map(
            fn (string $id, Move $follower): array => [
                'move' => $work->moves[$id],
                'why' => "“{$follower->title()}” would have to follow it within a while, and no session is left for that",
            ],
            array_keys($careful->left),
            $careful->left,
        );

        return new self($at, $work->certainty(), $moves, $left);
    }

    /** Whether all that is begun will be dry through by then. */
    public function isDry(): bool
    {
        return array_filter($this->moves, fn (array $m): bool => $m['state'] !== 'dry through') === [];
    }

    /** @return array{placed: PlacedMove, state: string, ready: int} how a move is left at a moment, and when it is dry through */
    public static function left(BenchPlan $plan, PlacedMove $placed, int $at): array
    {
        return [
            'placed' => $placed,
            'state' => self::state($plan, $placed, $at),
            'ready' => $plan->reached($placed, BenchPlan::through($placed->move->recipe->cure->minutes), $plan->work->certainty()),
        ];
    }

    private static function state(BenchPlan $plan, PlacedMove $placed, int $at): string
    {
        $minutes = $placed->move->recipe->cure->minutes;
        $reached = fn (Milestone $m): bool => $plan->reached($placed, $m, $plan->work->certainty()) <= $at;

        return match (true) {
            $reached(BenchPlan::through($minutes)) => 'dry through',
            isset($minutes[Milestone::TouchDry->value]) ? $reached(Milestone::TouchDry) : $reached(BenchPlan::through($minutes)) => 'set',
            default => 'wet',
        };
    }

    /** @return array<string, int> job → minutes of work and waiting that depend on it */
    private static function worth(BenchWork $work, PlanProblem $of): array
    {
        $worth = [];
        foreach (array_reverse($of->problem->inOrder() ?? []) as $id) {
            $follows = 0;
            foreach ($of->problem->waits as $wait) {
                if ($wait->after === $id) {
                    $follows = max($follows, $wait->gap->least() + ($worth[$wait->before] ?? 0));
                }
            }
            $worth[$id] = $of->problem->jobs[$id]->minutes + $follows;
        }

        return $worth;
    }
}
