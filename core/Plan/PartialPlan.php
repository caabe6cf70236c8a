<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Schedule\Solver;

/** As much as finds a place, but nothing whose follower would have to come within a while and finds none. */
final readonly class PartialPlan
{
    /** Moves are taken out and all is tried again at most so often. */
    private const MAX_TRIES = 20;

    /**
     * @param  array<string, array{int, int}>  $at start and end of moves
     * @param  array<string, Move>  $left moves that are better not begun → the follower that finds no place
     * @param  array<string, array{int, int}>  $mends check that was not right (uid) → when it is put right
     */
    private function __construct(public array $at, public array $left, public array $mends)
    {
    }

    /** @param  list<string>|null  $order  jobs, the most urgent first */
    public static function of(BenchWork $work, PlanProblem $of, ?array $order = null): self
    {
        $left = $gone = $at = $starts = [];
        for ($try = 0; $try < self::MAX_TRIES; $try++) {
            $starts = Solver::most($of->problem->without($gone), $order);
            $at = $of->moves($starts);
            $open = self::leftOpen($work, $at);
            if ($open === []) {
                break;
            }
            $left += $open;
            foreach (array_keys($open) as $move) {
                array_push($gone, ...self::withFollowers($of, (string) $move));
            }
            $gone = array_values(array_unique($gone));
        }

        return new self($at, $left, $of->mends($starts));
    }

    /**
     * The follower that a move must not be left without, if it is not there.
     *
     * @param  array<string, array{int, int}>  $at
     * @return array<string, Move> move that would be left open → its follower
     */
    public static function leftOpen(BenchWork $work, array $at): array
    {
        $open = [];
        foreach ($work->moves as $id => $move) {
            foreach (isset($at[$id]) ? [] : $work->bases[$id] as $base) {
                if (
                    $base->window !== null &&
                    $base->window->again === null &&
                    $base->under instanceof Move &&
                    isset($at[$base->under->id])
                ) {
                    $open[$base->under->id] = $move;
                }
            }
        }

        return $open;
    }

    /** @return list<string> jobs */
    private static function withFollowers(PlanProblem $of, string $move): array
    {
        $jobs = $of->jobs([$move]);
        do {
            $before = count($jobs);
            foreach ($of->problem->waits as $wait) {
                if (in_array($wait->after, $jobs, true) && ! in_array($wait->before, $jobs, true)) {
                    $jobs[] = $wait->before;
                }
            }
        } while (count($jobs) > $before);

        return $jobs;
    }
}
