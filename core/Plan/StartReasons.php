<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Hazard;
use IdleRidge\Core\Cure\CureFigures;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Schedule\ReasonKind;
use IdleRidge\Core\Schedule\StartReason;

/** Why a move of a plan does not start earlier, or not at all, in words. */
final class StartReasons
{
    private readonly MendReasons $mends;

    private readonly ClockWords $words;

    /** @var array<string, StartReason> */
    private array $known = [];

    /**
     * @param  array<string, array{int, int}>  $at start and end of moves, minutes of Unix time
     * @param  array<string, array{int, int}>  $mends check that was not right (uid) → when it is put right
     */
    public function __construct(
        private readonly BenchWork $work,
        private readonly array $at,
        array $mends = [],
    ) {
        $this->mends = new MendReasons($work, $mends);
        $this->words = new ClockWords($work->zone(), $work->now);
    }

    public function notEarlier(Move $move): StartReason
    {
        return $this->known[$move->id] ??= $this->heldBy($move);
    }

    private function heldBy(Move $move): StartReason
    {
        [$start, $end] = $this->at[$move->id];
        [$ready, $base, $lead, $minutes, $with] = $this->bindingOfAll($move);
        $session = $this->sessionOf($start);
        $when =
            $base === null
                ? ''
                : "{$this->name($base)} is {$this->reachedWord($base)} at {$this->moment($ready + $lead)}".
                    ($with === null ? '' : ", and {$this->quoted($with)} goes with the same set-up");
        if ($base !== null && $ready >= $start) {
            return new StartReason(ReasonKind::Wait, $this->id($base), $when);
        }
        $mended = $this->mends->between($move, $session === null ? $start : $session[0], $start);
        if ($mended !== null) {
            return $mended;
        }
        $before = $this->neighbour($move, $start);
        if ($before !== null && $end - $start < $move->minutes) {
            return new StartReason(ReasonKind::Pot, $before->id, "one set-up with {$this->quoted($before)}");
        }
        $aired =
            $this->aired($move, $start) ??
            ($before !== null && $session !== null && $session[2] > 1 ? $this->sparking($move, $before, $start) : null);
        if ($aired !== null) {
            return $aired;
        }
        $last = $session === null ? null : $this->sessionBefore($session[0]);
        $short = $this->shortOf($move, $last === null ? $this->work->now : $last[1]);
        if ($short !== null) {
            return $short;
        }
        $held = $this->heldTool($move, $start);
        if ($held !== null) {
            return $held;
        }
        if ($this->isCold($move, $start - 15)) {
            return new StartReason(ReasonKind::Cold, '', $this->coldWords($move));
        }
        if ($before !== null) {
            // Only the first hours of a session may be full, and those before it too cold.
            $previous = $session === null || ! $this->isFullFrom($session[0], $start) ? null : $this->sessionBefore($session[0]);
            if ($previous !== null && $ready <= $previous[1] - $minutes && $this->isCold($move, $previous[1] - $minutes)) {
                return new StartReason(ReasonKind::Cold, '', $this->coldWords($move));
            }
            $tools = array_intersect($move->recipe->tools, $before->recipe->tools);

            return $tools !== []
                ? new StartReason(
                    ReasonKind::Tool,
                    (string) reset($tools),
                    "the {$tools[array_key_first($tools)]} is with {$this->quoted($before)} until {$this->moment($start)}",
                )
                : new StartReason(ReasonKind::Hands, $before->id, "hands are with {$this->quoted($before)} until {$this->moment($start)}");
        }
        if ($session !== null && $start <= max($session[0], $this->work->now)) {
            $previous = $this->sessionBefore($session[0]);
            if ($previous !== null && $ready <= $previous[1] - $minutes && $this->isCold($move, $previous[1] - $minutes)) {
                return new StartReason(ReasonKind::Cold, '', $this->coldWords($move));
            }
            if ($base !== null && ($previous === null || $ready > $previous[1] - $minutes)) {
                return $ready > $this->work->now
                    ? new StartReason(
                        ReasonKind::Wait,
                        $this->id($base),
                        $when.($ready + $lead <= $start ? '; this is the next session' : ''),
                    )
                    : new StartReason(ReasonKind::Session, (string) $start, 'begins with the next session');
            }

            return $previous === null
                ? new StartReason(
                    ReasonKind::Session,
                    (string) $start,
                    $session[0] <= $this->work->now ? 'can begin at once' : 'begins with the next session',
                )
                : new StartReason(ReasonKind::Hands, '', 'the sessions before are taken by other work');
        }
        $current = $this->work->current();
        if ($current !== null && $start === $this->work->endOf($current)) {
            return new StartReason(
                ReasonKind::Hands,
                $current->uid,
                "hands are with “{$current->title}” until about {$this->moment($start)}",
            );
        }

        return new StartReason(ReasonKind::Order, '', 'other work goes first');
    }

