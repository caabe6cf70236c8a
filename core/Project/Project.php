<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\OwnRecipe;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\TunnelBore;
use IdleRidge\Core\Land\Grading;
use IdleRidge\Core\Land\Ground;
use IdleRidge\Core\Land\GroundProblem;
use IdleRidge\Core\Land\HeightLine;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Lattice;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\StructureKind;

/**
 * One layout as a whole: what files and database rows load into, and what every computation starts from. Runs and land
 * features are in layout coordinates.
 */
final readonly class Project
{
    public const MAX_BOARDS = 36;

    /**
     * @param  list<Section>  $sections
     * @param  list<Run>  $runs
     * @param  list<LandFeature>  $features
     * @param  array<string, array<string, mixed>>  $runExtras run uid → keys beginning with x_
     * @param  array<string, mixed>  $extra
     */
    private function __construct(
        public LayoutSheet $layout,
        public array $sections,
        public array $runs,
        public array $features,
        public array $runExtras,
        public array $extra,
        public Works $works,
    ) {
    }

    /**
     * @param  list<Section>  $sections
     * @param  list<Run>  $runs
     * @param  list<LandFeature>  $features
     * @param  array<string, array<string, mixed>>  $runExtras
     * @param  array<string, mixed>  $extra
     *
     * @throws InvalidValues when two records share a uid, two sections a name, or two spots one place at different heights
     */
    public static function of(
        LayoutSheet $layout,
        array $sections,
        array $runs = [],
        array $features = [],
        array $runExtras = [],
        array $extra = [],
        ?Works $works = null,
    ): self {
        $faults = count($sections) <= self::MAX_BOARDS ? [] : [
            new InvalidValue('A layout has at most '.self::MAX_BOARDS.' boards; a larger one is several layouts.', '/sections'),
        ];
        $names = [];
        foreach ($sections as $k => $section) {
            if (isset($names[mb_strtolower($section->name)])) {
                $faults[] = new InvalidValue("Two sections are called “{$section->name}”.", "/sections/{$k}/name");
            }
            $names[mb_strtolower($section->name)] = true;
        }
        $works ??= new Works();
        $lists = [
            'sections' => $sections,
            'runs' => $runs,
            'features' => $features,
            'zones' => $works->zones,
            'coats' => $works->coats,
            'laid' => $works->laid,
            'rooms' => $works->rooms,
            'times' => $works->times,
            'lots' => $works->store->lots,
            'movements' => $works->store->movements,
            'recipes' => $works->recipes,
            'colours' => $works->colours,
            'prices' => $works->prices,
            'hidden' => $works->hidden,
            'stands' => $works->growth->stands,
            'rows' => $works->growth->rows,
            ...$works->journal->lists(),
        ];
        foreach ($lists as $list => $records) {
            $seen = [];
            foreach ($records as $k => $record) {
                if (isset($seen[$record->uid])) {
                    $faults[] = new InvalidValue("The uid “{$record->uid}” stands twice.", "/{$list}/{$k}/uid");
                }
                $seen[$record->uid] = true;
            }
        }
        array_push($faults, ...$works->faults($sections));
        if ($faults === []) {
            try {
                $spots = [];
                $index = [];
                foreach ($features as $k => $feature) {
                    if ($feature->kind->isSpot() && ! $feature->isShape()) {
                        $spots[] = $feature->points[0];
                        $index[] = $k;
                    }
                }
                GroundProblem::over(0.0, 0.0, 100.0, 100.0, $spots);
            } catch (InvalidValue $refusal) {
                $spot = (int) substr($refusal->place, strlen('spots/'));
                $faults[] = new InvalidValue($refusal->getMessage(), '/features/'.($index[$spot] ?? 0).'/points/0');
            }
        }
        if ($faults !== []) {
            throw new InvalidValues($faults);
        }

        $bare = new self($layout, $sections, $runs, $features, $runExtras, $extra, $works);
        $zones = (new GrowthZones($bare))->zones();

        return $zones === $works->zones
            ? $bare
            : new self($layout, $sections, $runs, $features, $runExtras, $extra, $works->with(['zones' => $zones]));
    }

    /**
     * The same layout with other works.
     *
     * @throws InvalidValues when they do not fit it
     */
    public function working(Works $works): self
    {
        return self::of($this->layout, $this->sections, $this->runs, $this->features, $this->runExtras, $this->extra, $works);
    }

    /**
     * All that the land of a section can depend on, as a project of its own: the boards that hang together with it or lie against it, what
     * stands on them or reaches it, the runs that come near.
     */
    public function landOf(Section $section): self
    {
        $around = Neighbourhood::of($this);
        $uids = fn (array $of): array => array_fill_keys(array_column($of, 'uid'), true);
        $here = $uids([...$around->together($section), ...$around->meeting($section)]);
        $boards = array_values(array_filter($this->sections, fn (Section $s): bool => isset($here[$s->uid])));
        $reaching = $uids($this->shapesNear($section));
        $near = $uids($around->runs($section));

        return new self(
            $this->layout->forLand(),
            array_map(fn (Section $s): Section => $s->forLand(), $boards),
            array_values(array_filter($this->runs, fn (Run $r): bool => isset($near[$r->uid]))),
            array_values(
                array_filter($this->features, fn (LandFeature $f): bool => isset($reaching[$f->uid]) || $around->liesOn($f, $boards)),
            ),
            [],
            [],
            new Works(),
        );
    }

    /** All that a plan can depend on at a moment beside the surveys of zones. */
    public function planned(int $now): self
    {
        return new self($this->layout, $this->sections, $this->runs, [], [], [], $this->works->planned($now));
    }

    /** What land is cut from, with what lies in store. */
    public function cuts(): CutSettings
    {
        return $this->layout->cuts->with($this->works->store->sheets());
    }

    /** @throws InvalidValue when there is no such section */
    public function section(string $uidOrName): Section
    {
        foreach ($this->sections as $section) {
            if ($section->uid === $uidOrName) {
                return $section;
            }
        }
        foreach ($this->sections as $section) {
            if (mb_strtolower($section->name) === mb_strtolower($uidOrName)) {
                return $section;
            }
        }
        $known = implode(', ', array_map(fn (Section $s): string => $s->name, $this->sections));
        throw new InvalidValue(
            "There is no section “{$uidOrName}”".($known === '' ? '; the layout has none.' : "; there are {$known}."),
            '/sections',
        );
    }

    /**
     * The boards that hang together with this one, itself included: they share one natural ground. A board that is held at its top lies
     * level by itself.
     *
     * @return list<Section>
     */
    public function joinedWith(Section $section): array
    {
        return Neighbourhood::of($this)->together($section);
    }

    /**
     * The edges of a section along most of which a neighbour goes on.
     *
     * @return list<string> of left, right, front, back
     */
    public function joinedEdges(Section $section): array
    {
        return array_keys($this->joined($section));
    }

    /** @return array<string, Section> edge → the neighbour that lies along most of it */
    public function joined(Section $section): array
    {
        return Neighbourhood::of($this)->joined($section);
    }

    /** Whether a spot or line lies on the boards that hang together with this one. */
    public function hasLand(Section $section): bool
    {
        $group = $this->joinedWith($section);
        foreach ($this->features as $feature) {
            if (! $feature->kind->isShape() && Neighbourhood::of($this)->liesOn($feature, $group)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether a board lies level at its top: it has neither spots nor lines nor fixed edges of its own (what stands on an edge that another
     * board shares is not), and the land of its neighbours does not run on over it.
     */
    public function isHeld(Section $section): bool
    {
        return Neighbourhood::of($this)->isHeld($section);
    }

    /** The natural ground of the boards that hang together with this one, as one problem. */
    public function groundProblem(Section $section): GroundProblem
    {
        $group = $this->joinedWith($section);
        $xs = $ys = [];
        foreach ($group as $board) {
            foreach ($board->corners() as $corner) {
                $xs[] = $corner->x;
                $ys[] = $corner->y;
            }
        }
        $spots = $lines = [];
        // What stands on the edge of a board that lies level is its neighbour's.
        foreach ($this->isHeld($section) ? [] : $this->features as $feature) {
            if ($feature->isShape() || ! Neighbourhood::of($this)->liesOn($feature, $group)) {
                continue;
            }
            if ($feature->kind->isSpot()) {
                $spots[] = $feature->points[0];
            } else {
                $lines[] = $feature->points;
            }
        }
        $lines = array_map(fn (array $points): HeightLine => HeightLine::through(self::onSpots($points, $spots)), $lines);
        // An edge that is fixed rules over what else stands on it.
        $fixed = Joints::fixedLines($section, $group);
        $isNear = fn (HeightLine $edge, Spot $spot): bool => $edge->distanceTo($spot->x, $spot->y) < 1.0;
        $beside = fn (Spot $spot): array => array_filter($fixed, fn (HeightLine $edge): bool => $isNear($edge, $spot));
        $spots = array_values(array_filter($spots, fn (Spot $spot): bool => $beside($spot) === []));
        array_push($lines, ...$fixed);

        return GroundProblem::over(
            min($xs),
            min($ys),
            max($xs) - min($xs),
            max($ys) - min($ys),
            $spots,
            $lines,
            $this->layout->tension,
            $this->layout->stiffness,
            $section->base,
        );
    }

    /**
     * The land of a section on a solved ground, in its own coordinates. Only runs that lie on or near the board count; a board that lies
     * level is left so by those that pass it or end at its joint.
     */
    public function land(Section $section, Lattice $lattice): LandModel
    {
        return new LandModel(
            $section->width,
            $section->depth,
            SectionShapes::onto($this->shapesNear($section), $section, new Ground($lattice, $section->placement)),
            new Grading(
                $this->isHeld($section)
                    ? array_values(
                        array_filter($this->runsNear($section), fn (Run $r): bool => $r->liesOver($section->width, $section->depth)),
                    )
                    : $this->runsNear($section),
                $this->layout->bankReach,
            ),
        );
    }

    /** The top of the room that the tallest vehicle and the margin take over a run, mm; over a road as over a track. */
    public function roof(Run $run, float $station): float
    {
        return $run->grade->heightAt($station) +
            $run->profile->railTop() +
            $this->layout->clearance->tallest() +
            $this->layout->clearance->margin;
    }

    /**
     * @param  list<Run>  $runs
     * @return list<TunnelBore> the room of their tunnels
     */
    public function bores(array $runs): array
    {
        $bores = [];
        foreach ($runs as $run) {
            foreach ($run->structures as $structure) {
                if ($structure->kind === StructureKind::Tunnel) {
                    $bores[] = TunnelBore::through($run, $structure, $this->layout->clearance->vehicles, $this->layout->clearance->margin);
                }
            }
        }

        return $bores;
    }

    /** The land over the room and the lining of a run's tunnel, at its middle, mm; negative where the land does not reach so high. */
    public function lid(LandModel $model, Run $run, float $station): float
    {
        $p = $run->alignment->pointAt($station);

        return $model->heightAt($p->x, $p->y) - $this->roof($run, $station) - ($run->structureAt($station)->thick ?? 0.0);
    }

    /**
     * The roughness, pads, streams and waters that come onto a board, in its coordinates and in the order in which they are made.
     *
     * @return list<LandFeature>
     */
    public function shapesNear(Section $section): array
    {
        return SectionShapes::near($this->features, $section);
    }

    /**
     * Runs in section coordinates, those whose formation or slopes may come onto the board, in order of uid.
     *
     * @return list<Run>
     */
    public function runsNear(Section $section): array
    {
        return Neighbourhood::of($this)->runs($section);
    }

    /**
     * Where a line passes through a spot, it has the spot's height there.
     *
     * @param  list<Spot>  $points
     * @param  list<Spot>  $spots
     * @return list<Spot>
     */
    private static function onSpots(array $points, array $spots): array
    {
        return array_map(function (Spot $p) use ($spots): Spot {
            foreach ($spots as $spot) {
                if (hypot($spot->x - $p->x, $spot->y - $p->y) < 1.0) {
                    return new Spot($p->x, $p->y, $spot->z);
                }
            }

            return $p;
        }, $points);
    }

    /** The library as the layout works with it: with recipes of its own, and in the ways that it prefers. */
    public function library(Library $starting): Library
    {
        return $starting
            ->with(OwnRecipe::recipes($this->works->recipes))
            ->preferring($this->layout->bench->ways, $this->layout->bench->alcohol);
    }
}
