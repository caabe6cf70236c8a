<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Coats\Laid;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Schedule\Job;
use IdleRidge\Core\Schedule\Problem;
use IdleRidge\Core\Schedule\Solver;
use IdleRidge\Core\Schedule\Wait;

/** Every move in a session, as early as its bases allow with a certainty of 80 %, or the reason why it finds none. */
final readonly class BenchPlan
{
    /** Orders tried: a count, not a time, so that the same layout gives the same plan on every machine. */
    public const STEPS = 60;

    private const SEED = 1;

    /** Grid on which starts are tried against a room that is too cold at times, minutes. */
    private const COLD_STEP = 10;

    /**
     * @param list<Placed> $moves by start
     * @param list<Unplaced> $unplaced
     * @param string $status of the timetable, as the solver names it
     */
    private function __construct(public BenchWork $work, public array $moves, public array $unplaced, public string $status)
    {
    }

    public static function make(BenchWork $work, int $steps = self::STEPS): self
    {
        return self::of($work, self::solve($work, $steps));
    }

    /**
     * The search alone: what it finds holds for the same work until its `planFrom` moves on.
     *
     * @return array{status: string, starts: array<string, int>, cold: list<string>} starts in minutes of Unix time; moves for which no session is warm enough
     */
    public static function solve(BenchWork $work, int $steps = self::STEPS): array
    {
        [$problem, $zero] = self::problem($work);
        // What can never start would make the whole infeasible: it stays out, and so does what waits for it.
        $answer = Solver::solve($problem->without(self::hopeless($problem)), 20.0, self::SEED, $steps);
        $starts = $answer->finish === null ? Solver::most($problem) : $answer->starts;
        asort($starts);
        $cold = array_keys(array_filter($problem->jobs, fn (Job $job): bool => $job->allowed === []));

        return ['status' => $answer->status, 'starts' => array_map(fn (int $start): int => $start + $zero, $starts), 'cold' => array_map('strval', $cold)];
    }

    /** @param  array{status: string, starts: array<string, int>, cold: list<string>}  $found */
    public static function of(BenchWork $work, array $found): self
    {
        $at = $found['starts'];
        $why = new Why($work, $at);
        $moves = $unplaced = [];
        foreach ($at as $id => $start) {
            $move = $work->moves[$id];
            $moves[] = new Placed($move, $start, $start + $move->minutes, $why->notEarlier($move));
        }
        foreach ($work->moves as $id => $move) {
            if (! isset($at[$id])) {
                [$kind, $text] = $why->nowhere($move, in_array($id, $found['cold'], true));
                $unplaced[] = new Unplaced($move, $kind, $text);
            }
        }

        return new self($work, $moves, $unplaced, $found['status']);
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

    /** @return list<Placed> */
    public function within(int $from, int $to): array
    {
        return array_values(array_filter($this->moves, fn (Placed $p): bool => $p->start >= $from && $p->start < $to));
    }

    public function lastHandsOn(): ?int
    {
        return $this->moves === [] ? null : max(array_map(fn (Placed $p): int => $p->end, $this->moves));
    }

    /**
     * Why a move that comes later, or not at all, is not in a session.
     *
     * @param array{int, int, int} $session
     * @return array{kind: string, ref: string, text: string}
     */
    public function notWithin(Move $move, array $session): array
    {
        return (new Why($this->work, array_column(array_map(fn (Placed $p): array => [$p->move->id, $p->start], $this->moves), 1, 0)))->notWithin($move, $session, $this->freeIn($session));
    }

    /**
     * Minutes of what is left of a session that no move takes, one pair of hands counted.
     *
     * @param array{int, int, int} $session
     */
    public function freeIn(array $session): int
    {
        $current = $this->work->current();
        $from = max($session[0], $this->work->now, $current === null ? 0 : $this->work->endOf($current));
        $taken = array_sum(array_map(fn (Placed $p): int => $p->move->minutes, $this->within($session[0], $session[1])));

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
                $last = max($last ?? 0, $this->reached($placed, self::through($placed->move->coat->recipe->cure->minutes), $quantile));
            }
        }

        return $last;
    }

    /** When a planned move has reached a milestone. */
    public function reached(Placed $placed, Milestone $milestone, float $quantile): int
    {
        $move = $placed->move;

        return (int) ceil($this->work->drying($move->section)->reached($move->coat->recipe->cure, $milestone, $move->coat->mm, $placed->end, $quantile));
    }

    /**
     * The first planned move that goes over this one or this patch, and what it asks of it.
     *
     * @return array{Placed, Milestone}|null
     */
    public function opens(Move|Laid $under): ?array
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
            $dry = $this->reached($placed, self::through($placed->move->coat->recipe->cure->minutes), 0.8);
            if ($dry > $latest) {
                [$last, $latest] = [$placed, $dry];
            }
        }
        $byId = array_column(array_map(fn (Placed $p): array => [$p->move->id, $p], $this->moves), 1, 0);
        $chain = [];
        while ($last !== null && ! in_array($last->move->id, $chain, true)) {
            array_unshift($chain, $last->move->id);
            $last = $byId[$last->reason['ref']] ?? null;
        }

        return $chain;
    }

    /** @param  array<string, float>  $minutes */
    public static function through(array $minutes): Milestone
    {
        return isset($minutes[Milestone::DryThrough->value]) ? Milestone::DryThrough : Milestone::from((string) array_key_last($minutes));
    }

    /** @return array{Problem, int} the problem, and the moment that is its zero */
    private static function problem(BenchWork $work): array
    {
        $zero = $work->planFrom();
        $current = $work->current();
        $free = $current === null ? $zero : $work->endOf($current);
        $sessions = $hands = $tools = [];
        foreach ($work->sessions as [$from, $to, $count]) {
            $from = max($from, $zero, $count > 1 ? $zero : $free);
            if ($to > $from) {
                $sessions[] = [$from - $zero, $to - $zero];
                $hands[] = $count;
            }
        }
        $cold = new ColdHours($work, $sessions, $zero, self::COLD_STEP);
        $jobs = $waits = $gaps = [];
        foreach ($work->moves as $id => $move) {
            $notBefore = 0;
            foreach ($work->bases[$id] as $base) {
                if ($base->under instanceof Laid) {
                    $notBefore = max($notBefore, (int) ceil($work->reached($base->under, $base->milestone, DryGap::CERTAINTY)) - $zero);
                } else {
                    $under = $base->under;
                    $key = implode('/', [$under->coat->recipe->id, $base->milestone->value, $under->coat->mm, $work->drying($under->section)->room->uid]);
                    $gaps[$key] ??= new DryGap($work->drying($under->section), $under->coat->recipe->cure, $base->milestone, $under->coat->mm, $zero);
                    $waits[] = Wait::by($under->id, $id, $gaps[$key]);
                }
            }
            // Strips of a pass follow each other: from back to front, or along the track.
            if ($move->strip > 1 && isset($work->moves[$move->before()])) {
                $waits[] = Wait::of($move->before(), $id, 0);
            }
            foreach ($move->coat->recipe->tools as $tool) {
                $tools[$tool] = 1;
            }
            $jobs[] = Job::of($id, $move->minutes, 1, $move->coat->recipe->tools, $move->section->uid, $notBefore, $cold->allowed($move));
        }

        return [Problem::of((BenchWork::DAYS + 2) * 1440, max([1, ...$hands]), $tools, $sessions, $jobs, $waits, self::apart($work), $hands), $zero];
    }

    /** @return list<string> */
    private static function hopeless(Problem $problem): array
    {
        $out = [];
        foreach ($problem->inOrder() ?? [] as $id) {
            $bases = array_filter($problem->before[$id] ?? [], fn (Wait $wait): bool => isset($out[$wait->after]));
            if ($problem->jobs[$id]->allowed === [] || $bases !== []) {
                $out[$id] = $id;
            }
        }

        return array_values($out);
    }

    /**
     * Sparks and vapour never at once.
     *
     * @return list<array{string, string}>
     */
    private static function apart(BenchWork $work): array
    {
        $by = [];
        foreach ($work->moves as $id => $move) {
            foreach ($move->coat->recipe->hazards as $hazard) {
                $by[$hazard][] = $id;
            }
        }
        $pairs = [];
        foreach ($by['sparks'] ?? [] as $a) {
            foreach ($by['vapour'] ?? [] as $b) {
                $pairs[] = [$a, $b];
            }
        }

        return $pairs;
    }
}