    /**
     * @param  array{int, int, int}  $session
     * @param  int  $free minutes of it that no move takes
     */
    public function notWithin(Move $move, array $session, int $free): StartReason
    {
        [$ready, $base] = $this->binding($move);
        if ($base !== null && $ready > $session[1] - $move->minutes) {
            return new StartReason(
                ReasonKind::Wait,
                $this->id($base),
                "{$this->name($base)} is ".
                    ($base->milestone === Milestone::NextCoat ? 'ready' : $this->reachedWord($base)).
                    " {$this->moment($ready)}",
            );
        }
        $short = $this->mends->between($move, $session[0], PHP_INT_MAX) ?? $this->shortOf($move, $session[0]);
        if ($short !== null) {
            return $short;
        }
        if ($this->isCold($move, $session[1] - $move->minutes)) {
            return new StartReason(ReasonKind::Cold, '', $this->coldWords($move));
        }

        return $move->minutes > $free
            ? new StartReason(ReasonKind::Hands, '', "takes {$move->minutes} min, {$free} are free")
            : new StartReason(ReasonKind::Order, '', 'would fit; other work first brings the end sooner');
    }

    /**
     * @param  bool  $cold whether no session at all is warm enough for it
     * @return array{ReasonKind, string} kind and sentence
     */
    public function nowhere(Move $move, bool $cold): array
    {
        if ($this->work->sessions === []) {
            return [ReasonKind::Sessions, 'Nothing can be planned: add an evening.'];
        }
        $never = $this->mends->never($move);
        if ($never !== null) {
            return $never;
        }
        $short = $this->work->short()[$move->id] ?? null;
        if ($short !== null && $this->work->shopsAt() === null) {
            return [ReasonKind::Short, ucfirst($short->words()).': buy it, or set the day on which you shop.'];
        }
        if ($cold) {
            return [ReasonKind::Cold, $this->coldWords($move)];
        }
        foreach ($this->work->bases[$move->id] as $base) {
            if ($base->under instanceof Move && ! isset($this->at[$base->under->id])) {
                return [ReasonKind::Order, "It goes over {$this->quoted($base->under)}, which finds no session itself."];
            }
        }
        foreach ($this->work->moves as $follower) {
            foreach ($this->work->bases[$follower->id] as $base) {
                $mustFollow = $base->under === $move && $base->window !== null && $base->window->again === null;
                if ($mustFollow && ! isset($this->at[$follower->id])) {
                    return [
                        ReasonKind::Window,
                        "{$this->quoted($follower)} has to follow it within a while, "
                            .'and no session has room for both: it is better not begun.',
                    ];
                }
            }
        }
        [$ready, $base] = $this->binding($move);
        $last = $this->work->sessions[count($this->work->sessions) - 1][1];
        if ($base !== null && $ready > $last - $move->minutes) {
            return [
                ReasonKind::Wait,
                "{$this->name($base)} is {$this->reachedWord($base)} only at {$this->moment($ready)}, after "
                    ."the last session there is: warm or air {$this->work->drying($move->section)->room->name}.",
            ];
        }
        foreach ($this->work->bases[$move->id] as $base) {
            if (
                $base->window !== null &&
                $base->window->again === null &&
                ($base->under instanceof CoatApplication || isset($this->at[$base->under->id]))
            ) {
                return [ReasonKind::Window, "It has to follow {$this->name($base)} within a while, and no session lies in it."];
            }
        }
        $longest = max(array_map(fn (array $s): int => $s[1] - $s[0], $this->work->sessions));

        return $move->minutes > $longest
            ? [ReasonKind::Sessions, "It takes {$move->minutes} minutes, longer than any session."]
            : [ReasonKind::Sessions, 'The sessions of the next '.BenchWork::HORIZON_DAYS.' days have no room left for it.'];
    }

