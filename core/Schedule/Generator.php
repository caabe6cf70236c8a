<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

/**
 * A serial generation scheme: takes jobs by priority, each at its earliest fitting start. Where a greatest wait would be
 * overrun, the earlier job is pushed back and all is placed anew (R. Kolisch and S. Hartmann, "Heuristic algorithms for
 * the resource-constrained project scheduling problem", 1999, widened by pushing back).
 */
final class Generator
{
    /** How often jobs may be pushed back before an order is given up. */
    private const PUSHES = 80;

    public function __construct(private readonly Problem $problem, private readonly Windows $windows)
    {
    }

    /**
     * @param list<string> $order all jobs, the most urgent first
     * @param bool $most leave out what finds no place, and what waits for it, instead of giving up
     * @return array<string, int>|null starts, null when this order leads nowhere
     */
    public function place(array $order, bool $most = false): ?array
    {
        $floors = [];
        for ($push = 0; $push < self::PUSHES; $push++) {
            $starts = [];
            $left = $order;
            while ($left !== []) {
                $next = $this->firstFree($left, $starts);
                if ($next === null) {
                    return $most ? $starts : null;
                }
                $id = $left[$next];
                array_splice($left, $next, 1);
                $start = $this->earliest($id, $starts, $floors[$id] ?? 0);
                if ($start === null) {
                    if ($most) {
                        continue;
                    }

                    return null;
                }
                $late = $this->overrun($id, $start, $starts);
                if ($late !== null) {
                    [$earlier, $floor] = $late;
                    $floors[$earlier] = $floor;

                    continue 2;
                }
                $starts[$id] = $start;
            }

            return $starts;
        }

        return null;
    }

    /**
     * @param list<string> $left
     * @param array<string, int> $starts
     */
    private function firstFree(array $left, array $starts): ?int
    {
        foreach ($left as $k => $id) {
            foreach ($this->problem->before[$id] ?? [] as $wait) {
                if (! isset($starts[$wait->after])) {
                    continue 2;
                }
            }

            return $k;
        }

        return null;
    }

    /** @param  array<string, int>  $starts */
    private function earliest(string $id, array $starts, int $floor): ?int
    {
        $job = $this->problem->jobs[$id];
        foreach ($this->problem->before[$id] ?? [] as $wait) {
            $floor = max($floor, $wait->gap->earliest($starts[$wait->after] + $this->problem->jobs[$wait->after]->minutes));
        }
        foreach ($this->windows->of[$id] as [$from, $to]) {
            $start = max($from, $floor);
            while ($start <= $to) {
                $free = $this->freeFrom($job, $start, $starts);
                if ($free === $start) {
                    return $start;
                }
                $start = $free;
            }
        }

        return null;
    }

    /**
     * The start itself if the job fits there, otherwise the earliest later minute worth trying.
     *
     * @param array<string, int> $starts
     */
    private function freeFrom(Job $job, int $start, array $starts): int
    {
        $end = $start + $job->minutes;
        $most = $this->problem->handsAt($start);
        $events = [];
        $next = PHP_INT_MAX;
        foreach ($starts as $other => $at) {
            $until = $at + $this->problem->jobs[$other]->minutes;
            if ($at < $end && $until > $start) {
                if (in_array($other, $this->problem->others[$job->id] ?? [], true)) {
                    return $until;
                }
                $events[$other] = [$at, $until];
                $next = min($next, $until);
            }
        }
        // Between events nothing changes: look at the start and wherever another job begins.
        foreach ([$start, ...array_filter(array_column($events, 0), fn (int $at): bool => $at > $start)] as $minute) {
            $hands = $job->hands;
            $tools = array_fill_keys($job->tools, 1);
            foreach ($events as $other => [$at, $until]) {
                if ($at <= $minute && $until > $minute) {
                    $hands += $this->problem->jobs[$other]->hands;
                    foreach ($this->problem->jobs[$other]->tools as $tool) {
                        if (isset($tools[$tool])) {
                            $tools[$tool]++;
                        }
                    }
                }
            }
            if ($hands > $most) {
                return $next;
            }
            foreach ($tools as $tool => $used) {
                if ($used > $this->problem->tools[$tool]) {
                    return $next;
                }
            }
        }

        return $start;
    }

    /**
     * The earlier job of a wait that a start would overrun, and from when on it has to start instead.
     *
     * @param array<string, int> $starts
     * @return array{string, int}|null
     */
    private function overrun(string $id, int $start, array $starts): ?array
    {
        foreach ($this->problem->before[$id] ?? [] as $wait) {
            $minutes = $this->problem->jobs[$wait->after]->minutes;
            $latest = $wait->gap->latest($starts[$wait->after], $starts[$wait->after] + $minutes);
            if ($latest !== null && $start > $latest) {
                return [$wait->after, $starts[$wait->after] + $start - $latest];
            }
        }

        return null;
    }
}
