<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

use IdleRidge\Core\Measure\Budget;
use Random\Randomizer;

/**
 * Plans along sets that reach the end by a moment, session by session: what each set has more than the one before is put in sequence
 * within its session, in some orders, and a few plans of the best sets go on. It finds plans that changes of another do not
 * come to, where sessions have to be filled to the last minute.
 */
final readonly class SessionBeam
{
    private const MAX_SETS = 80;

    private const PLANS_A_SET = 3;

    private const ORDERS_A_STEP = 24;

    private ScheduleGenerator $generator;

    /** @var array<int, list<int>> job → those it waits for */
    private array $before;

    /** @param  array{ids: list<string>, all: int, ways: list<array<int, list<int>>>}  $ways as `SessionRelaxation` has them */
    public function __construct(private Problem $problem, private array $ways)
    {
        $this->generator = new ScheduleGenerator($problem, StartWindows::in($problem));
        $number = array_flip($ways['ids']);
        $before = [];
        foreach ($ways['ids'] as $k => $id) {
            $before[$k] = array_map(fn (Precedence $w): int => $number[$w->after], $problem->before[$id] ?? []);
        }
        $this->before = $before;
    }

    /** @return array<string, int>|null starts of all jobs, the earliest end that was found */
    public function plan(Randomizer $random, Budget $budget): ?array
    {
        $level = [0 => [[]]];
        foreach ($this->ways['ways'] as $session => $ways) {
            $next = [];
            foreach ($level as $set => $plans) {
                foreach ($ways[$set] ?? [] as $to) {
                    foreach ($plans as $starts) {
                        $next[$to] = $this->widened($session, $starts, $set ^ $to, $random, $next[$to] ?? []);
                    }
                    if ($budget->spent() >= 1.0) {
                        return null;
                    }
                }
            }
            $best = null;
            foreach ($next[$this->ways['all']] ?? [] as $starts) {
                $best = $best === null || Solver::finish($this->problem, $starts) < Solver::finish($this->problem, $best) ? $starts : $best;
            }
            if ($best !== null) {
                return $best;
            }
            $level = $this->kept(array_filter($next));
        }

        return null;
    }

    /**
     * @param  array<string, int>  $starts
     * @param  list<array<string, int>>  $plans of the set so far
     * @return list<array<string, int>>
     */
    private function widened(int $session, array $starts, int $more, Randomizer $random, array $plans): array
    {
        $jobs = array_values(array_filter(array_keys($this->ways['ids']), fn (int $k): bool => ($more >> $k & 1) === 1));
        if ($jobs === []) {
            return [...$plans, $starts];
        }
        for ($try = 0; $try < self::ORDERS_A_STEP && count($plans) < 3 * self::PLANS_A_SET; $try++) {
            $found = $this->generator->extended($starts, $this->sequence($jobs, $random), $session);
            if ($found !== null && ! in_array($found, $plans, true)) {
                $plans[] = $found;
            }
        }

        return $plans;
    }

    /**
     * The sets with the most work done, of each the plans whose last ends are the earliest.
     *
     * @param  array<int, list<array<string, int>>>  $next
     * @return array<int, list<array<string, int>>>
     */
    private function kept(array $next): array
    {
        $work = [];
        foreach (array_keys($next) as $set) {
            $work[$set] = 0;
            foreach ($this->ways['ids'] as $k => $id) {
                $work[$set] += ($set >> $k & 1) * $this->problem->jobs[$id]->minutes * $this->problem->jobs[$id]->demand;
            }
        }
        arsort($work);
        $out = [];
        foreach (array_slice(array_keys($work), 0, self::MAX_SETS) as $set) {
            $plans = $next[$set];
            usort($plans, fn (array $a, array $b): int => array_sum($a) <=> array_sum($b));
            $out[$set] = array_slice($plans, 0, self::PLANS_A_SET);
        }

        return $out;
    }

    /**
     * @param  list<int>  $jobs
     * @return list<string> each after those it waits for, else as chance has it
     */
    private function sequence(array $jobs, Randomizer $random): array
    {
        $out = [];
        $left = array_fill_keys($jobs, true);
        while ($left !== []) {
            $open = array_keys(array_filter(
                $left,
                fn (bool $is, int $k): bool => array_filter($this->before[$k], fn (int $one): bool => isset($left[$one])) === [],
                ARRAY_FILTER_USE_BOTH,
            ));
            $k = $open[$random->getInt(0, count($open) - 1)];
            $out[] = $this->ways['ids'][$k];
            unset($left[$k]);
        }

        return $out;
    }
}
