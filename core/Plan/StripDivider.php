<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use Closure;
use IdleRidge\Core\Coats\Ballast;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Labour;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\Strip;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Coats\ZoneArea;
use IdleRidge\Core\Geometry\DepthCurve;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/**
 * Cuts what is left of a coat's pass into applications: strips of equal area from back to front, along the track for track
 * dress, none longer than the longest session nor than the material stays workable.
 */
final readonly class StripDivider
{
    private const MAX_STRIPS = 60;

    private TurnoutToes $toes;

    /** @param  Closure(Section, Coat, int): float  $workable minutes for which an application of a coat can surely be worked there */
    public function __construct(private Project $project, private int $longestSession, private Closure $workable)
    {
        $this->toes = new TurnoutToes();
    }

    /**
     * @param  float  $whole true area of the whole zone, mm²
     * @return list<Move>
     */
    public function moves(Section $section, Zone $zone, Coat $coat, int $pass, ZoneArea $left, float $whole): array
    {
        $whole = max(1e-9, $whole * $coat->share);
        $recipe = $coat->recipeOf($pass);
        $along = $recipe->bed === 'track';
        // Beyond its edge a coat thins to nothing: half of that strip's area, on ground that is no more than the zone.
        $blend = min($left->surface, ($left->edge() * $coat->blend) / 2.0);
        $area = $coat->share * ($left->surface + $blend);
        $things = count($left->standing->places);
        $count = $this->strips($section, $coat, $pass, $area, $along ? $left->trackX->total() : 0.0, $whole, $things);
        $strips = $along ? $left->trackX->strips($count, false) : $left->acrossY->strips($count, true);
        $more = $this->overlap($coat, $whole);
        $moves = [];
        foreach ($strips as $k => [$from, $to]) {
            $band = $along ? new Strip(x1: $from, x2: $to) : new Strip(y1: $from, y2: $to);
            $area = $coat->share * (($along ? $left->acrossX : $left->acrossY)->between($from, $to) + $blend / $count);
            $track = $along ? $left->trackX->between($from, $to) : 0.0;
            $part = min(1.0, $area / $whole);
            $here = $left->standing->within($band);
            $moves[] = new Move(
                Move::id($coat->uid, $pass, $k + 1),
                $section,
                $zone,
                $coat,
                $pass,
                $k + 1,
                $count,
                $band,
                $area,
                $track,
                $this->minutes($section, $coat, $pass, $area, $track, $area / $whole, $band, $left, $here),
                $recipe->amounts(
                    $area * $more,
                    match (true) {
                        $along => $this->bed($section, $coat, $left, $band),
                        $recipe->is(RecipeTrait::Pour) && $left->standing->water !== null => $part *
                            $this->layer($coat, $pass, $left->standing->water),
                        default => $area * $more * $coat->mm,
                    },
                    $left->edge() * $part,
                    $left->length() * $part,
                    $here,
                    $left->standing->wire * $part,
                ),
            );
        }

        return $moves;
    }

    private function minutes(
        Section $section,
        Coat $coat,
        int $pass,
        float $area,
        float $track,
        float $part,
        Strip $band,
        ZoneArea $left,
        int $things,
    ): int {
        $minutes = $coat->minutesOf($area, $track * $coat->share, $part, $pass, $things);
        if ($coat->recipe->family === Family::Ballast && $coat->minutes === null && $coat->recipeOf($pass) === $coat->recipe) {
            $passes = $coat->share * $coat->recipe->layers($coat->mm);
            $minutes += Labour::BALLAST_MINUTES_PER_TURNOUT * $passes * $this->turnoutsIn($section, $band, $left);
        }

        return max(1, (int) ceil($minutes - 1e-9));
    }

    /** What has to follow its own coat within a while follows it strip by strip: the first would not wait for the last. */
    private function strips(Section $section, Coat $coat, int $pass, float $area, float $track, float $whole, int $things): int
    {
        $count = $this->count($section, $coat, $pass, $area, $track, $whole, $things);
        $follows = $pass > 1 && $coat->recipeOf($pass)->window?->side === 'self';

        return $follows ? max($count, $this->strips($section, $coat, $pass - 1, $area, $track, $whole, $things)) : $count;
    }

    private function count(Section $section, Coat $coat, int $pass, float $area, float $track, float $whole, int $things): int
    {
        $open = ($this->workable)($section, $coat, $pass);
        for ($count = 1; $count < self::MAX_STRIPS; $count++) {
            $minutes = $coat->minutesOf($area / $count, $track / $count, $area / $count / $whole, $pass, (int) ceil($things / $count));
            $fits = ceil($minutes - 1e-9) <= $this->longestSession;
            if ($fits && ($coat->openMinutesOf($area / $count, $pass) ?? 0.0) <= $open) {
                break;
            }
        }

        return $count;
    }

    /** Cloth is counted in whole pieces that overlap, a web by the gap between its strips, as Cuts has them: so many times the area. */
    private function overlap(Coat $coat, float $whole): float
    {
        $shell = $this->project->layout->cuts->shell;

        return match (true) {
            $coat->recipe->is(RecipeTrait::Cloth) => $shell->cloth($whole) / $whole,
            $coat->recipe->is(RecipeTrait::Card) => $shell->density(),
            default => 1.0,
        };
    }

    /** Turnouts whose blades lie in a stretch of the track that is dressed. */
    private function turnoutsIn(Section $section, Strip $band, ZoneArea $left): int
    {
        $toes = $this->toes->of($this->project, $section);

        return count(array_filter($toes, fn (array $p): bool => $p[0] >= $band->x1 && $p[0] < $band->x2 && $left->holds(...$p)));
    }

    /** What one layer of a pour fills, mm³: it lies level over what was poured before, from the deepest place up. */
    private function layer(Coat $coat, int $application, DepthCurve $water): float
    {
        $foot = $water->most - ($coat->passOf($application) - 1) * $coat->mm;

        return $coat->share * $water->between(max(0.0, $foot - $coat->mm), max(0.0, $foot));
    }

    /**
     * What a pass of ballast fills, mm³, every stretch by the profile of its own track. A pass as thick as the recipe's reference is a
     * full bed, a lighter one as much less.
     */
    private function bed(Section $section, Coat $coat, ZoneArea $left, Strip $band): float
    {
        $full = $coat->recipe->cure->referenceMm;
        $sum = 0.0;
        foreach ($this->project->runsNear($section) as $run) {
            $length = isset($left->tracks[$run->uid]) ? $left->tracks[$run->uid]->between($band->x1, $band->x2) : 0.0;
            $sum += $length <= 0.0 ? 0.0 : Ballast::forTrack($this->project->layout->scale->ratio, $run->profile)->volume($length, $full);
        }

        return ($coat->share * $sum * $coat->mm) / $full;
    }
}
