<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use Closure;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Measure\Budget;
use IdleRidge\Core\Measure\StepBudget;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Schedule\DueState;
use IdleRidge\Core\Schedule\Precedence;
use IdleRidge\Core\Schedule\Problem;
use IdleRidge\Core\Schedule\ProvingSolver;
use IdleRidge\Core\Schedule\Solver;
use IdleRidge\Core\Schedule\StartReason;

/** Every move in a session, as early as its bases allow as surely as is asked, or the reason why it finds none. */
final readonly class BenchPlan
{
    /** Orders tried: a count, not a time, so that the same layout gives the same plan on every machine. */
    public const ORDERS_TRIED = 60;

    private const SEED = 1;

    /**
     * @param  list<PlacedMove>  $moves by start
     * @param  list<UnplacedMove>  $unplaced
     * @param  string  $status of the timetable, as the solver names it
     * @param  array<string, array{int, int}>  $mends check that was not right (uid) → when it is put right, minutes of Unix time
     * @param  int  $bound no plan of this work has its last hands-on minute earlier
     */
    private function __construct(
        public BenchWork $work,
        public array $moves,
        public array $unplaced,
        public string $status,
        public int $bound,
        public array $mends = [],
    ) {
    }

    public static function make(BenchWork $work, ?Budget $budget = null): self
    {
        return self::of($work, self::solve($work, $budget));
    }

    /**
     * The search alone: what it finds holds for the same work until its `planFrom` moves on.
     *
     * @param  Budget|null  $budget what may be spent instead of the usual number of orders
     * @param  Closure(float): bool|null  $each told the share that is spent; false ends the search
     * @param  int|null  $until sessions after this moment are left aside
     * @param  bool  $proven with a proof, as far as there is one: that takes longer
     * @return array{status: string, at: array<string, array{int, int}>, cold: list<string>, bound: int, mends: array<string, array{int,
     *     int}>} starts and ends in minutes of Unix time; moves for which no session is warm enough; what is put right
     */
    public static function solve(
        BenchWork $work,
        ?Budget $budget = null,
        ?Closure $each = null,
        int $seed = self::SEED,
        ?int $until = null,
        bool $proven = false,
    ): array {
        $of = new PlanProblem($work, $until);
        $problem = $of->problem;
        // What can never start would make the whole infeasible: it stays out, and so does what waits for it.
        $what = [
            $problem->without(self::hopeless($problem)),
            $budget ?? new StepBudget(self::ORDERS_TRIED),
            $seed,
            $work->rules()->first === [] ? [] : [$of->jobs($work->rules()->first)],
            $each,
        ];
        $answer = $proven ? ProvingSolver::solve(...$what) : Solver::solve(...$what);
        $part = $answer->finish === null ? PartialPlan::of($work, $of) : null;
        $at = $part === null ? $of->moves($answer->starts) : $part->at;
        $mends = $part === null ? $of->mends($answer->starts) : $part->mends;
        $cold = [];
        foreach ($problem->jobs as $id => $job) {
            array_push($cold, ...$job->allowed === [] ? $of->groups[$id] ?? [] : []);
        }

        return ['status' => $answer->status, 'at' => $at, 'cold' => $cold, 'bound' => $answer->lowerBound + $of->zero, 'mends' => $mends];
    }

    /**
     * @param  array{status: string, at: array<string, array{int, int}>, cold: list<string>, bound: int, mends?: array<string, array{int,
     *     int}>}  $found
     */
    public static function of(BenchWork $work, array $found): self
    {
        $mends = array_intersect_key($found['mends'] ?? [], $work->mending->open);
        $why = new StartReasons($work, $found['at'], $mends);
        $moves = $unplaced = [];
        foreach ($found['at'] as $id => [$start, $end]) {
            $moves[] = new PlacedMove($work->moves[$id], $start, $end, $why);
        }
        foreach ($work->moves as $id => $move) {
            if (! isset($found['at'][$id])) {
                [$kind, $text] = $why->nowhere($move, in_array($id, $found['cold'], true));
                $unplaced[] = new UnplacedMove($move, $kind, $text);
            }
        }

        return new self($work, $moves, $unplaced, $found['status'], $found['bound'], $mends);
    }

    /**
     * The session that is on, or the next one; null when there is none.
     *
     * @return array{int, int, int}|null from, to, hands
     */
    public function session(): ?array
    {
        return $this->work->sessions[0] ?? null;
    }

    /** @return array<string, array{int, int}> move → its start and end */
    public function at(): array
    {
        $at = [];
        foreach ($this->moves as $placed) {
            $at[$placed->move->id] = [$placed->start, $placed->end];
        }

        return $at;
    }

    /** @return list<PlacedMove> */
    public function within(int $from, int $to): array
    {
        return array_values(array_filter($this->moves, fn (PlacedMove $p): bool => $p->start >= $from && $p->start < $to));
    }

    /** Hands-on minutes of all that is planned. */
    public function minutes(): int
    {
        return PlacedMove::sum($this->moves);
    }

    /** In how many sessions there is work. */
    public function sessionsUsed(): int
    {
        return count(array_filter($this->work->sessions, fn (array $s): bool => $this->within($s[0], $s[1]) !== []));
    }

    public function lastHandsOn(): ?int
    {
        return $this->moves === [] ? null : max(array_map(fn (PlacedMove $p): int => $p->end, $this->moves));
    }

    /**
     * Why a move that comes later, or not at all, is not in a session.
     *
     * @param  array{int, int, int}  $session
     */
    public function notWithin(Move $move, array $session): StartReason
    {
        return (new StartReasons($this->work, $this->at(), $this->mends))->notWithin($move, $session, $this->freeIn($session));
    }

    /**
     * Minutes of what is left of a session that no move takes, one pair of hands counted. What was begun before it takes nothing from it
     * but what it goes on into it.
     *
     * @param  array{int, int, int}  $session
     */
    public function freeIn(array $session): int
    {
        $current = $this->work->current();
        $from = max($session[0], $this->work->now, $current === null ? 0 : $this->work->endOf($current));
        $taken = PlacedMove::sum($this->within($from, $session[1]));
        foreach ($this->mends as [$start, $end]) {
            $taken += $start >= $from && $start < $session[1] ? $end - $start : 0;
        }

        return max(0, $session[1] - $from - $taken);
    }

    /** When all that is laid or planned has dried through, for one section or all; null when there is nothing. */
    public function ready(float $quantile, ?Section $section = null): ?int
    {
        $last = null;
        foreach ($this->work->project->works->laid as $laid) {
            if ($section === null || $laid->section === $section->uid) {
                $last = max($last ?? 0, (int) ceil($this->work->reached($laid, self::through($laid->recipe->cure->minutes), $quantile)));
            }
        }
        foreach ($this->moves as $placed) {
            if ($section === null || $placed->move->section->uid === $section->uid) {
                $last = max($last ?? 0, $this->reached($placed, self::through($placed->move->recipe->cure->minutes), $quantile));
            }
        }

        return $last;
    }

    /**
     * By how many minutes sections are too late for their dates; 0 for those that are in time.
     *
     * @return array<string, int> section uid → minutes
     */
    public function late(): array
    {
        return array_map(fn (int $slack): int => max(0, -$slack), $this->slack());
    }

    /** By how many minutes the latest board of all is too late; 0 where none is. */
    public function latest(): int
    {
        return max([0, ...array_values($this->late())]);
    }

    /**
     * How many minutes before their dates sections have come as far as they have to, as surely as is asked; negative for those that are too
     * late. Sections without a date are left out; those on which nothing is to come have all the time from now on.
     *
     * @return array<string, int> section uid → minutes
     */
    public function slack(): array
    {
        $slack = [];
        foreach ($this->work->project->sections as $section) {
            $due = $this->work->dueOf($section);
            if ($due === null) {
                continue;
            }
            $last = min($this->work->now, $due[0]);
            foreach ($this->moves as $placed) {
                if ($placed->move->section->uid === $section->uid) {
                    $last = max($last, $this->comesTo($placed, $due[1]));
                }
            }
            foreach ($due[1] === DueState::Travel ? $this->work->project->works->laid : [] as $laid) {
                if ($laid->section === $section->uid) {
                    $last = max(
                        $last,
                        (int) ceil($this->work->reached($laid, self::through($laid->recipe->cure->minutes), $this->work->certainty())),
                    );
                }
            }
            $slack[$section->uid] = $due[0] - $last;
        }

        return $slack;
    }

    /** When a planned move is worked, shown or fit to travel. */
    private function comesTo(PlacedMove $placed, DueState $state): int
    {
        $minutes = $placed->move->recipe->cure->minutes;

        return match (true) {
            $state === DueState::Worked, $state === DueState::Shown && ! isset($minutes['next_coat']) => $placed->end,
            $state === DueState::Shown => $this->reached($placed, Milestone::NextCoat, $this->work->certainty()),
            default => $this->reached($placed, self::through($minutes), $this->work->certainty()),
        };
    }

    /** When a planned move has reached a milestone. */
    public function reached(PlacedMove $placed, Milestone $milestone, float $quantile): int
    {
        $move = $placed->move;

        return (int) ceil(
            $this->work->drying($move->section)->reached($move->recipe->cure, $milestone, $move->coat->mm, $placed->end, $quantile),
        );
    }

    /**
     * The first planned move that goes over this one or this patch, and what it asks of it.
     *
     * @return array{PlacedMove, Milestone}|null
     */
    public function opens(Move|CoatApplication $under): ?array
    {
        foreach ($this->moves as $placed) {
            foreach ($this->work->bases[$placed->move->id] as $base) {
                if ($base->under === $under) {
                    return [$placed, $base->milestone];
                }
            }
        }

        return null;
    }

    /**
     * The moves that hold up the end: from the one that is dry through last, back along what each waited for.
     *
     * @return list<string> ids, the first one first
     */
    public function chain(): array
    {
        $last = null;
        $latest = 0;
        foreach ($this->moves as $placed) {
            $dry = $this->reached($placed, self::through($placed->move->recipe->cure->minutes), $this->work->certainty());
            if ($dry > $latest) {
                [$last, $latest] = [$placed, $dry];
            }
        }
        $byId = array_column(array_map(fn (PlacedMove $p): array => [$p->move->id, $p], $this->moves), 1, 0);
        $chain = [];
        while ($last !== null && ! in_array($last->move->id, $chain, true)) {
            array_unshift($chain, $last->move->id);
            $last = $byId[$last->reason()->ref] ?? null;
        }

        return $chain;
    }

    /** What is said where a move comes after the while in which it had to follow another; null where it comes in time. */
    public function afterItsWindow(PlacedMove $placed): ?string
    {
        $at = $this->at();
        foreach ($this->work->bases[$placed->move->id] as $base) {
            $under = $base->under;
            [$start, $end] =
                $under instanceof CoatApplication ? [$under->startedAt, $this->work->endOf($under)] : $at[$under->id] ?? [null, null];
            if (
                $base->window !== null &&
                $start !== null &&
                $end !== null &&
                $placed->start > $this->work->windowOf($base, $placed->move->section->uid)->latest($start, $end)
            ) {
                return $base->window->missed === '' ? 'Try it with care.' : $base->window->missed;
            }
        }

        return null;
    }

    /** @param  array<string, float>  $minutes */
    public static function through(array $minutes): Milestone
    {
        return isset($minutes[Milestone::DryThrough->value]) ? Milestone::DryThrough : Milestone::from((string) array_key_last($minutes));
    }

    /** @return list<string> */
    private static function hopeless(Problem $problem): array
    {
        $out = [];
        foreach ($problem->inOrder() ?? [] as $id) {
            $bases = array_filter($problem->before[$id] ?? [], fn (Precedence $wait): bool => isset($out[$wait->after]));
            if ($problem->jobs[$id]->allowed === [] || $bases !== []) {
                $out[$id] = $id;
            }
        }

        return array_values($out);
    }
}
