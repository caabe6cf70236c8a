<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

use Closure;

/**
 * Which sets of jobs can be done by the end of each session if all is to end by a moment: a relaxation, in which a session holds
 * what its minutes of hands, its waits and the windows of its jobs let through, whatever the order. Sets that come out equal are
 * one, with the earliest and the latest ends that any way to them has, so that nothing possible is lost: no set at a level
 * proves that no plan ends by then. Where there are too many sets nothing is said.
 *
 * Dynamic programming over sets of jobs as for assembly lines (J. Jackson, "A computing procedure for a line balancing
 * problem", Management Science 2, 1956), widened by windows and greatest waits.
 */
final class SessionRelaxation
{
    /** Jobs that a set is told by as bits of one integer. */
    private const MAX_JOBS = 62;

    private const MAX_SETS = 2500;

    /** Sets and parts of sets that are looked at, over all sessions. */
    public const MAX_NODES = 20_000;

    /** Whether there is time is asked once in so many nodes, less one. */
    private const ASKED_EACH = 255;

    /** Sets from which one may come that are kept. */
    private const MAX_WAYS = 40;

    private readonly int $all;

    /** @var list<string> */
    private readonly array $ids;

    /** @var list<array<int, array{int, int}>> job → session → first and last start */
    private array $windows = [];

    /** @var list<list<array{int, Precedence}>> job → the jobs it waits for */
    private array $before = [];

    /** @var array<int, bool> whether nothing must follow it, or what follows that, within a while */
    private array $free = [];

    /** @var array<int, int> the last session a job can be in */
    private array $last = [];

    /** @var array<int, array<int, array<int, int>>> job → what waits for it → end → first start after it: gaps are asked once */
    private array $ready = [];

    /** @var array<int, int> job → minutes of hands */
    private array $work = [];

    private readonly SessionFit $fit;

    /** The session that is being filled, and the set that it is filled from. */
    private int $session = 0;

    private int $from = 0;

    /** @var list<int> jobs that may come into it */
    private array $candidates = [];

    /** @var array<int, true> those that have to */
    private array $must = [];

    /** @var array<int, array<int, int>> last session → place among the candidates → work from there on that is due by then */
    private array $offered = [];

    private int $nodes = 0;

    private int $most = self::MAX_NODES;

    private ?Closure $goesOn = null;

    /** @var list<array<int, array{list<int>, array<int, array{int, int}>}>> session → set → sets before it, ends by job */
    private array $levels = [];

    /** @param  list<string>  $order all jobs, each after those it waits for */
    private function __construct(
        private readonly Problem $problem,
        StartWindows $windows,
        array $order,
        private readonly bool $fullest,
    ) {
        $this->ids = $order;
        $this->all = (1 << count($order)) - 1;
        $number = array_flip($order);
        foreach ($order as $k => $id) {
            $session = 0;
            $mine = [];
            foreach ($windows->of[$id] as [$from, $to]) {
                while ($problem->sessions[$session][1] <= $from) {
                    $session++;
                }
                // What may begin at several times of one session may begin between them, as far as this goes.
                $mine[$session] = isset($mine[$session]) ? [$mine[$session][0], $to] : [$from, $to];
            }
            $this->windows[$k] = $mine;
            $this->last[$k] = (int) array_key_last($mine);
            $this->work[$k] = $problem->jobs[$id]->minutes * $problem->jobs[$id]->demand;
            $this->before[$k] = array_map(fn (Precedence $w): array => [$number[$w->after], $w], $problem->before[$id] ?? []);
        }
        $this->fit = new SessionFit($problem, $order, $this->before);
        $this->free = array_fill(0, count($order), true);
        for ($k = count($order) - 1; $k >= 0; $k--) {
            foreach ($this->before[$k] as [$earlier, $wait]) {
                if ($wait->max !== null || ! $this->free[$k]) {
                    $this->free[$earlier] = false;
                }
            }
        }
    }

    /**
     * Whether no plan can end by a moment: true is a proof, false that the sets reach the end, null that there are too many.
     *
     * @param  int  $most nodes that may be looked at
     * @param  (Closure(): bool)|null  $goesOn whether there is time, asked now and then
     */
    public static function refutes(
        Problem $problem,
        int $finish,
        ?int &$nodes = null,
        int $most = self::MAX_NODES,
        ?Closure $goesOn = null,
    ): ?bool {
        $self = self::by($problem, $finish);
        if (! $self instanceof self) {
            return $self;
        }
        [$self->most, $self->goesOn] = [$most, $goesOn];
        $answer = $self->reach();
        $nodes = ($nodes ?? 0) + $self->nodes;

        return $answer === null ? null : ! $answer;
    }

