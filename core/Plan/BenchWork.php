<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Coats\Airing;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\LayingOrder;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\Stripping;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Coats\ZoneOverlap;
use IdleRidge\Core\Cure\Drying;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Cure\Observation;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Cure\RoomAir;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Schedule\BenchRules;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\DueState;
use LogicException;

/**
 * The work of a layout at a moment: what is laid and how far it has dried, what is still to lay, and what waits for what.
 * Precedence is derived: from the builder's order on each zone, what is ruled beside another, and stages where zones overlap.
 */
final class BenchWork
{
    /** How far ahead sessions are looked at, days. */
    public const HORIZON_DAYS = 90;

    /** Session length when there is none to go by, minutes. */
    private const USUAL_SESSION_MINUTES = 120;

    /** @var array<string, Move> */
    public readonly array $moves;

    /** @var array<string, list<Underlayer>> move → what it goes over */
    public readonly array $bases;

    /** @var list<array{int, int, int}> from, to, hands */
    public readonly array $sessions;

    /** The longest session that was set, minutes; 0 where there is none. */
    private readonly int $longest;

    /** @var array<string, Drying> */
    private array $drying = [];

    /** @var array<string, LayingOrder> section uid → its order */
    private array $orders = [];

    private readonly DateTimeZone $zone;

    /** Minute from which on the air is looked at: a day before anything that was begun. */
    private readonly int $earliest;

    /** @var array<string, Shortage>|null */
    private ?array $short = null;

    public readonly Mending $mending;

    /**
     * @param  array<string, SectionSurvey>  $surveys section uid → its survey
     * @param  int  $now minutes of Unix time
     */
    public function __construct(public readonly Project $project, public readonly array $surveys, public readonly int $now)
    {
        $this->zone = new DateTimeZone($project->layout->zone);
        $begun = [...$project->works->laid, ...$project->works->stripped];
        $this->earliest = min([$now, ...array_map(fn (CoatApplication $l): int => $l->endedAt ?? $l->startedAt, $begun)]) - 1440;
        $sessions = BenchTime::sessions($project->works->times, $this->zone, $now, self::HORIZON_DAYS);
        $this->longest = max([0, ...array_map(fn (array $s): int => $s[1] - $s[0], $sessions)]);
        $cutter = $this->cutter();
        $moves = $bases = [];
        foreach ($project->sections as $section) {
            if (isset($surveys[$section->uid])) {
                $here = $this->movesOn($section, $surveys[$section->uid], $cutter);
                $bases += $this->basesOn($section, $surveys[$section->uid], $here);
                foreach ($here as $move) {
                    $moves[$move->id] = $move;
                }
            }
        }
        $this->moves = $moves;
        $this->bases = $bases;
        $this->mending = Mending::of($project, $moves, $this->longest === 0 ? self::USUAL_SESSION_MINUTES : $this->longest);
        $this->sessions = ExtendedSessions::among($this, $sessions);
    }

    /** Cuts coats into what is done in one go, in the sessions and rooms there are. */
    public function cutter(): StripDivider
    {
        return new StripDivider($this->project, $this->longest === 0 ? self::USUAL_SESSION_MINUTES : $this->longest, $this->workable(...));
    }

    /** @return array<string, Shortage> move → what is not in store for it */
    public function short(): array
    {
        return $this->short ??= StockShares::short($this);
    }

    /** When one shops next, minutes of Unix time; null where no day is set, or it is over. */
    public function shopsAt(): ?int
    {
        return $this->rules()->shelf->shopsAt($this->zone, $this->now);
    }

    /**
     * Minutes for which an application of a coat can surely be worked on a section: in the quickest air of its room, with what was
     * learned there.
     */
    public function workable(Section $section, Coat $coat, int $application): float
    {
        $cure = $coat->recipeOf($application)->cure;

        return isset($cure->minutes[Milestone::WorkableUntil->value])
            ? $this->drying($section)->least($cure, Milestone::WorkableUntil, $coat->mm, 1.0 - $this->certainty())
            : INF;
    }

