<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

/**
 * A serial generation scheme: takes jobs by priority, each at its earliest fitting start. Where a greatest wait would be
 * overrun, the earlier job is pushed back and all is placed anew (R. Kolisch and S. Hartmann, "Heuristic algorithms for
 * the resource-constrained project scheduling problem", 1999, widened by pushing back).
 */
final class ScheduleGenerator
{
    /** How often jobs may be pushed back before an order is given up. */
    private const MAX_PUSHES = 80;

    /** @var array<string, list<string>> job → those that wait for it */
    private array $after = [];

    /** @var array<string, true> jobs that must not come late after another */
    private array $urgent = [];

    private bool $eager = false;

    /** @var array<string, list<int>> job → the session of each of its windows */
    private array $sessionOf = [];

    /** @var array<int, list<string>> session → jobs placed in it */
    private array $placed = [];

    /** @var array<string, list<array{int, int}>> tool → from when to when it is taken */
    private array $taken = [];

    /** @var array<string, int> */
    private array $starts = [];

    public function __construct(private readonly Problem $problem, private readonly StartWindows $windows)
    {
        foreach ($problem->waits as $wait) {
            $this->after[$wait->after][] = $wait->before;
            if ($wait->gap->latest(0, 1) !== null) {
                $this->urgent[$wait->before] = true;
            }
        }
        foreach ($windows->of as $id => $ranges) {
            $session = 0;
            foreach ($ranges as [$from]) {
                while ($problem->sessions[$session][1] <= $from) {
                    $session++;
                }
                $this->sessionOf[$id][] = $session;
            }
        }
    }

    /**
     * @param  list<string>  $order all jobs, the most urgent first
     * @param  bool  $most leave out what finds no place, and what waits for it, instead of giving up
     * @param  bool  $eager what must not come late goes before all others as soon as it may: fewer orders lead nowhere
     * @return array<string, int>|null starts, null when this order leads nowhere
     */
    public function place(array $order, bool $most = false, bool $eager = false): ?array
    {
        $this->eager = $eager;
        $floors = $gone = [];
        for ($push = 0; $push < self::MAX_PUSHES; $push++) {
            $late = $this->attempt(array_values(array_diff($order, $gone)), $floors, $most);
            if ($late === null) {
                return $this->starts;
            }
            [$id, $floor] = $late;
            if ($floor === null && ! $most) {
                return null;
            }
            if ($floor === null || ($most && $push === self::MAX_PUSHES - 2)) {
                // What finds no place however far others are pushed stays out, and all is placed without it.
                $gone[] = $id;
                $floors = [];
                $push = 0;

                continue;
            }
            $floors[$id] = $floor;
        }

        return null;
    }

    /**
     * A plan and some more jobs of one session, each at its earliest start in it after those before it in the list.
     *
     * @param  array<string, int>  $starts
     * @param  list<string>  $more each after those it waits for
     * @return array<string, int>|null null where one finds no place in the session
     */
    public function extended(array $starts, array $more, int $session): ?array
    {
        $this->placed = $this->starts = [];
        $this->taken = $this->problem->taken;
        foreach ($starts as $id => $start) {
            $this->put((string) $id, $start);
        }
        [$from, $to] = $this->problem->sessions[$session];
        foreach ($more as $id) {
            $start = $this->earliest($id, $from);
            if (! is_int($start) || $start >= $to) {
                return null;
            }
            $this->put($id, $start);
        }

        return $this->starts;
    }

    /**
     * @param  list<string>  $order
     * @param  array<string, int>  $floors
     * @return array{string, int|null}|null null when all is placed; else the job to push back, and from when on it may start
     *     (null: it finds no place)
     */
    private function attempt(array $order, array $floors, bool $most): ?array
    {
        $this->placed = $this->starts = [];
        $this->taken = $this->problem->taken;
        $open = [];
        foreach ($order as $id) {
            $open[$id] = count($this->problem->before[$id] ?? []);
        }
        $rank = array_flip($order);
        $free = new RankQueue();
        foreach ($open as $id => $count) {
            if ($count === 0) {
                $free->insert((string) $id, $rank[$id]);
            }
        }
        while (($id = $free->next()) !== null) {
            $start = $this->earliest($id, $floors[$id] ?? 0);
            if (is_array($start)) {
                return $start;
            }
            if ($start === null) {
                if (! $most || $floors !== []) {
                    return [$id, null];
                }

                continue;
            }
            $this->put($id, $start);
            foreach ($this->after[$id] ?? [] as $next) {
                if (isset($open[$next]) && --$open[$next] === 0) {
                    $free->insert($next, $this->eager && isset($this->urgent[$next]) ? -1 - $rank[$next] : $rank[$next]);
                }
            }
        }

        return null;
    }