    /**
     * The first minute by which a plan may end, as far as this can tell: no plan ends before it.
     *
     * @param  int  $least a bound that is known
     * @param  int  $most a moment by which there is a plan, or the horizon
     *
     * @param-out  bool  $tooMany whether there were too many sets by the end of the session that it is in
     */
    public static function bound(Problem $problem, int $least, int $most, ?bool &$tooMany = null): int
    {
        $tooMany = false;
        $nodes = 0;
        // Session by session, then minute by minute within the one that is not refuted.
        foreach ($problem->sessions as [$from, $to]) {
            if ($to <= $least || $from >= $most) {
                continue;
            }
            $end = min($to, $most - 1);
            $isRefuted = $end < $least ? true : self::refutes($problem, $end, $nodes);
            if ($isRefuted === true) {
                $least = max($least, $end + 1);

                continue;
            }
            $tooMany = $isRefuted === null;
            [$no, $may] = [max($least - 1, $from), $end];
            while ($may - $no > 1 && $nodes < self::MAX_NODES) {
                $middle = intdiv($no + $may, 2);
                if (self::refutes($problem, $middle, $nodes) === true) {
                    $no = $middle;
                } else {
                    $may = $middle;
                }
            }

            return max($least, $no + 1);
        }

        return min($least, $most);
    }

    /**
     * Which sets lead on to which, session by session, on ways that reach the end by a moment; false where it is refuted, null where
     * there are too many.
     *
     * @return array{ids: list<string>, all: int, ways: list<array<int, list<int>>>}|false|null
     */
    public static function ways(Problem $problem, int $finish): array|false|null
    {
        $fullest = self::reached($problem, $finish, true);

        // With all sets a plan is found more surely, but there are more of them.
        return $fullest instanceof self ? (self::reached($problem, $finish, false) ?: $fullest)->onward() : $fullest;
    }

    /** False where it is refuted, null where there are too many sets. */
    private static function reached(Problem $problem, int $finish, bool $fullest): self|false|null
    {
        $self = self::by($problem, $finish, $fullest);
        if (! $self instanceof self) {
            return $self === null ? null : false;
        }
        $reached = $self->reach();

        return $reached === true ? $self : $reached;
    }

    /** @return array{ids: list<string>, all: int, ways: list<array<int, list<int>>>} */
    private function onward(): array
    {
        $ways = [];
        $goals = [$this->all => true];
        for ($session = count($this->levels) - 1; $session >= 0; $session--) {
            $before = [];
            foreach (array_keys($goals) as $set) {
                foreach ($this->levels[$session][$set][0] ?? [] as $from) {
                    $ways[$session][$from][] = $set;
                    $before[$from] = true;
                }
            }
            $goals = $before;
        }

        return ['ids' => $this->ids, 'all' => $this->all, 'ways' => array_values(array_reverse($ways))];
    }

    /** @return self|bool|null true where windows alone refute it, null where there are too many jobs */
    private static function by(Problem $problem, int $finish, bool $fullest = true): self|bool|null
    {
        if (count($problem->jobs) > self::MAX_JOBS || $finish < 1) {
            return $finish < 1 ? true : null;
        }
        $cut = $problem->until($finish);
        $order = $cut->inOrder();
        $windows = StartWindows::in($cut);

        return $order === null || $windows->impossible !== null ? true : new self($cut, $windows, $order, $fullest);
    }

    /** Whether all jobs are in a set after the last session; null where there are too many sets. */
    private function reach(): ?bool
    {
        $level = [0 => [[], []]];
        foreach (array_keys($this->problem->sessions) as $session) {
            $next = [];
            foreach ($level as $set => [, $ends]) {
                if (! $this->fill($session, $set, $ends, $next)) {
                    return null;
                }
                if (count($next) > self::MAX_SETS) {
                    return null;
                }
            }
            $this->levels[$session] = $next;
            if ($next === []) {
                return false;
            }
            if (isset($next[$this->all])) {
                return true;
            }
            $level = $next;
        }

        return isset($level[$this->all]);
    }

    /**
     * All that can be added to a set in a session.
     *
     * @param  array<int, array{int, int}>  $ends of jobs in the set that others still wait for
     * @param  array<int, array{list<int>, array<int, array{int, int}>}>  $next
     */
    private function fill(int $session, int $set, array $ends, array &$next): bool
    {
        $candidates = $must = [];
        foreach ($this->windows as $k => $windows) {
            if (($set >> $k & 1) === 0) {
                if (isset($windows[$session])) {
                    $candidates[] = $k;
                }
                if ($this->last[$k] <= $session) {
                    if (! isset($windows[$session])) {
                        return true;
                    }
                    $must[$k] = true;
                }
            }
        }
        [$this->session, $this->from, $this->candidates, $this->must] = [$session, $set, $candidates, $must];
        $needs = $this->needs($session, $set);
        $this->offered = [];
        foreach (array_keys($needs) as $last) {
            $sum = 0;
            for ($at = count($candidates); $at >= 0; $at--) {
                $k = $candidates[$at] ?? null;
                $sum += $k !== null && $this->last[$k] <= $last ? $this->work[$k] : 0;
                $this->offered[$last][$at] = $sum;
            }
        }

        return $this->add($set, $ends, 0, $this->problem->capacity($session), [], $needs, $next);
    }