    public function moment(int $minute): string
    {
        return $this->words->exactly($minute);
    }

    /**
     * The base that is ready last.
     *
     * @return array{int, Underlayer|null}
     */
    public function binding(Move $move): array
    {
        $last = 0;
        $binding = null;
        foreach ($this->work->bases[$move->id] as $base) {
            $ready = $this->ready($base);
            if ($ready !== null && $ready > $last) {
                [$last, $binding] = [$ready, $base];
            }
        }

        return [$last, $binding];
    }

    /**
     * The base that is ready last of a move and of those that go with its set-up, and when all of them may begin.
     *
     * @return array{int, Underlayer|null, int, int, Move|null} when the first may begin, the base, minutes before the move that it lies
     *     under, minutes of all, that move if it is another
     */
    private function bindingOfAll(Move $move): array
    {
        [$last, $binding] = $this->binding($move);
        [$first, $end] = $this->at[$move->id];
        [$lead, $with] = [0, null];
        $next = $end - $first < $move->minutes ? null : $this->joined($move, $end);
        while ($next !== null) {
            [$start, $end] = $this->at[$next->id];
            [$ready, $base] = $this->binding($next);
            if ($ready - ($start - $first) > $last) {
                [$last, $binding, $lead, $with] = [$ready - ($start - $first), $base, $start - $first, $next];
            }
            $next = $this->joined($move, $end);
        }

        return [$last, $binding, $lead, $end - $first, $with];
    }

    /** The move that begins at a moment and goes on with a move's pot and set-up. */
    private function joined(Move $move, int $at): ?Move
    {
        foreach ($this->at as $id => [$from, $to]) {
            $other = $this->work->moves[$id];
            if (
                $from === $at &&
                $to - $from < $other->minutes &&
                $other->section === $move->section &&
                $other->recipe->id === $move->recipe->id
            ) {
                return $other;
            }
        }

        return null;
    }

    private function ready(Underlayer $base): ?int
    {
        $under = $base->under;
        if ($under instanceof CoatApplication) {
            return $base->window === null
                ? (int) ceil($this->work->reached($under, $base->milestone, $this->work->certainty()) - 1e-6)
                : $this->gap($base, $under->section)->earliest($this->work->endOf($under));
        }
        $end = $this->at[$under->id][1] ?? null;

        return match (true) {
            $end === null => null,
            $base->window !== null => $this->gap($base, $under->section->uid)->earliest($end),
            default => (int) ceil(
                $this->work
                    ->drying($under->section)
                    ->reached($under->recipe->cure, $base->milestone, $under->coat->mm, $end, $this->work->certainty()) - 1e-6,
            ),
        };
    }

    /** Vapour that has gone only then */
    private function aired(Move $move, int $start): ?StartReason
    {
        foreach (in_array(Hazard::Sparks, $move->recipe->hazards, true) ? $this->at : [] as $id => [, $to]) {
            $other = $this->work->moves[$id];
            $airing = $this->work->airing($other);
            if (
                $airing > 0 &&
                $to + $airing === $start &&
                $this->work->drying($other->section)->room === $this->work->drying($move->section)->room
            ) {
                return new StartReason(
                    ReasonKind::Apart,
                    (string) $id,
                    "it sparks, and the vapour of {$this->quoted($other)} has gone only by {$this->moment($start)}",
                );
            }
        }

        return null;
    }

    /** Another's sparks, where hands alone would do both at once */
    private function sparking(Move $move, Move $before, int $start): ?StartReason
    {
        return $this->work->airing($move) > 0 &&
            in_array(Hazard::Sparks, $before->recipe->hazards, true) &&
            $this->work->drying($before->section)->room === $this->work->drying($move->section)->room
            ? new StartReason(
                ReasonKind::Apart,
                $before->id,
                "it gives off vapour, and {$this->quoted($before)} sparks until {$this->moment($start)}",
            )
            : null;
    }

    /** Whether moves follow each other without a break from one moment to another. */
    private function isFullFrom(int $from, int $to): bool
    {
        $ends = array_column($this->at, 0, 1);
        while ($to > $from && isset($ends[$to])) {
            $to = $ends[$to];
        }

        return $to <= $from;
    }