    /** The air that what was laid on a section has had: that of its room, and of those it stood in before. */
    public function drying(Section $section): Drying
    {
        $room = $this->project->works->room($section);
        $from = $this->earliest;
        $stood = array_filter($section->stood, fn (array $one): bool => $one[0] > $from);
        if ($stood === []) {
            return $this->dryingIn($room);
        }

        return $this->drying["{$room->uid}|{$section->uid}"] ??= new Drying(
            $room,
            $this->zone,
            $from,
            $this->project->works->logs[$room->uid] ?? null,
            $this->watchedIn($room),
            RoomAir::before($stood, $this->project->works->rooms, $this->project->works->logs, $this->zone),
            max(array_column($stood, 0)),
        );
    }

    public function dryingIn(Room $room): Drying
    {
        return $this->drying[$room->uid] ??= new Drying(
            $room,
            $this->zone,
            $this->earliest,
            $this->project->works->logs[$room->uid] ?? null,
            $this->watchedIn($room),
        );
    }

    public function dryingOf(CoatApplication $laid): Drying
    {
        return $this->drying($this->project->section($laid->section));
    }

    /** A move as it is begun: from now on what it covers and takes stands as it is. */
    public function begin(Move $move, string $uid, int $startedAt, ?int $endedAt = null): CoatApplication
    {
        $rings = $move->patch($this->surveys[$move->section->uid]->zones[$move->zone->uid]->rings);
        $placement = $move->section->placement;

        return new CoatApplication(
            $uid,
            $move->section->uid,
            $move->zone->uid,
            $move->coat->uid,
            $move->pass,
            $move->coat->title(),
            $move->recipe,
            $move->coat->mm,
            CoatApplication::moved($rings, fn (Point $p): Point => $placement->toLayout($p)),
            $move->area,
            $move->track,
            $move->minutes,
            $move->amounts,
            $startedAt,
            $endedAt,
        );
    }

    /** When something laid has reached a milestone, minutes of Unix time; what is being laid counts from its expected end. */
    public function reached(CoatApplication $laid, Milestone $milestone, float $quantile): float
    {
        return $this->dryingOf($laid)->reached(
            $laid->recipe->cure,
            $milestone,
            $laid->mm,
            $this->endOf($laid),
            $quantile,
            $laid->watched(),
        );
    }

    public function endOf(CoatApplication $laid): int
    {
        return $laid->endedAt ?? max(intdiv($this->now, 5) * 5 + 5, $laid->startedAt + $laid->minutes);
    }

    /** The move that is being laid, if any. */
    public function current(): ?CoatApplication
    {
        foreach ($this->project->works->laid as $laid) {
            if ($laid->endedAt === null) {
                return $laid;
            }
        }

        return null;
    }

    /** Whoever touched it and called it wet is believed, whatever it was to be ready for. */
    public function state(CoatApplication $laid): DryingState
    {
        $dry = isset($laid->recipe->cure->minutes[Milestone::TouchDry->value])
            ? $this->dryingOf($laid)->reached(
                $laid->recipe->cure,
                Milestone::TouchDry,
                $laid->mm,
                $this->endOf($laid),
                $this->certainty(),
                $laid->watched()?->to(Milestone::TouchDry),
            )
            : null;
        $next = $this->reached($laid, $laid->recipe->needsOf($laid->recipe), $this->certainty());

        return match (true) {
            $laid->endedAt === null || ($dry !== null && $this->now < $dry) => DryingState::Wet,
            $this->now < $next => DryingState::Setting,
            default => DryingState::Ready,
        };
    }

    /**
     * The moment from which work is planned: the next session's beginning, or within one the last five minutes' mark, so
     * that a plan stands for a while.
     */
    public function planFrom(): int
    {
        $begin = $this->sessions[0][0] ?? $this->now;

        return $this->current() === null && $begin > $this->now ? $begin : intdiv($this->now, 5) * 5;
    }

    /** Minutes that a room airs after a move before anything in it may spark; 0 where it gives off no vapour. */
    public function airing(Move $move): int
    {
        return Airing::after($move->recipe, $move->amounts, $this->drying($move->section)->room);
    }

    /** A base's window in the air of a section's room, in minutes of Unix time. */
    public function windowOf(Underlayer $base, string $section): WindowTimeLag
    {
        return new WindowTimeLag(
            $this->drying($this->project->section($section)),
            $base->cure()['figures'],
            $base->cure()['mm'],
            $base->window ?? throw new LogicException('It has no window.'),
            $this->certainty(),
            0,
        );
    }

