<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Track\Run;
use WeakMap;

/**
 * What lies about the boards of a layout: which meet, which hang together, which runs come near. A layout stays as it is, so each is
 * worked out once, when it is first asked for.
 */
final class Neighbourhood
{
    /** Slopes of a run come no further over a board, mm. */
    private const RUN_REACH_MM = 300.0;

    /** What lies so near an edge lies on the board, mm. */
    private const ON_MM = 0.5;

    /** @var WeakMap<Project, self>|null */
    private static ?WeakMap $known = null;

    /** @var WeakMap<Section, list<Section>> */
    private WeakMap $meeting;

    /** @var WeakMap<Section, bool> */
    private WeakMap $held;

    /** @var WeakMap<Section, list<Section>> */
    private WeakMap $together;

    /** @var WeakMap<Section, array<string, Section>> */
    private WeakMap $joined;

    /** @var WeakMap<Section, list<Run>> */
    private WeakMap $runs;

    /** @var WeakMap<Section, array<string, true>> uids of what lies on it */
    private WeakMap $lying;

    /** @var list<array{float, float}>|null places of spots and lines that the ground goes through, layout coordinates */
    private ?array $places = null;

    /** @var list<array{float, float, float}>|null x, y and radius of a circle around each run, layout coordinates */
    private ?array $circles = null;

    /**
     * @param  list<Section>  $sections
     * @param  list<LandFeature>  $features
     * @param  list<Run>  $allRuns
     */
    private function __construct(private readonly array $sections, private readonly array $features, private readonly array $allRuns)
    {
        $this->meeting = new WeakMap();
        $this->held = new WeakMap();
        $this->together = new WeakMap();
        $this->joined = new WeakMap();
        $this->runs = new WeakMap();
        $this->lying = new WeakMap();
    }

    public static function of(Project $project): self
    {
        self::$known ??= new WeakMap();

        return self::$known[$project] ??= new self($project->sections, $project->features, $project->runs);
    }

    /** @return list<Section> the other boards that meet or overlap one, as they stand in the layout */
    public function meeting(Section $section): array
    {
        return $this->meeting[$section] ??= array_values(
            array_filter($this->sections, fn (Section $s): bool => $s->uid !== $section->uid && $s->touches($section)),
        );
    }

    /** Project::isHeld() says when. */
    public function isHeld(Section $section): bool
    {
        return $this->held[$section] ??= $this->lacksLandOfItsOwn($section);
    }

    /** @return list<Section> those that hang together with one, itself included, by uid */
    public function together(Section $section): array
    {
        if (isset($this->together[$section])) {
            return $this->together[$section];
        }
        $group = [$section->uid => $section];
        $ahead = $this->isHeld($section) ? [] : [$section];
        while ($ahead !== []) {
            foreach ($this->meeting(array_pop($ahead)) as $other) {
                if (! isset($group[$other->uid]) && ! $this->isHeld($other)) {
                    $group[$other->uid] = $ahead[] = $other;
                }
            }
        }
        usort($group, fn (Section $a, Section $b): int => $a->uid <=> $b->uid);

        return $this->together[$section] = $group;
    }

    /** @return array<string, Section> front, back, left, right → the neighbour that lies along most of that edge */
    public function joined(Section $section): array
    {
        return $this->joined[$section] ??= Joints::of($section, $this->sections);
    }

    /** @return list<Run> in the board's coordinates, those whose formation or slopes may come onto it, by uid */
    public function runs(Section $section): array
    {
        return $this->runs[$section] ??= $this->near($section);
    }

    /**
     * Whether a point of one of the layout's features lies on one of some boards.
     *
     * @param  list<Section>  $boards
     */
    public function liesOn(LandFeature $feature, array $boards): bool
    {
        foreach ($boards as $board) {
            $this->lying[$board] ??= $this->lyingOn($board);
            if (isset($this->lying[$board][$feature->uid])) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, true> */
    private function lyingOn(Section $board): array
    {
        $lying = [];
        $middle = $board->middle();
        $reach = hypot($board->width, $board->depth) / 2.0 + 1.0;
        foreach ($this->features as $feature) {
            foreach ($feature->points as $p) {
                if (hypot($p->x - $middle->x, $p->y - $middle->y) < $reach && $board->holds($p->x, $p->y, self::ON_MM)) {
                    $lying[$feature->uid] = true;
                    break;
                }
            }
        }

        return $lying;
    }

    private function lacksLandOfItsOwn(Section $section): bool
    {
        if ($section->runsOn || $section->edges !== []) {
            return false;
        }
        $others = $this->meeting($section);
        if ($others === []) {
            return false;
        }
        foreach ($this->places() as [$x, $y]) {
            $isUnder = fn (Section $s): bool => $s->holds($x, $y, self::ON_MM);
            if ($isUnder($section) && array_filter($others, $isUnder) === []) {
                return false;
            }
        }

        return true;
    }

    /** @return list<array{float, float}> */
    private function places(): array
    {
        if ($this->places === null) {
            $this->places = [];
            foreach ($this->features as $feature) {
                foreach ($feature->isShape() ? [] : $feature->points as $p) {
                    $this->places[] = [$p->x, $p->y];
                }
            }
        }

        return $this->places;
    }

    /** @return list<Run> */
    private function near(Section $section): array
    {
        $near = [];
        $middle = $section->middle();
        $around = hypot($section->width, $section->depth) / 2.0 + self::RUN_REACH_MM;
        foreach ($this->circles() as $k => [$x, $y, $radius]) {
            // What comes near goes by boxes along the board's edges: such boxes stay within so much of the circles.
            if (hypot($x - $middle->x, $y - $middle->y) > M_SQRT2 * ($radius + $around)) {
                continue;
            }
            $here = $this->allRuns[$k]->seenFrom($section->placement);
            if ($here->alignment->reaches(0.0, 0.0, $section->width, $section->depth, self::RUN_REACH_MM)) {
                $near[] = $here;
            }
        }
        usort($near, fn (Run $a, Run $b): int => $a->uid <=> $b->uid);

        return $near;
    }

    /** @return list<array{float, float, float}> */
    private function circles(): array
    {
        return $this->circles ??= array_map(function (Run $run): array {
            [$x1, $y1, $x2, $y2] = $run->alignment->bounds();

            return [($x1 + $x2) / 2.0, ($y1 + $y2) / 2.0, hypot($x2 - $x1, $y2 - $y1) / 2.0];
        }, $this->allRuns);
    }
}
