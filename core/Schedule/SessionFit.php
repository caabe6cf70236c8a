<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

/**
 * Whether jobs can be done in one session, by what must hold of any way to do them: their minutes between first starts and last
 * ends, hands, tools of which there is one, pairs that stay apart. What it cannot see counts as possible.
 */
final readonly class SessionFit
{
    /** Steps of sequences that are tried for one set of a session; after them it counts as possible. */
    private const MAX_SEQUENCES = 400;

    /** More than a job has minutes. */
    private const MOMENT = 1 << 16;

    /** @var array<string, int> */
    private array $number;

    /** @var list<int> job → minutes */
    private array $minutes;

    /**
     * @param  list<string>  $ids of jobs by their number
     * @param  array<int, list<array{int, Precedence}>>  $before job → the jobs it waits for
     */
    public function __construct(private Problem $problem, private array $ids, private array $before)
    {
        $this->number = array_flip($ids);
        $this->minutes = array_map(fn (string $id): int => $problem->jobs[$id]->minutes, $ids);
    }

    /**
     * Whether one pair of hands can do them one after the other: tried in full, what waits for another of them included.
     *
     * @param  array<int, array{int, int}>  $here
     */
    public function isInSequence(int $session, array $here): bool
    {
        $tries = self::MAX_SEQUENCES;

        return $this->problem->maxCapacity($session) > 1 || $this->follows($this->problem->sessions[$session][0], $here, [], $tries);
    }

    /**
     * @param  array<int, array{int, int}>  $left  first and last start of what is still to be done
     * @param  array<int, int>  $ends  of what is done
     */
    private function follows(int $at, array $left, array $ends, int &$tries): bool
    {
        if ($left === [] || --$tries < 0) {
            return true;
        }
        $starts = [];
        foreach ($left as $k => [$first, $last]) {
            $start = max($at, $first);
            foreach ($this->before[$k] as [$earlier, $wait]) {
                if (isset($left[$earlier])) {
                    continue 2;
                }
                if (isset($ends[$earlier])) {
                    $start = max($start, $wait->gap->earliest($ends[$earlier]));
                }
            }
            $starts[$k] = $start;
        }
        // What is late already however it goes on ends this try.
        foreach ($left as $k => [, $last]) {
            if (max($at, $starts[$k] ?? $at) > $last) {
                return false;
            }
        }
        asort($starts);
        foreach ($starts as $k => $start) {
            $end = $start + $this->minutes[$k];
            if ($this->follows($end, array_diff_key($left, [$k => true]), $ends + [$k => $end], $tries)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether one after the other they end in time, taken by when they may begin, and by when they have to.
     *
     * @param  array<int, array{int, int}>  $here
     */
    public function holds(int $session, array $here): bool
    {
        if ($this->problem->maxCapacity($session) > 1) {
            return $this->suffices($session, $here);
        }
        [$from, $to] = $this->problem->sessions[$session];
        // Asked very often: a moment and its minutes are sorted as one number.
        $heads = $dues = [];
        foreach ($here as $k => [$first, $last]) {
            $minutes = $this->minutes[$k];
            $heads[] = $first * self::MOMENT + $minutes;
            $dues[] = ($last + $minutes) * self::MOMENT + $minutes;
        }
        sort($heads);
        $at = $from;
        foreach ($heads as $head) {
            $at = max($at, intdiv($head, self::MOMENT)) + $head % self::MOMENT;
        }
        if ($at > $to) {
            return false;
        }
        sort($dues);
        $at = $from;
        foreach ($dues as $due) {
            $at += $due % self::MOMENT;
            if ($at > intdiv($due, self::MOMENT)) {
                return false;
            }
        }

        return true;
    }

    /**
     * With several hands: what has to lie between a first start and a last end is no more than the hands have minutes there, and
     * what needs more than half of them, or the only tool of a kind, goes one after the other.
     *
     * @param  array<int, array{int, int}>  $here
     */
    private function suffices(int $session, array $here): bool
    {
        $spans = [];
        $alone = [];
        $most = $this->problem->maxCapacity($session);
        foreach ($here as $k => [$first, $last]) {
            $job = $this->problem->jobs[$this->ids[$k]];
            $spans[] = [$first, $last + $job->minutes, $job->minutes * $job->demand];
            if (2 * $job->demand > $most) {
                $alone['hands'][] = [$first, $last + $job->minutes, $job->minutes];
            }
            foreach ($job->tools as $tool) {
                if ($this->problem->tools[$tool] === 1) {
                    $alone["tool {$tool}"][] = [$first, $last + $job->minutes, $job->minutes];
                }
            }
        }
        foreach ($spans as [$from]) {
            foreach ($spans as [, $to]) {
                $work = 0;
                foreach ($spans as [$first, $end, $minutes]) {
                    $work += $first >= $from && $end <= $to ? $minutes : 0;
                }
                if ($work > 0 && $work > $this->handsBetween($session, $from, $to)) {
                    return false;
                }
            }
        }
        foreach ($here as $k => [$first, $last]) {
            foreach ($this->problem->others[$this->ids[$k]] ?? [] as $other) {
                $o = $this->number[$other];
                if (isset($here[$o]) && ! $this->isApart($k, $here[$k], $o, $here[$o])) {
                    return false;
                }
            }
        }
        foreach ($alone as $one) {
            foreach ($one as [$from]) {
                foreach ($one as [, $to]) {
                    $work = 0;
                    foreach ($one as [$first, $end, $minutes]) {
                        $work += $first >= $from && $end <= $to ? $minutes : 0;
                    }
                    if ($work > max(0, $to - $from)) {
                        return false;
                    }
                }
            }
        }

        return true;
    }

    /**
     * Whether one of two can end before the other begins.
     *
     * @param  array{int, int}  $a first and last start
     * @param  array{int, int}  $b
     */
    private function isApart(int $one, array $a, int $other, array $b): bool
    {
        $minutes = fn (int $k): int => $this->minutes[$k];

        return $b[1] >= $a[0] + $minutes($one) || $a[1] >= $b[0] + $minutes($other);
    }

    private function handsBetween(int $session, int $from, int $to): int
    {
        $sum = 0;
        foreach ($this->problem->steps[$session] as $k => [$begin, $hands]) {
            $end = $this->problem->steps[$session][$k + 1][0] ?? $this->problem->sessions[$session][1];
            $sum += max(0, min($end, $to) - max($begin, $from)) * $hands;
        }

        return $sum;
    }
}
