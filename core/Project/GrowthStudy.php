<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Planting\Depth;
use IdleRidge\Core\Planting\Obstacle;
use IdleRidge\Core\Planting\Obstacles;
use IdleRidge\Core\Planting\PlantingGround;
use IdleRidge\Core\Planting\Row;
use IdleRidge\Core\Planting\RowKind;
use IdleRidge\Core\Planting\RowLayout;
use IdleRidge\Core\Planting\RowLine;
use IdleRidge\Core\Planting\RowPart;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\Structure;
use IdleRidge\Core\Track\StructureKind;
use IdleRidge\Core\Track\VehicleSweeps;

/** Where things may grow on a layout's boards, and how its rows are set out. */
final readonly class GrowthStudy
{
    /** From one obstacle of a line to the next, mm; boards are told apart along a row in such steps. */
    private const STEP_MM = 5.0;

    /** Which board lies under a row is found so exactly, mm. */
    private const EXACT_MM = 0.01;

    /** An end is moved off an edge in such steps, mm, at most so many times what it keeps off. */
    private const EDGE_STEP_MM = 0.25;

    private const EDGE_REACH = 4.0;

    /** A bridge is so thick under its rails that a tree may stand under it, mm. */
    private const DECK_MM = 12.0;

    public function __construct(private Project $project)
    {
    }

    public function depth(Section $section): Depth
    {
        return new Depth(
            $this->project->layout->viewing->edges,
            $section->width,
            $section->depth,
            $this->project->layout->growth->farScale,
        );
    }

    /**
     * @param  HeightMesh  $land of the section, heights over the datum
     * @param  HeightMesh  $slopes degrees
     * @param  list<RowLayout>  $rows that growth keeps off
     * @param  Obstacles|null  $obstacles where they are known from before
     */
    public function ground(
        Section $section,
        LandModel $model,
        HeightMesh $land,
        HeightMesh $slopes,
        array $rows,
        ?Obstacles $obstacles = null,
    ): PlantingGround {
        $waters = [...$model->ground->basins, ...$model->ground->streams];
        $isWet = function (float $x, float $y) use ($waters, $land): bool {
            foreach ($waters as $water) {
                $level = $water->waterAt($x, $y);
                if ($level !== null && $level > $land->at($x, $y)) {
                    return true;
                }
            }

            return false;
        };

        return new PlantingGround(
            $section->width,
            $section->depth,
            $land,
            $slopes,
            $obstacles ?? $this->obstacles($section, $model, $land, $rows),
            $isWet,
            $this->project->joinedEdges($section),
            $this->depth($section),
        );
    }

    /**
     * Formations, what passes on them, and what stands along rows.
     *
     * @param  list<RowLayout>  $rows
     */
    public function obstacles(Section $section, LandModel $model, HeightMesh $land, array $rows): Obstacles
    {
        $out = [];
        foreach ($model->grading->runs as $run) {
            array_push($out, ...$this->ofRun($run, $section));
        }
        foreach ($rows as $set) {
            array_push($out, ...$this->ofRow($set, $section, $land));
        }

        return new Obstacles($out);
    }

    /** @return list<Obstacle> formation and the room of what runs on it; in tunnels neither */
    private function ofRun(Run $run, Section $section): array
    {
        $here = $run->within($section->width, $section->depth);
        if ($here === null) {
            return [];
        }
        $clearance = $this->project->layout->clearance;
        $sweeps = $run->kind === RunKind::Road ? null : new VehicleSweeps($run->alignment, $clearance->vehicles);
        [$from, $to] = [max(0.0, $here[0] - 60.0), min($run->alignment->length, $here[1] + 60.0)];
        $parts = max(1, (int) ceil(($to - $from) / self::STEP_MM));
        $out = [];
        for ($k = 0; $k <= $parts; $k++) {
            $station = $from + (($to - $from) * $k) / $parts;
            $built = $run->structureAt($station);
            if ($built?->kind === StructureKind::Tunnel) {
                continue;
            }
            $half = ['left' => $run->profile->halfWidth(Side::Left), 'right' => $run->profile->halfWidth(Side::Right)];
            // Beside a road a hedge may stand at its edge; beside a track a coach leans out.
            $room = $sweeps === null ? $half : $sweeps->at($station);
            $margin = $sweeps === null ? 0.0 : $clearance->margin;
            $thick = $this->wallsAt($run, $station);
            $level = $run->grade->heightAt($station);
            foreach (
                [
                    [$half['left'] + $thick['left'], $half['right'] + $thick['right'], true],
                    [$room['left'] + $margin, $room['right'] + $margin, false],
                ] as [$left, $right, $isStem]
            ) {
                // Wider on one side than on the other: its middle lies beside the centreline.
                $p = $run->alignment->beside($station, ($left - $right) / 2.0);
                $wide = ($left + $right) / 2.0;
                $onBridge = $built !== null && ! $built->isWall();
                if ($isStem && $onBridge) {
                    continue;
                }
                $out[] = new Obstacle(
                    $p->x,
                    $p->y,
                    $isStem ? $wide : 0.0,
                    $isStem ? 0.0 : $wide,
                    $onBridge ? $level - self::DECK_MM : $level,
                    $this->project->roof($run, $station),
                    $run->name,
                );
            }
        }

        return $out;
    }

    /** @return array{left: float, right: float} thickness of walls that are placed beside a run */
    private function wallsAt(Run $run, float $station): array
    {
        $out = ['left' => 0.0, 'right' => 0.0];
        foreach (array_filter($run->structures, fn (Structure $s): bool => $s->isWall()) as $wall) {
            if ($station >= $wall->from && $station <= $wall->to && $wall->kind->side() !== null) {
                $out[$wall->kind->side()->value] = $wall->thick;
            }
        }

        return $out;
    }

    /** @return list<Obstacle> what stands along a row, and its wires */
    private function ofRow(RowLayout $set, Section $section, HeightMesh $land): array
    {
        if (! $set->row->kind->stands()) {
            return [];
        }
        $wires = $set->row->figures->wires;
        $low = $wires === [] ? 0.0 : ($wires[0] / $set->row->figures->height) * $set->height;
        $out = [];
        foreach ($set->parts as $part) {
            if ($part->section !== $section->uid) {
                continue;
            }
            $steps = max(1, (int) ceil($part->length() / self::STEP_MM));
            for ($k = 0; $k <= $steps; $k++) {
                [$x, $y] = $set->line->at($part->from + ($part->length() * $k) / $steps);
                $p = $section->placement->toSection(new Point($x, $y));
                $z = $land->at($p->x, $p->y);
                $out[] = new Obstacle(
                    $p->x,
                    $p->y,
                    $set->row->kind === RowKind::Poles ? 0.0 : $set->wide / 2.0,
                    $wires === [] ? 0.0 : 1.0,
                    $z + $low,
                    $z + $set->height,
                    $set->row->called(),
                );
            }
        }
        foreach ($set->row->kind === RowKind::Poles ? $set->on($section->uid) : [] as $pole) {
            $p = $section->placement->toSection(new Point($pole->x, $pole->y));
            $out[] = new Obstacle($p->x, $p->y, $set->wide / 2.0 + 1.0, 0.0, 0.0, 0.0, $set->row->called());
        }

        return $out;
    }

    /**
     * A row set out over all boards.
     *
     * @throws InvalidValue when what it goes along is gone, or the line cannot be
     */
    public function set(Row $row): RowLayout
    {
        $line = $this->line($row);
        $depths = [];
        $scaleAt = function (string $uid, float $x, float $y) use (&$depths): float {
            $section = $this->project->section($uid);
            $depths[$uid] ??= $this->depth($section);
            $p = $section->placement->toSection(new Point($x, $y));

            return $depths[$uid]->scale($p->x, $p->y);
        };

        return RowLayout::of($row, $line, $this->parts($line), $this->project->layout->scale, $scaleAt);
    }

    /**
     * All rows that can be set out; what cannot is told beside.
     *
     * @return array{sets: list<RowLayout>, faults: array<string, string>} faults by uid of the row
     */
    public function rows(): array
    {
        $sets = $faults = [];
        foreach ($this->project->works->growth->rows as $row) {
            try {
                $sets[] = $this->set($row);
            } catch (InvalidValue $refusal) {
                $faults[$row->uid] = $refusal->getMessage();
            }
        }

        return ['sets' => $sets, 'faults' => $faults];
    }

    /** @throws InvalidValue */
    private function line(Row $row): RowLine
    {
        if ($row->run !== null) {
            $run = $this->run($row->run);
            $aside = function (float $station) use ($row, $run): float {
                $side = Side::at($row->offset);

                return $row->fromEdge ? $side->offset($run->profile->halfWidth($side) + abs($row->offset)) : $row->offset;
            };
            $marked = $row->kind === RowKind::GradePosts ? $run->grade->stations : [];

            return RowLine::alongRun($run, $aside, $row->from ?? 0.0, min($row->to ?? INF, $run->alignment->length), $marked);
        }
        if ($row->feature !== null) {
            foreach ($this->project->features as $feature) {
                if ($feature->uid === $row->feature) {
                    return RowLine::along(
                        $feature->plan(),
                        $row->offset,
                        $feature->kind->isArea(),
                        $row->from,
                        $row->to,
                    );
                }
            }
            throw new InvalidValue('What it went along is gone.', 'along');
        }

        return RowLine::along($row->points, $row->offset, false, $row->from, $row->to);
    }

    /** @throws InvalidValue */
    private function run(string $uid): Run
    {
        foreach ($this->project->runs as $run) {
            if ($run->uid === $uid) {
                return $run;
            }
        }
        throw new InvalidValue('The run that it went along is gone.', 'along');
    }

    /** @return list<RowPart> boards along a line, in order; where none lies there is no part */
    public function parts(RowLine $line): array
    {
        $board = function (float $station, ?string $last) use ($line): ?string {
            [$x, $y] = $line->at($station);
            foreach ($this->project->sections as $section) {
                if ($section->uid === $last && $section->holds($x, $y, 1e-6)) {
                    return $last;
                }
            }
            foreach ($this->project->sections as $section) {
                if ($section->holds($x, $y, 1e-6)) {
                    return $section->uid;
                }
            }

            return null;
        };
        $out = [];
        $last = $board(0.0, null);
        $begin = $at = 0.0;
        while ($at < $line->length) {
            $next = min($line->length, $at + self::STEP_MM);
            $there = $board($next, $last);
            if ($there !== $last) {
                [$low, $high] = [$at, $next];
                while ($high - $low > self::EXACT_MM) {
                    $mid = ($low + $high) / 2.0;
                    if ($board($mid, $last) === $last) {
                        $low = $mid;
                    } else {
                        $high = $mid;
                    }
                }
                if ($last !== null && $low > $begin) {
                    $out[] = new RowPart($last, $begin, $low);
                }
                [$begin, $last] = [$high, $board($high, null)];
            }
            $at = $next;
        }
        if ($last !== null && $line->length > $begin) {
            $out[] = new RowPart($last, $begin, $line->length);
        }

        return array_values(array_filter(array_map(
            fn (int $k): ?RowPart => $this->offEdges($line, $out[$k], $out[$k - 1] ?? null, $out[$k + 1] ?? null),
            array_keys($out),
        )));
    }

    /** A part that ends at the edge of its board ends short of it, unless another board goes on there; null where nothing is left. */
    private function offEdges(RowLine $line, RowPart $part, ?RowPart $before, ?RowPart $after): ?RowPart
    {
        $section = $this->project->section($part->section);
        $inside = function (float $station) use ($line, $section): float {
            [$x, $y] = $line->at($station);
            $p = $section->placement->toSection(new Point($x, $y));

            return min($p->x, $p->y, $section->width - $p->x, $section->depth - $p->y);
        };
        $moved = function (float $station, float $way) use ($inside): float {
            for ($by = 0.0; $by <= self::EDGE_REACH * RowLayout::JOINT_CLEAR_MM; $by += self::EDGE_STEP_MM) {
                if ($inside($station + $way * $by) >= RowLayout::JOINT_CLEAR_MM) {
                    return $station + $way * $by;
                }
            }

            // Along the edge rather than onto it: it stays as it is.
            return $station;
        };
        $from = $before !== null && $part->from - $before->to < 1.0 ? $part->from : $moved($part->from, 1.0);
        $to = $after !== null && $after->from - $part->to < 1.0 ? $part->to : $moved($part->to, -1.0);

        return $to - $from > 1.0 ? new RowPart($part->section, $from, $to) : null;
    }
}
