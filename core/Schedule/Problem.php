<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * Jobs to fit into bench sessions. Times are whole minutes from 0; sessions are [from, to], in order, disjoint, each with
 * the hands of the problem or its own, which may change while it lasts.
 */
final readonly class Problem
{
    /** @var array<string, Job> */
    public array $jobs;

    /** @var array<string, list<Precedence>> job → the waits that end with it */
    public array $before;

    /** @var array<string, list<string>> job → jobs it must not overlap */
    public array $others;

    /** @var list<list<array{int, int}>> of each session: from when on, how many hands */
    public array $steps;

    /**
     * @param  array<string, int>  $tools
     * @param  list<array{int, int}>  $sessions
     * @param  list<Job>  $jobs
     * @param  list<Precedence>  $waits
     * @param  list<array{string, string}>  $apart
     * @param  list<int|list<array{int, int}>>  $sessionCapacity hands in each session, or from when on how many; the problem’s
     *     where none is given
     * @param  array<string, list<array{int, int}>>  $taken tool → from when to when something else has one
     *
     * @throws InvalidValue with a JSON pointer
     */
    public function __construct(
        public int $horizon,
        public int $capacity,
        public array $tools,
        public array $sessions,
        array $jobs,
        public array $waits = [],
        public array $apart = [],
        array $sessionCapacity = [],
        public array $taken = [],
    ) {
        InvalidValue::unlessBetween($horizon, 1, 10_000_000, 'The horizon', 'min', '/horizon');
        InvalidValue::unlessBetween($capacity, 1, 50, 'The hands', '', '/hands');
        $last = 0;
        foreach ($sessions as $k => [$from, $to]) {
            if ($to <= $from) {
                throw new InvalidValue('a session ends before it begins', "/sessions/{$k}");
            }
            if ($from < $last || $to > $horizon) {
                throw new InvalidValue('sessions stand in order, do not overlap and end within the horizon', "/sessions/{$k}");
            }
            $last = $to;
        }
        $byId = [];
        foreach ($jobs as $k => $job) {
            if (isset($byId[$job->id])) {
                throw new InvalidValue("the job “{$job->id}” stands twice", "/jobs/{$k}/id");
            }
            foreach ($job->tools as $tool) {
                if (! isset($tools[$tool])) {
                    throw new InvalidValue("there is no tool “{$tool}”", "/jobs/{$k}/tools");
                }
            }
            $byId[$job->id] = $job;
        }
        $before = $others = [];
        foreach ($waits as $k => $wait) {
            foreach ([$wait->after, $wait->before] as $id) {
                if (! isset($byId[$id])) {
                    throw new InvalidValue("there is no job “{$id}”", "/waits/{$k}");
                }
            }
            $before[$wait->before][] = $wait;
        }
        foreach ($apart as $k => [$a, $b]) {
            foreach ([$a, $b] as $id) {
                if (! isset($byId[$id])) {
                    throw new InvalidValue("there is no job “{$id}”", "/apart/{$k}");
                }
            }
            $others[$a][] = $b;
            $others[$b][] = $a;
        }

        $steps = [];
        foreach ($sessions as $k => [$from]) {
            $here = $sessionCapacity[$k] ?? $capacity;
            $steps[] = is_int($here) ? [[$from, $here]] : $here;
        }

        $this->jobs = $byId;
        $this->before = $before;
        $this->others = $others;
        $this->steps = $steps;
    }

    /**
     * The same with some jobs, and all that is about them, left out.
     *
     * @param  list<string>  $ids
     */
    public function without(array $ids): self
    {
        $gone = array_fill_keys($ids, true);

        return $ids === []
            ? $this
            : new self(
                $this->horizon,
                $this->capacity,
                $this->tools,
                $this->sessions,
                array_values(array_diff_key($this->jobs, $gone)),
                array_values(
                    array_filter($this->waits, fn (Precedence $w): bool => ! isset($gone[$w->after]) && ! isset($gone[$w->before])),
                ),
                array_values(array_filter($this->apart, fn (array $pair): bool => ! isset($gone[$pair[0]]) && ! isset($gone[$pair[1]]))),
                $this->steps,
                $this->taken,
            );
    }

    /** The same if all has to end by a moment: sessions end there. */
    public function until(int $moment): self
    {
        $sessions = $steps = [];
        foreach ($this->sessions as $k => [$from, $to]) {
            if ($from < $moment) {
                $sessions[] = [$from, min($to, $moment)];
                $steps[] = array_values(array_filter($this->steps[$k], fn (array $step): bool => $step[0] < $moment));
            }
        }

        return new self(
            $moment,
            $this->capacity,
            $this->tools,
            $sessions,
            array_values($this->jobs),
            $this->waits,
            $this->pairs(),
            $steps,
            $this->taken,
        );
    }

    /** @return list<array{string, string}> jobs that must not overlap, each pair once */
    private function pairs(): array
    {
        $out = [];
        foreach ($this->others as $one => $others) {
            foreach ($others as $other) {
                if ((string) $one < $other) {
                    $out[] = [(string) $one, $other];
                }
            }
        }

        return $out;
    }

    /** The most hands there are at once in a session. */
    public function maxCapacity(int $session): int
    {
        return max([0, ...array_column($this->steps[$session], 1)]);
    }

    /** Minutes of hands in a session. */
    public function capacity(int $session): int
    {
        $sum = 0;
        foreach ($this->steps[$session] as $k => [$from, $capacity]) {
            $sum += (($this->steps[$session][$k + 1][0] ?? $this->sessions[$session][1]) - $from) * $capacity;
        }

        return $sum;
    }

    /** @return list<string> jobs that wait for each other in a circle, in order; empty when none do */
    public function circle(): array
    {
        $left = array_diff_key($this->jobs, array_flip($this->sorted()));
        $path = [];
        $at = array_key_first($left);
        // Whatever is left waits for something else that is left: going back must come round.
        while ($at !== null && ! isset($path[$at])) {
            $path[$at] = true;
            foreach ($this->before[$at] ?? [] as $wait) {
                if (isset($left[$wait->after])) {
                    $at = $wait->after;

                    break;
                }
            }
        }
        $names = array_map('strval', array_keys($path));

        return $at === null ? [] : array_reverse(array_slice($names, (int) array_search((string) $at, $names, true)));
    }

    /**
     * Jobs in an order in which each comes after those it waits for; null when they wait for each other in a circle.
     *
     * @return list<string>|null
     */
    public function inOrder(): ?array
    {
        $out = $this->sorted();

        return count($out) === count($this->jobs) ? $out : null;
    }

    /** @return list<string> as far as no circle stands in the way */
    private function sorted(): array
    {
        $open = [];
        $after = [];
        foreach ($this->jobs as $id => $job) {
            $open[$id] = count($this->before[$id] ?? []);
        }
        foreach ($this->waits as $wait) {
            $after[$wait->after][] = $wait->before;
        }
        $out = [];
        $free = array_keys(array_filter($open, fn (int $n): bool => $n === 0));
        while ($free !== []) {
            $id = (string) array_shift($free);
            $out[] = $id;
            foreach ($after[$id] ?? [] as $next) {
                if (--$open[$next] === 0) {
                    $free[] = $next;
                }
            }
        }

        return $out;
    }
}