    public function rules(): BenchRules
    {
        return $this->project->layout->bench;
    }

    /** How sure a start has to be, 0 … 1. */
    public function certainty(): float
    {
        return $this->rules()->certainty;
    }

    /**
     * By when a section has to have come how far: its own date, else that of the show.
     *
     * @return array{int, DueState}|null minutes of Unix time, and how far
     */
    public function dueOf(Section $section): ?array
    {
        $own = $this->rules()->dueOf($section->uid);
        $date = $own->date ?? $this->project->layout->showOn;

        return $date === null
            ? null
            : [intdiv((new DateTimeImmutable($date, $this->zone))->getTimestamp(), 60), $own->state ?? DueState::Travel];
    }

    public function zone(): DateTimeZone
    {
        return $this->zone;
    }

    /** @return list<Observation> */
    private function watchedIn(Room $room): array
    {
        $seen = [];
        foreach ($this->project->works->laid as $laid) {
            $watched = $laid->watched();
            if ($watched !== null && $this->project->works->room($this->project->section($laid->section))->uid === $room->uid) {
                $seen[] = $watched;
            }
        }

        return $seen;
    }

    /** @return list<Move> */
    private function movesOn(Section $section, SectionSurvey $survey, StripDivider $cutter): array
    {
        $moves = [];
        foreach ($this->project->works->zonesOf($section->uid) as $zone) {
            foreach ($this->project->works->coatsOf($zone->uid) as $coat) {
                for ($pass = 1; $pass <= $coat->applications(); $pass++) {
                    if (! $survey->isWhole($coat, $pass) && $survey->left($coat, $pass)->surface > 0.0) {
                        array_push(
                            $moves,
                            ...$cutter->moves(
                                $section,
                                $zone,
                                $coat,
                                $pass,
                                $survey->left($coat, $pass),
                                $survey->zones[$zone->uid]->surface,
                            ),
                        );
                    }
                }
            }
        }

        return $moves;
    }

    /**
     * @param  list<Move>  $moves
     * @return array<string, list<Underlayer>>
     */
    private function basesOn(Section $section, SectionSurvey $survey, array $moves): array
    {
        $byCoat = [];
        foreach ($moves as $move) {
            $byCoat[$move->coat->uid][$move->pass][] = $move;
        }
        $order = $this->order($section->uid);
        $bases = [];
        foreach ($moves as $move) {
            $bases[$move->id] = [];
            $under = $this->under($move, $order, $survey);
            $led = $this->led($move, $under, $order);
            foreach ($this->project->works->stripped as $off) {
                $ground = $off->coat === $move->coat->uid ? Stripping::ground($off) : null;
                if ($ground !== null) {
                    $bases[$move->id][] = new Underlayer($ground, Milestone::NextCoat);
                }
            }
            foreach ($under as $k => [$coat, $pass, $overlap]) {
                $needs = fn (Recipe $below): Milestone => $overlap?->apart === true ? $below->done() : $move->recipe->needsOf($below);
                $window = $k === $led ? $move->coat->windowOver($coat, $pass, $move->pass) : null;
                foreach ($this->project->works->laidOf($coat->uid, $pass) as $laid) {
                    $bases[$move->id][] = new Underlayer($laid, $needs($laid->recipe), $window);
                }
                foreach ($byCoat[$coat->uid][$pass] ?? [] as $below) {
                    $band = $below->band->and($move->band);
                    if ($overlap === null ? $band->y1 < $band->y2 - 1e-6 && $band->x1 < $band->x2 - 1e-6 : $overlap->within($band)) {
                        $bases[$move->id][] = new Underlayer($below, $needs($below->recipe), $window);
                    }
                }
            }
        }

        return $bases;
    }

