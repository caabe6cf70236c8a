<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Coats\Ballast;
use IdleRidge\Core\Coats\Band;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Coats\ZoneArea;
use IdleRidge\Core\Cure\CureClock;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/**
 * Cuts what is left of a coat's pass into applications: strips of equal area from back to front, along the track for track
 * dress, none longer than the longest session nor than the material stays workable.
 */
final readonly class Cutter
{
    private const MOST_STRIPS = 60;

    /** Minutes that ballast takes longer round a turnout: a starting value. */
    private const TURNOUT = 25.0;

    private Toes $toes;

    public function __construct(private Project $project, private int $longestSession)
    {
        $this->toes = new Toes;
    }

    /**
     * @param float $whole true area of the whole zone, mm²
     * @return list<Move>
     */
    public function moves(Section $section, Zone $zone, Coat $coat, int $pass, ZoneArea $left, float $whole): array
    {
        $whole = max(1e-9, $whole * $coat->share);
        $count = $this->count($coat, $left->surface * $coat->share, $this->length($coat, $left, new Band), $whole, $this->project->works->room($section));
        $along = $coat->recipe->bed === 'track';
        $strips = $along ? $left->trackX->strips($count, false) : $left->acrossY->strips($count, true);
        // Beyond its edge a coat thins to nothing: half of that strip's area, on ground that is no more than the zone.
        $blend = min($left->surface, $left->edge() * $coat->blend / 2.0);
        $moves = [];
        foreach ($strips as $k => [$from, $to]) {
            $band = $along ? new Band(x1: $from, x2: $to) : new Band(y1: $from, y2: $to);
            $area = $coat->share * (($along ? $left->acrossX : $left->acrossY)->between($from, $to) + $blend / $count);
            $track = $this->length($coat, $left, $band);
            // Light layers split what the cross-section takes.
            $bed = $along ? $coat->share / $coat->passes * $this->ballast($section)->volume($track, $coat->mm, $this->roadbed($section)) : $area * $coat->mm;
            $moves[] = new Move(
                Move::id($coat->uid, $pass, $k + 1), $section, $zone, $coat, $pass, $k + 1, $count, $band, $area, $track,
                max(1, (int) ceil($coat->minutesOf($area, $track * $coat->share, $area / $whole) + ($along && $coat->minutes === null ? self::TURNOUT * $coat->share * $this->turnoutsIn($section, $band, $left) : 0.0) - 1e-9)), $coat->recipe->amounts($area, $bed, $left->edge() * min(1.0, $area / $whole)),
            );
        }

        return $moves;
    }

    private function count(Coat $coat, float $area, float $track, float $whole, Room $room): int
    {
        $labour = $coat->recipe->labour;
        $open = INF;
        if ($labour->openPerDm2 !== null) {
            $workable = CureClock::medians($coat->recipe->cure, $room->day, $coat->mm)[Milestone::WorkableUntil->value] ?? INF;
            $open = $workable * CureClock::factor(0.2);
        }
        for ($count = 1; $count < self::MOST_STRIPS; $count++) {
            $fits = ceil($coat->minutesOf($area / $count, $track / $count, $area / $count / $whole) - 1e-9) <= $this->longestSession;
            if ($fits && ($labour->openPerDm2 ?? 0.0) * $area / $count / 1e4 <= $open) {
                break;
            }
        }

        return $count;
    }

    private function length(Coat $coat, ZoneArea $left, Band $band): float
    {
        return $coat->recipe->bed === 'track' ? $left->trackX->between(max(-1e6, $band->x1), min(1e6, $band->x2)) : 0.0;
    }

    /** Turnouts whose blades lie in a stretch of the track that is dressed. */
    private function turnoutsIn(Section $section, Band $band, ZoneArea $left): int
    {
        $toes = $this->toes->of($this->project, $section);

        return count(array_filter($toes, fn (array $p): bool => $p[0] >= $band->x1 && $p[0] < $band->x2 && $left->holds(...$p)));
    }

    private function ballast(Section $section): Ballast
    {
        $run = $this->project->runsNear($section)[0] ?? null;

        return Ballast::forTrack($this->project->layout->scale->ratio, $run === null ? 1.8 : $run->profile->toArray()['sleeper_mm']);
    }

    private function roadbed(Section $section): float
    {
        $run = $this->project->runsNear($section)[0] ?? null;

        return $run === null ? 0.0 : $run->profile->toArray()['roadbed_mm'];
    }
}