    private function put(string $id, int $start): void
    {
        $job = $this->problem->jobs[$id];
        $this->starts[$id] = $start;
        foreach ($this->windows->of[$id] as $k => [$from, $to]) {
            if ($start >= $from && $start <= $to) {
                $this->placed[$this->sessionOf[$id][$k]][] = $id;

                break;
            }
        }
        foreach ($job->tools as $tool) {
            $end = $start + $job->minutes;
            $this->taken[$tool][] = [$start, isset($job->holds[$tool]) ? max($end, $job->holds[$tool]->earliest($end)) : $end];
        }
    }

    /**
     * The first start at which a job fits; null when there is none, and where a greatest wait would be overrun the earlier job
     * with the start it has to be pushed back to.
     *
     * @return int|array{string, int}|null
     */
    private function earliest(string $id, int $floor): int|array|null
    {
        $job = $this->problem->jobs[$id];
        $floor = max($floor, $job->notBefore);
        $ends = [];
        foreach ($this->problem->before[$id] ?? [] as $wait) {
            $ends[$wait->after] = $this->starts[$wait->after] + $this->problem->jobs[$wait->after]->minutes;
            $floor = max($floor, $wait->gap->earliest($ends[$wait->after]));
        }
        $missed = null;
        foreach ($this->windows->of[$id] as $k => [$from, $to]) {
            $start = max($from, $floor);
            while ($start <= $to) {
                $free = $this->freeFrom($job, $start, $this->sessionOf[$id][$k]);
                if ($free === $start) {
                    $held = $this->held($id, $start, $ends);
                    if ($held === null) {
                        return $start;
                    }
                    [$free, $late] = $held;
                    $missed ??= $late;
                    if ($free === null) {
                        return $late;
                    }
                }
                $start = $free;
            }
        }

        return $missed;
    }

    /**
     * What keeps a start from coming so late after the jobs before it.
     *
     * @param  array<string, int>  $ends
     * @return array{int|null, array{string, int}}|null the next start worth trying, if any, and the earlier job with the start it would
     *     have to have
     */
    private function held(string $id, int $start, array $ends): ?array
    {
        foreach ($this->problem->before[$id] ?? [] as $wait) {
            $end = $ends[$wait->after];
            $latest = $wait->gap->latest($this->starts[$wait->after], $end);
            if ($latest !== null && $start > $latest) {
                $again = $wait->gap->again($end);
                if ($again === null || $start < $again) {
                    return [$again, [$wait->after, $this->starts[$wait->after] + $start - $latest]];
                }
            }
        }

        return null;
    }

    /** The start itself if the job fits there, otherwise the earliest later minute worth trying. */
    private function freeFrom(Job $job, int $start, int $session): int
    {
        $end = $start + $job->minutes;
        foreach ($this->problem->others[$job->id] ?? [] as $other) {
            $at = $this->starts[$other] ?? null;
            $clear = (int) $at + $this->problem->jobs[$other]->minutes + $this->problem->jobs[$other]->clear;
            if ($at !== null && $at < $end + $job->clear && $clear > $start) {
                return $clear;
            }
        }
        $events = [];
        $minutes = [$start];
        $next = PHP_INT_MAX;
        foreach ($this->placed[$session] ?? [] as $other) {
            $at = $this->starts[$other];
            $until = $at + $this->problem->jobs[$other]->minutes;
            if ($at < $end && $until > $start) {
                $events[] = [$at, $until, $this->problem->jobs[$other]->demand];
                $next = min($next, $until);
                if ($at > $start) {
                    $minutes[] = $at;
                }
            }
        }
        $steps = $this->problem->steps[$session];
        foreach ($steps as [$from]) {
            if ($from > $start && $from < $end) {
                $minutes[] = $from;
            }
            if ($from > $start) {
                $next = min($next, $from);
            }
        }
        // Between these minutes nothing changes.
        foreach ($minutes as $minute) {
            $demand = $job->demand;
            foreach ($events as [$at, $until, $its]) {
                if ($at <= $minute && $until > $minute) {
                    $demand += $its;
                }
            }
            $most = 0;
            foreach ($steps as [$from, $there]) {
                if ($from <= $minute) {
                    $most = $there;
                }
            }
            if ($demand > $most) {
                return $next;
            }
        }
        foreach ($job->tools as $tool) {
            $free = $this->toolFrom($job, $tool, $start, $end);
            if ($free !== $start) {
                return $free;
            }
        }

        return $start;
    }

    private function toolFrom(Job $job, string $tool, int $start, int $end): int
    {
        $until = isset($job->holds[$tool]) ? max($end, $job->holds[$tool]->earliest($end)) : $end;
        $over = array_values(array_filter($this->taken[$tool] ?? [], fn (array $t): bool => $t[0] < $until && $t[1] > $start));
        if (count($over) < $this->problem->tools[$tool]) {
            return $start;
        }
        foreach ([$start, ...array_filter(array_column($over, 0), fn (int $at): bool => $at > $start)] as $minute) {
            if (count(array_filter($over, fn (array $t): bool => $t[0] <= $minute && $t[1] > $minute)) >= $this->problem->tools[$tool]) {
                return min([PHP_INT_MAX, ...array_column($over, 1)]);
            }
        }

        return $start;
    }
}
