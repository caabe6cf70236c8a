<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Water;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\StructureKind;
use IdleRidge\Core\Water\BodyFinder;
use IdleRidge\Core\Water\WaterBody;

/** The waters of a board on its land: what they hold, where they would run, and which tunnels lie under them. Section coordinates, mm. */
final class WaterStudy
{
    /** A mouth of a tunnel is looked for so far outside it, and is open if the land there is no further from its formation, mm. */
    private const BEFORE_PORTAL_MM = 4.0;

    private const LEVEL_MM = 2.0;

    /** So near a mouth what runs has run into it, mm: a cell of the land. */
    private const AT_PORTAL_MM = 8.0;

    private const STEP_MM = 5.0;

    /** Beyond a joint water is looked for so far on the other board, mm. */
    private const OVER_JOINT_MM = 3.0;

    /** @var list<WaterBody>|null */
    private ?array $bodies = null;

    /** @var list<Run> */
    private readonly array $runs;

    public function __construct(
        public readonly Project $project,
        public readonly Section $section,
        public readonly LandModel $model,
        private readonly HeightMesh $land,
    ) {
        $this->runs = $model->grading->runs;
    }

    public static function of(LandStudy $study): self
    {
        return new self($study->project, $study->section, $study->model, $study->terrain->mesh());
    }

    /** @return list<WaterBody> */
    public function bodies(): array
    {
        if ($this->bodies === null) {
            $joined = $this->project->joined($this->section);
            $joint = fn (BoardEdge $edge, float $at): ?string => isset($joined[$edge->value]) ? $joined[$edge->value]->name : null;
            $this->bodies = (new BodyFinder($this->model, $this->land, $joint, array_column($this->portals(), 'at')))->bodies();
        }

        return $this->bodies;
    }

    /** Where a water would run once it is over its bank, in words. */
    public function way(WaterBody $body): string
    {
        if ($body->spill === null) {
            return 'nowhere: dams hold it all round';
        }
        $past = [];
        foreach ($body->spill->path as [$x, $y]) {
            foreach ($this->runs as $run) {
                $near = $run->alignment->nearest(new Point($x, $y));
                $on = abs($near['offset']) < $run->profile->halfWidth(Side::at($near['offset']))
                    && $run->structureAt($near['station'])?->kind !== StructureKind::Tunnel
                    && $run->structureAt($near['station'])?->kind !== StructureKind::Bridge;
                if ($on) {
                    $past["the formation of {$run->name}"] = true;
                }
            }
            foreach ($this->bodies() as $other) {
                $water = $this->waterOf($other->uid);
                if ($other->uid !== $body->uid && $water !== null && $water->beyond($x, $y) < 0.0) {
                    $past[$other->name === '' ? 'other water' : $other->name] = true;
                }
            }
        }
        $along = $past === [] ? '' : 'over '.implode(', then ', array_keys($past)).', ';
        [$x, $y] = $body->spill->path[count($body->spill->path) - 1];
        foreach ($this->portals() as $portal) {
            if (hypot($portal['at'][0] - $x, $portal['at'][1] - $y) < self::AT_PORTAL_MM) {
                return "{$along}into the tunnel of {$portal['run']}";
            }
        }
        $edge = BoardEdge::beyond($x, $y, $this->section->depth)->value;
        $next = $this->project->joined($this->section)[$edge] ?? null;

        return $along.($next === null ? "off the board at the {$edge}" : "over the joint onto {$next->name}");
    }

    /**
     * Tunnels that a water lies over, and what is left between them, mm.
     *
     * @return list<array{run: string, station: float, at: array{float, float}, lid: float}> the thinnest place of each
     */
    public function tunnelsUnder(WaterBody $body): array
    {
        $water = $this->waterOf($body->uid);
        $out = [];
        if ($water === null) {
            return [];
        }
        foreach ($this->runs as $run) {
            $thin = null;
            foreach ($run->structures as $built) {
                for ($s = $built->from; $built->kind === StructureKind::Tunnel && $s <= $built->to; $s += self::STEP_MM) {
                    $p = $run->alignment->pointAt($s);
                    $on = $p->x >= 0.0 && $p->y >= 0.0 && $p->x <= $this->section->width && $p->y <= $this->section->depth;
                    if ($on && $water->under($p->x, $p->y, $this->model->heightAt($p->x, $p->y)) > BodyFinder::THIN_MM) {
                        $lid = $this->project->lid($this->model, $run, $s);
                        $thin = $thin === null || $lid < $thin['lid']
                            ? ['run' => $run->name, 'station' => $s, 'at' => [$p->x, $p->y], 'lid' => $lid]
                            : $thin;
                    }
                }
            }
            $out = $thin === null ? $out : [...$out, $thin];
        }

        return $out;
    }

    /**
     * Where another water goes on over a joint, and by how much its level differs.
     *
     * @return list<array{name: string, other: string, joint: string, at: array{float, float}, step: float}>
     */
    public function steps(): array
    {
        $out = [];
        foreach ($this->bodies() as $body) {
            foreach ($body->dams as $dam) {
                if ($dam->joint === null) {
                    continue;
                }
                $at = $dam->edge->place(($dam->from + $dam->to) / 2.0, $this->section->width, $this->section->depth);
                $over = $dam->edge->place(($dam->from + $dam->to) / 2.0, $this->section->width, $this->section->depth, self::OVER_JOINT_MM);
                $there = $this->section->placement->toLayout(new Point(...$over));
                foreach ($this->project->features as $feature) {
                    if (
                        $feature->kind === FeatureKind::Water &&
                        $feature->uid !== $body->uid &&
                        Polygon::holds($feature->plan(), $there->x, $there->y)
                    ) {
                        $out[] = [
                            'name' => $body->called(),
                            'other' => $feature->name === '' ? 'the water' : $feature->name,
                            'joint' => $dam->joint,
                            'at' => $at,
                            'step' => abs($feature->points[0]->z - $dam->level),
                        ];
                    }
                }
            }
        }

        return $out;
    }

    private function waterOf(string $uid): ?Water
    {
        foreach ([...$this->model->ground->basins, ...$this->model->ground->streams] as $water) {
            if ($water->uid === $uid) {
                return $water;
            }
        }

        return null;
    }

    /** @return list<array{run: string, at: array{float, float}}> just before the mouths of tunnels that stand open on the board */
    private function portals(): array
    {
        $out = [];
        foreach ($this->runs as $run) {
            foreach ($run->structures as $built) {
                if ($built->kind !== StructureKind::Tunnel) {
                    continue;
                }
                foreach ([$built->from - self::BEFORE_PORTAL_MM, $built->to + self::BEFORE_PORTAL_MM] as $station) {
                    if ($station < 0.0 || $station > $run->alignment->length) {
                        continue;
                    }
                    $p = $run->alignment->pointAt($station);
                    $on = $p->x > 0.0 && $p->y > 0.0 && $p->x < $this->section->width && $p->y < $this->section->depth;
                    if ($on && abs($this->model->heightAt($p->x, $p->y) - $run->grade->heightAt($station)) < self::LEVEL_MM) {
                        $out[] = ['run' => $run->name, 'at' => [$p->x, $p->y]];
                    }
                }
            }
        }

        return $out;
    }
}
