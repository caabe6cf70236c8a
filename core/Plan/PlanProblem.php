<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\DueState;
use IdleRidge\Core\Schedule\Job;
use IdleRidge\Core\Schedule\Precedence;
use IdleRidge\Core\Schedule\Problem;
use IdleRidge\Core\Schedule\WorkOrder;

/** The work of a layout as a problem for the solver: jobs of one move or several, waits by cures, tools, deadlines. */
final class PlanProblem
{
    /** Grid on which starts are tried against a room that is too cold at times, minutes. */
    private const COLD_STEP_MINUTES = 10;

    /** Before the uid of a check: the job of putting right what was not. */
    private const MEND = 'mend ';

    public readonly Problem $problem;

    /** The moment that is the problem's zero, minutes of Unix time. */
    public readonly int $zero;

    /** @var array<string, list<string>> job → its moves, in order */
    public readonly array $groups;

    /** @var array<string, string> move → its job */
    private array $jobOf = [];

    /** @var array<string, array{int, int, int}> move → its minutes, those of its job before it, and those after it */
    private array $part = [];

    /** @var array<string, DryingTimeLag|WindowTimeLag> */
    private array $gaps = [];

    /** @param  int|null  $until  sessions after this moment are left aside */
    public function __construct(private readonly BenchWork $work, private readonly ?int $until = null)
    {
        $this->zero = $work->planFrom();
        [$sessions, $hands] = $this->sessions();
        $this->groups = MoveBatches::of($work);
        foreach ($this->groups as $job => $members) {
            $this->jobOf += array_fill_keys($members, (string) $job);
            $lead = 0;
            $each = MoveBatches::minutes($work, $members);
            foreach ($each as $id => $minutes) {
                $this->part[$id] = [$minutes, $lead, (int) array_sum($each) - $lead - $minutes];
                $lead += $minutes;
            }
        }
        $cold = new ColdHours($work, $sessions, $this->zero, self::COLD_STEP_MINUTES);
        $jobs = $waits = $tools = [];
        foreach ($this->groups as $id => $members) {
            $jobs[] = $this->job((string) $id, $members, $cold);
            array_push($waits, ...$this->waits((string) $id, $members));
            foreach ($members as $member) {
                foreach ($work->moves[$member]->recipe->tools as $tool) {
                    $tools[$tool] = $work->rules()->tools($tool);
                }
            }
        }
        foreach ($sessions === [] ? [] : $work->mending->open as $uid => $mend) {
            $jobs[] = new Job(self::MEND.$uid, $work->mending->minutes($mend), 1, [], $mend->section);
        }
        foreach ($sessions === [] ? [] : $work->mending->heldBack as $move => $mends) {
            foreach ($mends as $mend) {
                $waits[] = Precedence::of(self::MEND.$mend->uid, $this->jobOf[$move], 0);
            }
        }
        $most = max([1, ...array_map(fn (array $steps): int => max([0, ...array_column($steps, 1)]), $hands)]);
        $this->problem = new Problem(
            (BenchWork::HORIZON_DAYS + 2) * 1440,
            $most,
            $tools,
            $sessions,
            $jobs,
            $waits,
            $this->apart(),
            $hands,
            $this->taken($tools),
        );
    }

    /**
     * The jobs of moves, each once, in their order.
     *
     * @param  list<string>  $moves
     * @return list<string>
     */
    public function jobs(array $moves): array
    {
        return array_values(array_unique(array_filter(array_map(fn (string $id): ?string => $this->jobOf[$id] ?? null, $moves))));
    }

    /**
     * Starts of jobs as starts and ends of moves, minutes of Unix time.
     *
     * @param  array<string, int>  $starts
     * @return array<string, array{int, int}>
     */
    public function moves(array $starts): array
    {
        $out = [];
        foreach ($starts as $job => $start) {
            $at = $start + $this->zero;
            foreach ($this->groups[$job] ?? [] as $id) {
                [$minutes, $lead] = $this->part[$id];
                $out[$id] = [$at + $lead, $at + $lead + $minutes];
            }
        }
        uasort($out, fn (array $a, array $b): int => $a <=> $b);

        return $out;
    }

    /**
     * Starts of what is put right, by the check that was not.
     *
     * @param  array<string, int>  $starts
     * @return array<string, array{int, int}> uid of the check → start and end, minutes of Unix time
     */
    public function mends(array $starts): array
    {
        $out = [];
        foreach ($this->work->mending->open as $uid => $mend) {
            $start = $starts[self::MEND.$uid] ?? null;
            if ($start !== null) {
                $out[$uid] = [$start + $this->zero, $start + $this->zero + $this->work->mending->minutes($mend)];
            }
        }

        return $out;
    }

