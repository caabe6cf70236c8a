<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\StructureKind;
use IdleRidge\Core\View\Crown;
use IdleRidge\Core\View\MirrorSight;
use IdleRidge\Core\View\MirrorView;
use IdleRidge\Core\View\Sight;
use IdleRidge\Core\Water\Dam;
use IdleRidge\Core\Water\Mirror;
use IdleRidge\Core\Water\WaterBody;

/** Where water leaves the scene, what hides that from where people look, and what mirrors there show them. */
final readonly class WaterEnds
{
    /** Places across the water that are looked for, and how far inside the edge, mm. */
    private const PLACES = 5;

    private const INSIDE_MM = 2.0;

    /** A bridge is told of as hiding an end within such a distance, mm. */
    private const NEAR_MM = 150.0;

    /** A deck is looked at as rounds so far apart, mm, with a parapet of such a height. */
    private const DECK_STEP_MM = 8.0;

    private const PARAPET_MM = 10.0;

    private HeightGrid $grid;

    /** @var list<array{float, float, float}> */
    private array $eyes;

    /** @var list<Crown> */
    private array $trees;

    /** @var list<Crown> */
    private array $decks;

    /** @param  list<Stand>  $stands of the section */
    public function __construct(private Project $project, private Section $section, private LandModel $model, array $stands)
    {
        $this->grid = $model->terrain(SightStudy::CELL_MM)->grid();
        $this->eyes = $project->layout->viewing->before($section);
        $this->trees = SightStudy::crowns($stands, $section, $model);
        $this->decks = array_merge(...array_map($this->deck(...), $model->grading->runs));
    }

    /**
     * @param  list<WaterBody>  $bodies
     * @return list<StreamEnd>
     */
    public function ends(array $bodies): array
    {
        $out = [];
        foreach ($bodies as $body) {
            foreach ($body->dams as $dam) {
                $out[] = $this->end($body, $dam);
            }
        }

        return $out;
    }

    /** @param  Mirror  $mirror in layout coordinates */
    public function fit(Mirror $mirror): MirrorFit
    {
        $here = $mirror->seenFrom($this->section->placement);
        $foot = $this->model->heightAt(
            max(0.0, min($this->section->width, $here->x)),
            max(0.0, min($this->section->depth, $here->y)),
        );
        foreach ([...$this->model->ground->basins, ...$this->model->ground->streams] as $water) {
            $foot = max($foot, $water->waterAt($here->x, $here->y) ?? $foot);
        }
        if ($this->eyes === []) {
            return new MirrorFit($here, $foot, new MirrorView(0, 0, 0, 0, null), null);
        }
        $tops = [];
        foreach ($this->project->works->zonesOf($this->section->uid) as $zone) {
            /** @var Zone $zone */
            if ($zone->backdrop !== null) {
                $tops[$zone->backdrop['edge']] = max(
                    $tops[$zone->backdrop['edge']] ?? -INF,
                    $this->section->base + $zone->backdrop['height'],
                );
            }
        }
        $sight = new MirrorSight(
            $this->grid,
            $this->section->width,
            $this->section->depth,
            $this->eyes,
            [...$this->trees, ...$this->decks],
            $tops,
        );
        $view = $sight->shows($here, $foot);

        return new MirrorFit($here, $foot, $view, $view->isGood() ? $here->facingDeg : $sight->better($here, $foot));
    }

    private function end(WaterBody $body, Dam $dam): StreamEnd
    {
        $points = [];
        for ($k = 0; $k < self::PLACES; $k++) {
            $along = $dam->from + (($k + 0.5) / self::PLACES) * $dam->length();
            $points[] = [...$this->inside($dam->edge, $along), $dam->level];
        }
        $bare = $this->share($points, []);
        $hidden = $bare < 0.995 && $this->eyes !== [] ? ['the land'] : [];
        $hidden = $this->decks !== [] && $this->share($points, $this->decks) < $bare - 0.005 ? [...$hidden, 'a bridge'] : $hidden;
        $hidden = $this->trees !== [] && $this->share($points, $this->trees) < $bare - 0.005 ? [...$hidden, 'trees'] : $hidden;
        $middle = $this->inside($dam->edge, ($dam->from + $dam->to) / 2.0);

        return new StreamEnd(
            $body->uid,
            $body->name,
            $dam->edge,
            $middle,
            $dam->length(),
            $dam->level,
            ['front' => 90.0, 'back' => -90.0, 'left' => 0.0, 'right' => 180.0][$dam->edge->value],
            $dam->joint,
            in_array($dam->edge, $this->project->layout->viewing->edges, true),
            $this->share($points, [...$this->trees, ...$this->decks]),
            $hidden,
            $this->under($middle, $dam->level),
        );
    }

    /**
     * @param  non-empty-list<array{float, float, float}>  $points
     * @param  list<Crown>  $crowns
     */
    private function share(array $points, array $crowns): float
    {
        $seen = 0;
        foreach ($this->eyes as $eye) {
            $sight = new Sight($this->grid, [$eye], $crowns);
            $seen += count(array_filter($points, fn (array $p): bool => $sight->sees(...$p)));
        }

        return $this->eyes === [] ? 0.0 : $seen / (count($this->eyes) * count($points));
    }

    /** @return array{float, float} */
    private function inside(BoardEdge $edge, float $along): array
    {
        return $edge->place($along, $this->section->width, $this->section->depth, -self::INSIDE_MM);
    }

    /** @param  array{float, float}  $at */
    private function under(array $at, float $level): ?float
    {
        $low = null;
        foreach ($this->decks as $deck) {
            if (hypot($deck->x - $at[0], $deck->y - $at[1]) < self::NEAR_MM) {
                $low = min($low ?? INF, $deck->low - $level);
            }
        }

        return $low;
    }

    /** @return list<Crown> the decks of a run’s bridges, as rounds in the way */
    private function deck(Run $run): array
    {
        $out = [];
        foreach ($run->structures as $built) {
            for ($s = $built->from; $built->kind === StructureKind::Bridge && $s <= $built->to; $s += self::DECK_STEP_MM) {
                $p = $run->alignment->pointAt($s);
                $level = $run->grade->heightAt($s);
                $half = max($run->profile->halfWidth(Side::Left), $run->profile->halfWidth(Side::Right));
                $out[] = new Crown($p->x, $p->y, $half, $level - $built->thick, $level + self::PARAPET_MM);
            }
        }

        return $out;
    }
}