    private function neighbour(Move $move, int $start): ?Move
    {
        foreach ($this->at as $id => [$from, $to]) {
            if ($id !== $move->id && $from < $start && $to === $start) {
                return $this->work->moves[$id];
            }
        }

        return null;
    }

    /** What has to be bought first, after a moment */
    private function shortOf(Move $move, int $after): ?StartReason
    {
        $short = $this->work->short()[$move->id] ?? null;
        $shops = $this->work->shopsAt();

        return $short === null || $shops === null || $shops < $after
            ? null
            : new StartReason(ReasonKind::Short, $short->material, "{$short->words()} until you shop on {$this->words->day($shops)}");
    }

    /** A coat that keeps a tool until then */
    private function heldTool(Move $move, int $start): ?StartReason
    {
        $kept = function (string $title, Section $section, CureFigures $cure, float $mm, string $milestone, int $end): int {
            return (int) ceil(
                $this->work->drying($section)->reached($cure, Milestone::from($milestone), $mm, $end, $this->work->certainty()) - 1e-6,
            );
        };
        foreach ($move->recipe->tools as $tool) {
            foreach ($this->at as $id => [, $to]) {
                $other = $this->work->moves[$id];
                $until = $other->recipe->holds[$tool] ?? null;
                if (
                    $until !== null &&
                    $to <= $start &&
                    $kept($other->title(), $other->section, $other->recipe->cure, $other->coat->mm, $until, $to) === $start
                ) {
                    return new StartReason(
                        ReasonKind::Tool,
                        $tool,
                        "{$this->quoted($other)} keeps the {$tool} until {$this->moment($start)}",
                    );
                }
            }
            foreach ($this->work->project->works->laid as $laid) {
                $until = $laid->recipe->holds[$tool] ?? null;
                if (
                    $until !== null &&
                    (int) ceil($this->work->reached($laid, Milestone::from($until), $this->work->certainty())) === $start
                ) {
                    return new StartReason(ReasonKind::Tool, $tool, "“{$laid->title}” keeps the {$tool} until {$this->moment($start)}");
                }
            }
        }

        return null;
    }

    private function gap(Underlayer $base, string $section): WindowTimeLag
    {
        return $this->work->windowOf($base, $section);
    }

    private function isCold(Move $move, int $start): bool
    {
        return $start >= $this->work->now &&
            $this->sessionOf($start) !== null &&
            $this->work
                ->drying($move->section)
                ->spoils($move->recipe->cure, $move->coat->mm, $start + $move->minutes, $this->work->certainty());
    }

    private function coldWords(Move $move): string
    {
        $room = $this->work->drying($move->section)->room;
        $film = Format::text((float) $move->recipe->cure->filmTemperature, '°C', 1);
        $coldest = Format::text($this->work->drying($move->section)->air->coldest(), '°C', 1);

        return "no film forms under {$film}, and {$room->name} falls to {$coldest} at night "
            .'before it is touch-dry: lay it earlier in the day, or keep the room warm';
    }

    /** @return array{int, int, int}|null */
    private function sessionOf(int $minute): ?array
    {
        foreach ($this->work->sessions as $session) {
            if ($minute >= $session[0] && $minute < $session[1]) {
                return $session;
            }
        }

        return null;
    }

    /** @return array{int, int, int}|null the last session that ends before a moment */
    private function sessionBefore(int $minute): ?array
    {
        $found = null;
        foreach ($this->work->sessions as $session) {
            if ($session[1] <= $minute) {
                $found = $session;
            }
        }

        return $found;
    }

    private function reachedWord(Underlayer $base): string
    {
        if ($base->window !== null) {
            return 'right for it';
        }

        return match ($base->milestone->value) {
            'dry_through' => 'dry through',
            'touch_dry' => 'touch-dry',
            default => 'ready for the next coat',
        };
    }

    private function name(Underlayer $base): string
    {
        return $base->under instanceof CoatApplication ? "“{$base->under->title}”" : $this->quoted($base->under);
    }

    private function quoted(Move $move): string
    {
        return "“{$move->title()}” on {$move->zone->name}";
    }

    private function id(Underlayer $base): string
    {
        return $base->under instanceof CoatApplication ? $base->under->uid : $base->under->id;
    }
}
