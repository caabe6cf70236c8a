<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

/**
 * How good a plan is: deadlines first, then the earliest finish, then few days with a session, then little idle time between
 * moves. Where groups take turns, the finish of each counts before that of the next.
 */
final class Objective
{
    /** The next group's finish counts this much less. */
    private const NEXT_GROUP_WEIGHT = 0.1;

    private const SPILL_WEIGHT = 2.0;

    /** @var array<string, int> */
    private array $due;

    private bool $turns;

    public function __construct(private readonly Problem $problem)
    {
        $this->due = array_filter(array_map(fn (Job $j): ?int => $j->due, $problem->jobs), fn (?int $d): bool => $d !== null);
        $this->turns = count(array_unique(array_map(fn (Job $j): int => $j->group, $problem->jobs))) > 1;
    }

    /** Whether nothing but the finish counts: then a plan that meets the lower bound is the best. */
    public function isFinishAlone(): bool
    {
        return $this->due === [] && ! $this->turns;
    }

    /**
     * @param  array<string, int>  $starts
     * @return array{int, float, int, int, int} minutes late, finish (weighed where groups take turns), session days, idle minutes, minutes
     *     of work in the last session
     */
    public function of(array $starts): array
    {
        $late = 0;
        foreach ($this->due as $id => $due) {
            if (isset($starts[$id])) {
                $late += max(0, $starts[$id] + $this->problem->jobs[$id]->minutes - $due);
            }
        }
        $spans = [];
        $groups = [];
        foreach ($starts as $id => $start) {
            $job = $this->problem->jobs[$id];
            $end = $start + $job->minutes;
            $groups[$job->group] = max($groups[$job->group] ?? 0, $end);
            $session = $this->sessionAt($start);
            [$first, $last, $work] = $spans[$session] ?? [$start, $end, 0];
            $spans[$session] = [min($first, $start), max($last, $end), $work + $job->minutes];
        }
        ksort($groups);
        $finish = 0.0;
        $weight = 1.0;
        foreach ($groups as $end) {
            $finish += $weight * $end;
            $weight *= self::NEXT_GROUP_WEIGHT;
        }
        $idle = array_sum(array_map(fn (array $s): int => max(0, $s[1] - $s[0] - $s[2]), $spans));

        ksort($spans);

        return [$late, $this->turns ? $finish : (float) max([0, ...$groups]), count($spans), (int) $idle, end($spans)[2] ?? 0];
    }

    /**
     * The same as one number, by which a search finds its way: being early on average counts a little, and so does little work in
     * the last session, which may then not be needed.
     *
     * @param  array<string, int>|null  $starts
     */
    public function cost(?array $starts): float
    {
        if ($starts === null) {
            return INF;
        }
        [$late, $finish, $days, $idle, $spill] = $this->of($starts);

        return 1e3 * $late +
            $finish +
            1e-2 * $days +
            1e-4 * $idle +
            self::SPILL_WEIGHT * $spill +
            ($starts === [] ? 0.0 : (1e-3 * array_sum($starts)) / count($starts));
    }

    private function sessionAt(int $minute): int
    {
        $low = 0;
        $high = count($this->problem->sessions) - 1;
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            if ($this->problem->sessions[$middle][0] <= $minute) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }

        return $low;
    }
}
