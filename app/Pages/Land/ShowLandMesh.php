<?php

declare(strict_types=1);

namespace App\Pages\Land;

use App\Computed\Growth\ComputedGrowth;
use App\Computed\Land\ComputedLand;
use App\Computed\Land\LandResult;
use App\Computed\Library\LibraryFiles;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Models\Section as SectionRow;
use DateTimeZone;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\BreakLines;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Plan\SceneCoats;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\StructureKind;

/** A section's land for a view that turns: places of it, and what lies on it, mm. */
final readonly class ShowLandMesh
{
    private const STEP_MM = 10.0;

    /** From one place on a line where land breaks to the next, and how near one a value of the raster gives way, cells. */
    private const APART_CELLS = 0.7;

    private const CLEAR_CELLS = 0.6;

    /** Sessions that can be chosen. */
    private const MAX_MOMENTS = 12;

    public function __construct(
        private ProjectLoader $load,
        private ComputedLand $desk,
        private ComputedPlan $plan,
        private ComputedGrowth $growth,
    ) {
    }

    /**
     * @param  string  $wears heights, now, done, or m and the minute up to which the plan is done
     * @return array{moments: array<string, string>, base: float, points: string, edge: int, colours: string|null,
     *     trees: array<string, string>, posts: string, wires: list<string>, bands: list<array{kind: string, wide: float, high: float,
     *     line: string}>, eyes: list<array{float, float, float}>, strips: list<array{kind: string, edges: list<array{float, float, float,
     *     float, float}>}>, waters: list<array{level: float, ring: list<array{float, float}>}>} points as base64 of 32-bit floats, x, y, z
     *     of each, those round the board's edge first and in order, their colours as three bytes; strips by pairs of edge points, x, y, x,
     *     y, z; eyes of those who look at it
     */
    public function mesh(Layout $layout, SectionRow $row, string $wears = 'heights'): array
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $sheet = $this->desk->sheet($project, $section);
        [$points, $edge] = $this->points($project, $section, $sheet);
        $land = $sheet->grid()->mesh($section->width, $section->depth);
        // The plan may take its while: who looks at heights does not wait for it.
        $scene = $wears === 'heights' ? null : new SceneCoats($this->plan->plan($layout), LibraryFiles::basePaints());
        $until = match (true) {
            $wears === 'done' => null,
            preg_match('/^m\d{1,12}$/', $wears) === 1 => (int) substr($wears, 1),
            default => $this->plan->minute(),
        };
        $cover = $scene === null ? null : new ReliefCover($land, $sheet->cell, $scene->on($section, $until));
        $things = new ReliefThings($project, $section, $land, $scene?->stood($section, $until) ?? []);

        return [
            'moments' => $this->moments($project, $scene?->moments($section) ?? []),
            'colours' => $cover === null ? null : $this->colours($cover, $points),
            'trees' => $things->trees(),
            ...$things->rows($this->growth->rows($project)['sets']),
            'eyes' => $project->layout->viewing->before($section),

            'base' => $section->base,
            'points' => base64_encode(pack('g*', ...$points)),
            'edge' => $edge,
            'strips' => [...$this->runs($project, $section), ...$this->streams($project, $section)],
            'waters' => $this->waters($project, $section),
        ];
    }

    /**
     * @param  list<int>  $ends of sessions
     * @return array<string, string> what the land may wear → its word
     */
    private function moments(Project $project, array $ends): array
    {
        $words = new ClockWords(new DateTimeZone($project->layout->zone), $this->plan->minute());
        $out = ['heights' => 'heights', 'now' => 'as it is laid now'];
        foreach (array_slice($ends, 0, self::MAX_MOMENTS) as $end) {
            $out["m{$end}"] = 'after '.$words->shortDay($end).', '.$words->clock($end);
        }

        return $out + ['done' => 'when all is done'];
    }

    /** @param  list<float>  $points */
    private function colours(ReliefCover $cover, array $points): string
    {
        $bytes = [];
        for ($k = 0; $k < count($points); $k += 3) {
            array_push($bytes, ...$cover->at($points[$k], $points[$k + 1]));
        }

        return base64_encode(pack('C*', ...$bytes));
    }

    /**
     * Where land breaks, its lines stand in place of the raster's values next to them.
     *
     * @return array{list<float>, int} x, y, z of one place after the other, and how many places lie round the edge of the board, in order
     */
    private function points(Project $project, Section $section, LandResult $sheet): array
    {
        $mesh = $sheet->grid()->mesh($section->width, $section->depth);
        [$n, $m] = [count($mesh->xs), count($mesh->ys)];
        $cell = $sheet->cell;
        $breaks = (new BreakLines($this->desk->model($project, $section), self::APART_CELLS * $cell))->points();
        $near = [];
        foreach ($breaks as [$x, $y]) {
            $near[(int) floor($x / $cell)][(int) floor($y / $cell)][] = [$x, $y];
        }
        $ring = [
            ...range(0, $n - 1),
            ...array_map(fn (int $j): int => $j * $n + $n - 1, range(1, $m - 1)),
            ...range($n * $m - 2, $n * ($m - 1)),
            ...array_map(fn (int $j): int => $j * $n, range($m - 2, 1)),
        ];
        $out = [];
        foreach ($ring as $p) {
            array_push($out, $mesh->xs[$p % $n], $mesh->ys[intdiv($p, $n)], $mesh->z[$p]);
        }
        for ($j = 1; $j < $m - 1; $j++) {
            for ($i = 1; $i < $n - 1; $i++) {
                if (! $this->isNear($near, $mesh->xs[$i], $mesh->ys[$j], $cell)) {
                    array_push($out, $mesh->xs[$i], $mesh->ys[$j], $mesh->z[$j * $n + $i]);
                }
            }
        }
        foreach ($breaks as $point) {
            array_push($out, ...$point);
        }

        return [$out, count($ring)];
    }

    /** @param  array<int, array<int, list<array{float, float}>>>  $near  places by cell */
    private function isNear(array $near, float $x, float $y, float $cell): bool
    {
        [$i, $j] = [(int) floor($x / $cell), (int) floor($y / $cell)];
        for ($k = 0; $k < 9; $k++) {
            foreach ($near[$i + ($k % 3) - 1][$j + intdiv($k, 3) - 1] ?? [] as [$px, $py]) {
                if (hypot($px - $x, $py - $y) < self::CLEAR_CELLS * $cell) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<array{kind: string, edges: list<array{float, float, float, float, float}>}> */
    private function runs(Project $project, Section $section): array
    {
        $out = [];
        foreach ($project->runsNear($section) as $run) {
            $here = $run->within($section->width, $section->depth);
            if ($here === null) {
                continue;
            }
            foreach ($run->parts() as [$from, $to, $kind]) {
                [$from, $to] = [max($from, $here[0]), min($to, $here[1])];
                if ($kind !== StructureKind::Tunnel && $to > $from) {
                    $out[] = ['kind' => ($kind ?? $run->kind)->value, 'edges' => $this->along($run, $from, $to)];
                }
            }
        }

        return $out;
    }

    /** @return list<array{float, float, float, float, float}> the track's own width; roads as wide as they are */
    private function along(Run $run, float $from, float $to): array
    {
        $out = [];
        $parts = max(1, (int) ceil(($to - $from) / self::STEP_MM));
        for ($k = 0; $k <= $parts; $k++) {
            $station = $from + (($to - $from) * $k) / $parts;
            $half = $run->kind === RunKind::Road
                ? min($run->profile->halfWidth(Side::Left), $run->profile->halfWidth(Side::Right)) - 4.0
                : 15.0;
            $out[] = $this->pair(
                $run->alignment->beside($station, $half),
                $run->alignment->beside($station, -$half),
                $run->grade->heightAt($station) + $run->profile->railTop(),
            );
        }

        return $out;
    }

    /** @return list<array{kind: string, edges: list<array{float, float, float, float, float}>}> */
    private function streams(Project $project, Section $section): array
    {
        $out = [];
        foreach ($this->desk->model($project, $section)->ground->streams as $stream) {
            $edges = [];
            foreach ($stream->line as $k => [$x, $y]) {
                [$px, $py] = $stream->line[max(0, $k - 1)];
                [$nx, $ny] = $stream->line[min(count($stream->line) - 1, $k + 1)];
                $across = atan2($ny - $py, $nx - $px) + M_PI / 2.0;
                $here = new Point($x, $y);
                if ($x >= 0.0 && $y >= 0.0 && $x <= $section->width && $y <= $section->depth) {
                    $edges[] = $this->pair(
                        $here->toward($across, $stream->width / 2.0),
                        $here->toward($across, -$stream->width / 2.0),
                        $stream->levels[$k],
                    );
                }
            }
            if (count($edges) > 1) {
                $out[] = ['kind' => 'stream', 'edges' => $edges];
            }
        }

        return $out;
    }

    /** @return array{float, float, float, float, float} */
    private function pair(Point $left, Point $right, float $z): array
    {
        return [round($left->x, 1), round($left->y, 1), round($right->x, 1), round($right->y, 1), round($z, 1)];
    }

    /** @return list<array{level: float, ring: list<array{float, float}>}> */
    private function waters(Project $project, Section $section): array
    {
        $out = [];
        foreach ($this->desk->model($project, $section)->ground->basins as $basin) {
            $out[] = ['level' => $basin->level, 'ring' => $basin->bank];
        }

        return $out;
    }
}