    /** @return array{list<array{int, int}>, list<list<array{int, int}>>} sessions from zero on, and their hands */
    private function sessions(): array
    {
        $work = $this->work;
        $current = $work->current();
        $free = $current === null ? $this->zero : $work->endOf($current);
        $sessions = $hands = [];
        foreach ($work->sessions as $session) {
            $steps = BenchTime::hands($work->project->works->times, $work->zone(), $session);
            $to = min($session[1], $this->until ?? PHP_INT_MAX);
            $from = max($session[0], $this->zero);
            // Whoever is laying something has one pair of hands in it.
            if ($current !== null && $from < $free) {
                $steps = $this->less($steps, $free);
                $from = $session[2] > 1 ? $from : max($from, $free);
            }
            if ($to > $from) {
                $sessions[] = [$from - $this->zero, $to - $this->zero];
                $hands[] = array_map(fn (array $s): array => [max($s[0], $from) - $this->zero, $s[1]], $this->from($steps, $from));
            }
        }

        return [$sessions, $hands];
    }

    /**
     * @param  list<array{int, int}>  $steps
     * @return list<array{int, int}> one hand fewer up to a moment
     */
    private function less(array $steps, int $until): array
    {
        $out = [];
        foreach ($steps as $k => [$from, $hands]) {
            $to = $steps[$k + 1][0] ?? PHP_INT_MAX;
            if ($from < $until) {
                $out[] = [$from, $hands - 1];
            }
            if ($to > $until) {
                $out[] = [max($from, $until), $hands];
            }
        }

        return $out;
    }

    /**
     * @param  list<array{int, int}>  $steps
     * @return list<array{int, int}> those that still count from a moment on
     */
    private function from(array $steps, int $from): array
    {
        while (count($steps) > 1 && $steps[1][0] <= $from) {
            array_shift($steps);
        }

        return $steps;
    }

    /** @param  list<string>  $members */
    private function job(string $id, array $members, ColdHours $cold): Job
    {
        $work = $this->work;
        $first = $work->moves[$id];
        $notBefore = 0;
        $allowed = null;
        $due = null;
        $tools = $holds = [];
        foreach ($members as $member) {
            $move = $work->moves[$member];
            [$minutes, $lead, $rest] = $this->part[$member];
            $allowed = StartRanges::both($allowed, StartRanges::sooner($cold->allowed($move, $minutes), $lead));
            if (isset($work->short()[$member])) {
                $shops = $work->shopsAt();
                $allowed = StartRanges::both($allowed, $shops === null ? [] : [[max(0, $shops - $this->zero), PHP_INT_MAX]]);
            }
            foreach ($work->bases[$member] as $base) {
                if (! ($base->under instanceof CoatApplication)) {
                    continue;
                }
                if ($base->window === null) {
                    $notBefore = max(
                        $notBefore,
                        (int) ceil($work->reached($base->under, $base->milestone, $work->certainty())) - $this->zero - $lead,
                    );
                } else {
                    $allowed = StartRanges::both($allowed, $this->open($base, $base->under));
                }
            }
            $its = $this->due($move);
            $due = $its === null ? $due : min($its + $rest, $due ?? PHP_INT_MAX);
            array_push($tools, ...$move->recipe->tools);
            foreach ($move->recipe->holds as $tool => $milestone) {
                $holds[$tool] = $this->dry($move, Milestone::from($milestone));
            }
        }

        return new Job(
            $id,
            $this->part[$id][0] + $this->part[$id][2],
            1,
            array_values(array_unique($tools)),
            $first->section->uid,
            $notBefore,
            $allowed,
            $due,
            $holds,
            $this->turn($first),
            max([0, ...array_map(fn (string $id): int => $work->airing($work->moves[$id]), $members)]),
        );
    }

    /**
     * When a coat may follow one that is laid; null where its window is over for good and nothing else is left than to do it.
     *
     * @return list<array{int, int}>|null
     */
    private function open(Underlayer $base, CoatApplication $under): ?array
    {
        $gap = $this->window($base, $this->work->project->section($under->section));
        $end = $this->work->endOf($under) - $this->zero;
        $latest = $gap->latest($under->startedAt - $this->zero, $end);
        $again = $gap->again($end);
        $ranges = $latest >= 0 ? [[max(0, $gap->earliest($end)), $latest]] : [];
        if ($again !== null) {
            $ranges[] = [max(0, $again), PHP_INT_MAX];
        }

        return $ranges === [] ? null : $ranges;
    }

