<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

/**
 * When each job could start, session by session, as far as sessions and waits alone say: bounds are drawn together
 * until nothing changes. An empty set of windows proves that there is no plan, and names the wait or job it fails at.
 */
final readonly class StartWindows
{
    /**
     * @param  array<string, list<array{int, int}>>  $of job → [first start, last start] in each session that is left
     */
    private function __construct(public array $of, public ?string $impossible)
    {
    }

    public static function in(Problem $problem): self
    {
        $of = [];
        foreach ($problem->jobs as $id => $job) {
            $of[$id] = self::ofJob($problem, $job);
            if ($of[$id] === []) {
                return new self($of, self::nowhere($problem, $job));
            }
            foreach ($job->tools as $tool) {
                if ($problem->tools[$tool] < 1) {
                    return new self($of, "“{$id}” needs the tool “{$tool}”, and there is none.");
                }
            }
        }
        do {
            $changed = false;
            foreach ($problem->waits as $wait) {
                $minutes = $problem->jobs[$wait->after]->minutes;
                // What must stand between the two starts.
                $least = $minutes + $wait->gap->least();
                $most = $wait->max === null ? PHP_INT_MAX : $minutes + $wait->max;
                foreach ([[$wait->after, $wait->before, false], [$wait->before, $wait->after, true]] as [$one, $two, $later]) {
                    $kept = self::reachable($of[$one], $of[$two], $least, $most, $later);
                    if ($kept === []) {
                        return new self($of, self::sentence($wait));
                    }
                    $changed = $changed || $kept !== $of[$one];
                    $of[$one] = $kept;
                }
            }
        } while ($changed);

        return new self($of, null);
    }

    /** The windows that each job has by itself, waits left aside. */
    public static function alone(Problem $problem): self
    {
        return new self(array_map(fn (Job $job): array => self::ofJob($problem, $job), $problem->jobs), null);
    }

    /** @return list<array{int, int}> */
    private static function ofJob(Problem $problem, Job $job): array
    {
        $out = [];
        foreach ($problem->sessions as $k => [$from, $to]) {
            if ($to - $from < $job->minutes || $job->demand > $problem->maxCapacity($k)) {
                continue;
            }
            foreach ($job->allowed ?? [[$from, $to]] as [$first, $last]) {
                $window = [max($from, $job->notBefore, $first), min($to - $job->minutes, $last)];
                if ($window[0] <= $window[1]) {
                    $out[] = $window;
                }
            }
        }

        return $out;
    }

    private static function nowhere(Problem $problem, Job $job): string
    {
        $most = max([0, ...array_map($problem->maxCapacity(...), array_keys($problem->sessions))]);
        $long = array_filter($problem->sessions, fn (array $s): bool => $job->minutes <= $s[1] - $s[0]);

        return match (true) {
            $problem->sessions === [] => 'Nothing can be planned: add an evening.',
            $job->demand > $most => "“{$job->id}” needs {$job->demand} hands where there are {$most}.",
            $long === [] => "“{$job->id}” takes {$job->minutes} minutes, longer than any session.",
            default => "“{$job->id}” finds no session in which it may start.",
        };
    }

    /**
     * @param  list<array{int, int}>  $windows
     * @param  list<array{int, int}>  $partners
     * @return list<array{int, int}> the windows, narrowed to starts that some partner's start can meet
     */
    private static function reachable(array $windows, array $partners, int $least, int $most, bool $later): array
    {
        $kept = [];
        if ($partners !== [] && $most === PHP_INT_MAX) {
            // Without a greatest wait the partner's first start bounds what comes later, its last what comes before.
            $first = $later ? $partners[0][0] + $least : PHP_INT_MIN;
            $last = $later ? PHP_INT_MAX : $partners[count($partners) - 1][1] - $least;
            foreach ($windows as [$from, $to]) {
                if (max($from, $first) <= min($to, $last)) {
                    $kept[] = [max($from, $first), min($to, $last)];
                }
            }

            return $kept;
        }
        foreach ($windows as [$from, $to]) {
            $low = PHP_INT_MAX;
            $high = PHP_INT_MIN;
            foreach ($partners as [$a, $b]) {
                $first = max($from, $later ? $a + $least : $a - $most);
                $last = min($to, $later ? $b + $most : $b - $least);
                if ($first <= $last) {
                    $low = min($low, $first);
                    $high = max($high, $last);
                }
            }
            if ($low <= $high) {
                $kept[] = [$low, $high];
            }
        }

        return $kept;
    }

    private static function sentence(Precedence $wait): string
    {
        $between = $wait->max === null ? "at least {$wait->gap->least()}" : "{$wait->gap->least()} to {$wait->max}";

        return "“{$wait->before}” has to follow “{$wait->after}” after {$between} minutes, and no sessions allow that.";
    }
}