    /**
     * What has to be done in a session of the work that is due by each later one, because the sessions between have no room for it.
     *
     * @return array<int, int> last session → minutes of hands
     */
    private function needs(int $session, int $set): array
    {
        $due = [];
        foreach ($this->last as $k => $last) {
            if (($set >> $k & 1) === 0) {
                $due[$last] = ($due[$last] ?? 0) + $this->work[$k];
            }
        }
        ksort($due);
        $work = $room = 0;
        $until = $session;
        $needs = [];
        foreach ($due as $last => $minutes) {
            $work += $minutes;
            for (; $until < $last; $until++) {
                $room += $this->problem->capacity($until + 1);
            }
            if ($work > $room) {
                $needs[$last] = $work - $room;
            }
        }

        return $needs;
    }

    /**
     * @param  array<int, array{int, int}>  $ends
     * @param  array<int, array{int, int}>  $here starts of what was added
     * @param  array<int, int>  $needs what is still to be added of the work that is due by each session
     * @param  array<int, array{list<int>, array<int, array{int, int}>}>  $next
     */
    private function add(int $set, array $ends, int $at, int $room, array $here, array $needs, array &$next): bool
    {
        $isAsked = (++$this->nodes & self::ASKED_EACH) === 0;
        if ($this->nodes > $this->most || ($isAsked && $this->goesOn !== null && ! ($this->goesOn)())) {
            return false;
        }
        for (; ; $at++) {
            foreach ($needs as $last => $need) {
                if ($need > $room || $need > $this->offered[$last][$at]) {
                    return true;
                }
            }
            $k = $this->candidates[$at] ?? null;
            if ($k === null) {
                $this->take($set, $ends, $room, $here, $next);

                return true;
            }
            $work = $this->work[$k];
            $range = $work <= $room ? $this->range($this->session, $k, $set, $ends) : null;
            if ($range !== null && $this->fit->holds($this->session, $here + [$k => $range])) {
                $left = $needs;
                foreach ($needs as $last => $need) {
                    if ($this->last[$k] <= $last) {
                        $left[$last] = $need - $work;
                    }
                }
                $minutes = $this->problem->jobs[$this->ids[$k]]->minutes;
                $with = $ends + [$k => [$range[0] + $minutes, $range[1] + $minutes]];
                if (! $this->add($set | 1 << $k, $with, $at + 1, $room - $work, $here + [$k => $range], $left, $next)) {
                    return false;
                }
            }
            if (isset($this->must[$k])) {
                return true;
            }
        }
    }

    /**
     * @param  array<int, array{int, int}>  $ends
     * @param  array<int, array{int, int}>  $here
     * @param  array<int, array{list<int>, array<int, array{int, int}>}>  $next
     */
    private function take(int $set, array $ends, int $room, array $here, array &$next): void
    {
        $session = $this->session;
        // What nothing follows closely is never worse off earlier: a set that would hold one more is not needed.
        foreach ($this->fullest ? $this->candidates : [] as $k) {
            if (($set >> $k & 1) === 0 && $this->free[$k]) {
                $range = $this->range($session, $k, $set, $ends);
                if ($range !== null && $this->work[$k] <= $room && $this->fit->holds($session, $here + [$k => $range])) {
                    return;
                }
            }
        }
        if (! $this->fit->isInSequence($session, $here)) {
            return;
        }
        $kept = [];
        foreach ($this->before as $k => $waits) {
            if (($set >> $k & 1) === 1) {
                continue;
            }
            foreach ($waits as [$earlier, $wait]) {
                if (isset($ends[$earlier])) {
                    $kept[$earlier] = $ends[$earlier];
                    if ($wait->max !== null && ! $this->canFollow($session, $k, $ends[$earlier][1] + $wait->max)) {
                        return;
                    }
                }
            }
        }
        foreach ($next[$set][1] ?? [] as $k => [$earliest, $latest]) {
            $kept[$k] = [min($kept[$k][0], $earliest), max($kept[$k][1], $latest)];
        }
        $before = $next[$set][0] ?? [];
        $isKept = in_array($this->from, $before, true) || count($before) >= self::MAX_WAYS;
        $next[$set] = [$isKept ? $before : [...$before, $this->from], $kept];
    }

    /** Whether a later session has a start of the job by a moment. */
    private function canFollow(int $session, int $k, int $by): bool
    {
        foreach ($this->windows[$k] as $later => [$first]) {
            if ($later > $session && $first <= $by) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  array<int, array{int, int}>  $ends
     * @return array{int, int}|null first and last start in the session, null where what it waits for is not done or too long ago
     */
    private function range(int $session, int $k, int $set, array $ends): ?array
    {
        [$first, $last] = $this->windows[$k][$session];
        foreach ($this->before[$k] as [$earlier, $wait]) {
            if (($set >> $earlier & 1) === 0) {
                return null;
            }
            if (! isset($ends[$earlier])) {
                continue;
            }
            $first = max($first, $this->ready[$earlier][$k][$ends[$earlier][0]] ??= $wait->gap->earliest($ends[$earlier][0]));
            if ($wait->max !== null) {
                $last = min($last, $ends[$earlier][1] + $wait->max);
            }
            if ($first > $last) {
                return null;
            }
        }

        return [$first, $last];
    }
}