    /**
     * Which of the coats under a move it has to follow within a while: the last one that asks for it; what a lower coat asks of
     * the one above holds for the next above alone.
     *
     * @param  list<array{Coat, int, ZoneOverlap|null}>  $under
     */
    private function led(Move $move, array $under, LayingOrder $order): ?int
    {
        $led = null;
        $highest = -1;
        $next = -1;
        foreach ($under as [$coat, , $overlap]) {
            $next = $overlap === null ? max($next, $order->turnOf($coat)) : $next;
        }
        foreach ($under as $k => [$coat, $pass, $overlap]) {
            $turn = $order->turnOf($coat);
            $window = $move->coat->windowOver($coat, $pass, $move->pass);
            $holds = $window !== null && ($window->side !== 'above' || ($overlap === null && $turn === $next));
            if ($holds && $turn > $highest) {
                [$led, $highest] = [$k, $turn];
            }
        }

        return $led;
    }

    /** Which coats of a section are laid before which. */
    public function order(string $section): LayingOrder
    {
        return $this->orders[$section] ??= new LayingOrder(
            array_map(
                fn (Zone $zone): array => $this->project->works->coatsOf($zone->uid),
                array_values($this->project->works->zonesOf($section)),
            ),
            $this->surveys[$section],
            array_keys(array_filter($this->project->works->zonesOf($section), fn (Zone $zone): bool => $zone->isInside())),
        );
    }

    /**
     * The coats and passes that a move goes over, or that have to be there before what lies beside them. Within a zone the coat next
     * below stands for those under it, which it waited for itself, unless this one asks more of them or that one came within a window.
     *
     * @return list<array{Coat, int, ZoneOverlap|null}> null for the zone itself
     */
    private function under(Move $move, LayingOrder $order, SectionSurvey $survey): array
    {
        $out = [];
        foreach ($move->pass > 1 ? $move->coat->upTo($move->pass - 1) : [] as $pass) {
            $out[] = [$move->coat, $pass, null];
        }
        // One that follows its own lower coat within a while did not wait until that was ready: what lies under it counts too.
        $nearest = true;
        $last = null;
        $works = $this->project->works;
        $own = $works->coatsOf($move->zone->uid);
        $place = array_search($move->coat->uid, array_column($own, 'uid'), true);
        foreach (array_reverse(array_slice($own, 0, (int) $place)) as $coat) {
            $nearest = $nearest && ($last === null || $this->followed($coat, $last, 1) !== null);
            $asks = array_filter($coat->recipe->turns(), fn (Recipe $r): bool => $move->recipe->needsOf($r) === Milestone::DryThrough);
            if ($nearest || $asks !== []) {
                array_push($out, ...$this->whole($coat, null, $this->followed($coat, $move->coat, $move->pass)));
            }
            $last = $coat;
        }
        $ruled = $order->ruledBefore($move->coat);
        foreach ($works->zonesOf($move->section->uid) as $zone) {
            foreach ($zone->uid === $move->zone->uid ? [] : $works->coatsOf($zone->uid) as $coat) {
                if ($order->isBefore($coat, $move->coat)) {
                    $overlap = $survey->overlap($coat->zone, $move->zone->uid) ?? $this->runningOut($coat, $move->coat, $survey);
                    $overlap ??= isset($ruled[$coat->uid]) ? ZoneOverlap::apart() : null;
                    array_push($out, ...$overlap === null ? [] : $this->whole($coat, $overlap));
                }
            }
        }

        return $out;
    }

    /**
     * All of the last pass of a coat: its wet part cures on while the rest is done. What comes within a while of one of its
     * applications does not wait for those after that.
     *
     * @return list<array{Coat, int, ZoneOverlap|null}>
     */
    private function whole(Coat $coat, ?ZoneOverlap $overlap, ?int $within = null): array
    {
        return array_map(fn (int $pass): array => [$coat, $pass, $overlap], $coat->upTo($within ?? $coat->applications()));
    }

    /** The last application of a coat that another has to follow within a while; null where there is none. */
    private function followed(Coat $lower, Coat $upper, int $over): ?int
    {
        foreach (array_reverse($lower->upTo($lower->applications())) as $under) {
            if ($upper->windowOver($lower, $under, $over) !== null) {
                return $under;
            }
        }

        return null;
    }

    /** Where coats of zones beside each other run out over their edges, the one lies on the other there. */
    private function runningOut(Coat $lower, Coat $upper, SectionSurvey $survey): ?ZoneOverlap
    {
        $over = $lower->blend + $upper->blend;

        return $over > 0.0 && $survey->liesWithin($lower->zone, $upper->zone, $over) ? ZoneOverlap::beside() : null;
    }
}
