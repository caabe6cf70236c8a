<?php

declare(strict_types=1);

namespace App\Workshop\Land;

use App\Models\Layout;
use App\Models\Section as SectionRow;
use App\Workshop\LoadProject;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Track\Run;

/** A section's land for a view that turns: its grid of heights, and the lines that lie on it, mm. */
final readonly class TurnLand
{
    private const STEP = 10.0;

    public function __construct(private LoadProject $load, private LandDesk $desk)
    {
    }

    /** @return array{cols: int, rows: int, cell: float, width: float, depth: float, base: float, heights: string, lines: list<array{int, float, float, float}>, strips: list<array{kind: string, edges: list<array{float, float, float, float, float}>}>, waters: list<array{level: float, ring: list<array{float, float}>}>} heights as base64 of 32-bit floats, row by row from the front; lines: values that stand on a formation's edge instead of in the middle of their cell, index, x, y, z; strips by pairs of edge points, x, y, x, y, z */
    public function mesh(Layout $layout, SectionRow $row): array
    {
        $project = $this->load->of($layout);
        $section = $project->section($row->uid);
        $sheet = $this->desk->sheet($project, $section);

        return [
            'cols' => $sheet->cols, 'rows' => $sheet->rows, 'cell' => $sheet->cell, 'width' => $section->width, 'depth' => $section->depth, 'base' => $section->base,
            'heights' => base64_encode($sheet->heights), 'lines' => $this->onLines($project, $section, $sheet), 'strips' => [...$this->runs($project, $section), ...$this->streams($project, $section)], 'waters' => $this->waters($project, $section),
        ];
    }

    /**
     * The values nearest to a formation's edge are moved onto it: there the land breaks, and a raster would show teeth.
     *
     * @return list<array{int, float, float, float}>
     */
    private function onLines(Project $project, Section $section, LandSheet $sheet): array
    {
        $model = $this->desk->model($project, $section);
        $out = [];
        foreach ($model->grading->runs as $run) {
            foreach ([true, false] as $left) {
                $half = ($left ? 1.0 : -1.0) * $run->profile->halfWidth($left);
                for ($station = 0.0; $station <= $run->alignment->length; $station += 0.25 * $sheet->cell) {
                    $p = $run->alignment->beside($station, $half);
                    [$i, $j] = [(int) floor($p->x / $sheet->cell), (int) floor($p->y / $sheet->cell)];
                    if ($i < 0 || $j < 0 || $i >= $sheet->cols || $j >= $sheet->rows || $run->structureAt($station) !== null) {
                        continue;
                    }
                    $k = $j * $sheet->cols + $i;
                    $away = hypot($p->x - ($i + 0.5) * $sheet->cell, $p->y - ($j + 0.5) * $sheet->cell);
                    // A hair inside, where the land is the formation's.
                    $inside = $run->alignment->beside($station, $half * (1.0 - 1e-6));
                    if ($away < ($out[$k][4] ?? 0.71 * $sheet->cell)) {
                        $out[$k] = [$k, round($p->x, 2), round($p->y, 2), round($model->heightAt($inside->x, $inside->y), 2), $away];
                    }
                }
            }
        }

        return array_values(array_map(fn (array $one): array => [$one[0], $one[1], $one[2], $one[3]], $out));
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
                if ($kind !== 'tunnel' && $to > $from) {
                    $out[] = ['kind' => $kind ?? $run->kind, 'edges' => $this->along($run, $from, $to)];
                }
            }
        }

        return $out;
    }

    /** @return list<array{float, float, float, float, float}> the track's own width; roads as wide as they are */
    private function along(Run $run, float $from, float $to): array
    {
        $out = [];
        $parts = max(1, (int) ceil(($to - $from) / self::STEP));
        for ($k = 0; $k <= $parts; $k++) {
            $station = $from + ($to - $from) * $k / $parts;
            $half = $run->kind === 'road' ? min($run->profile->halfWidth(true), $run->profile->halfWidth(false)) - 4.0 : 15.0;
            $out[] = $this->pair($run->alignment->beside($station, $half), $run->alignment->beside($station, -$half), $run->grade->heightAt($station) + $run->profile->railTop());
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
                    $edges[] = $this->pair($here->toward($across, $stream->width / 2.0), $here->toward($across, -$stream->width / 2.0), $stream->levels[$k]);
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