    /**
     * @param  list<string>  $members
     * @return list<Precedence>
     */
    private function waits(string $id, array $members): array
    {
        $waits = [];
        foreach ($members as $member) {
            $move = $this->work->moves[$member];
            foreach ($this->work->bases[$member] as $base) {
                if ($base->under instanceof Move && $this->jobOf[$base->under->id] !== $id) {
                    $waits[] = Precedence::by(
                        $this->jobOf[$base->under->id],
                        $id,
                        $base->window === null
                            ? PartTimeLag::of(
                                $this->dry($base->under, $base->milestone),
                                $this->part[$base->under->id][2],
                                $this->part[$member][1],
                            )
                            : $this->window($base, $base->under->section),
                    );
                }
            }
            // Strips of a pass follow each other: from back to front, or along the track.
            if ($move->strip > 1 && isset($this->jobOf[$move->before()])) {
                $waits[] = Precedence::of($this->jobOf[$move->before()], $id, 0);
            }
        }

        return $waits;
    }

    private function dry(Move $under, Milestone $milestone): DryingTimeLag
    {
        $drying = $this->work->drying($under->section);
        $key = implode('/', [$under->recipe->id, $milestone->value, $under->coat->mm, $drying->room->uid]);
        $gap = $this->gaps[$key] ??= new DryingTimeLag(
            $drying,
            $under->recipe->cure,
            $milestone,
            $under->coat->mm,
            $this->zero,
            $this->work->certainty(),
        );

        return $gap instanceof DryingTimeLag ? $gap : throw new \LogicException('one key for two gaps');
    }

    private function window(Underlayer $base, Section $section): WindowTimeLag
    {
        return new WindowTimeLag(
            $this->work->drying($section),
            $base->cure()['figures'],
            $base->cure()['mm'],
            $base->window ?? throw new \LogicException('no window'),
            $this->work->certainty(),
            $this->zero,
        );
    }

    /** The last end by which a move still is where its section has to be by a date, from zero on; null where none is set. */
    private function due(Move $move): ?int
    {
        $due = $this->work->dueOf($move->section);
        if ($due === null) {
            return null;
        }
        [$at, $state] = $due;
        // Far beyond the sessions that are looked at it binds nothing, and there is no air to reckon with.
        if ($at - $this->zero > 3 * BenchWork::HORIZON_DAYS * 1440) {
            return $at - $this->zero;
        }
        $wanted = match ($state) {
            DueState::Worked => null,
            DueState::Shown => Milestone::NextCoat,
            DueState::Travel => BenchPlan::through($move->recipe->cure->minutes),
        };
        if ($wanted === null || ! isset($move->recipe->cure->minutes[$wanted->value])) {
            return $at - $this->zero;
        }
        $gap = $this->dry($move, $wanted);
        [$low, $high] = [0, max(0, $at - $this->zero)];
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            if ($gap->earliest($middle) <= $at - $this->zero) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }

        return $low;
    }

    private function turn(Move $move): int
    {
        return match ($this->work->rules()->order) {
            WorkOrder::Board => (int) array_search($move->section, $this->work->project->sections, true),
            WorkOrder::Stage => $move->recipe->stage->value,
            WorkOrder::Free => 0,
        };
    }

    /**
     * What laid coats still keep.
     *
     * @param  array<string, int>  $tools
     * @return array<string, list<array{int, int}>>
     */
    private function taken(array $tools): array
    {
        $out = [];
        foreach ($this->work->project->works->laid as $laid) {
            foreach ($laid->recipe->holds as $tool => $milestone) {
                $until = (int) ceil($this->work->reached($laid, Milestone::from($milestone), $this->work->certainty())) - $this->zero;
                if (isset($tools[$tool]) && $until > 0) {
                    $out[$tool][] = [min(0, $laid->startedAt - $this->zero), $until];
                }
            }
        }

        return $out;
    }

    /**
     * Sparks and vapour never at once in a room, nor sparks before it is aired.
     *
     * @return list<array{string, string}>
     */
    private function apart(): array
    {
        $by = [];
        foreach ($this->work->moves as $id => $move) {
            foreach ($move->recipe->hazards as $hazard) {
                $by[$this->work->drying($move->section)->room->uid][$hazard->value][$this->jobOf[$id]] = true;
            }
        }
        $pairs = [];
        foreach ($by as $here) {
            foreach (array_keys($here['sparks'] ?? []) as $a) {
                foreach (array_keys($here['vapour'] ?? []) as $b) {
                    $pairs[] = [(string) $a, (string) $b];
                }
            }
        }

        return $pairs;
    }
}
