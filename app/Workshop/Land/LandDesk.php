<?php

declare(strict_types=1);

namespace App\Workshop\Land;

use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\Simplify;
use IdleRidge\Core\Land\GroundAnswer;
use IdleRidge\Core\Land\GroundProblem;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Land\LandClass;
use IdleRidge\Core\Land\LandClasses;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Lattice;
use IdleRidge\Core\Project\Joints;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\SightStudy;
use IdleRidge\Core\Rulebook\Rulebook;
use IdleRidge\Core\Track\Run;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Cache;
use WeakMap;

/**
 * Works a section's land out, or takes it from what was computed before: everything is kept under the hash of its inputs,
 * so unchanged input is never computed again and a changed input never shows an old answer.
 */
final class LandDesk
{
    /** Cells of what is shown and saved, of a preview, and of a thumbnail, mm. */
    public const CELL = 5.0;

    public const PREVIEW_CELL = 10.0;

    public const THUMB_CELL = 25.0;

    public const INTERVAL = 10.0;

    /** Raise when what is kept changes its form. */
    private const VERSION = 7;

    private const DAYS = 7;

    /** @var array<string, Lattice> what this request has at hand */
    private array $lattices = [];

    /** @var WeakMap<Project, array<string, string>>|null of a project that stays as it is, by section and cell */
    private ?WeakMap $hashes = null;

    public function model(Project $project, Section $section, float $cell = self::CELL): LandModel
    {
        return $project->land($section, $this->lattice($project, $section, $cell));
    }

    public function sheet(Project $project, Section $section, float $cell = self::CELL): LandSheet
    {
        $hash = $this->hash($project, $section, $cell);
        $kept = $this->kept($hash);
        if ($kept !== null) {
            return $kept;
        }
        $model = $this->model($project, $section, $cell);
        $study = LandStudy::of($project, $section, $model, $model->terrain($cell));
        $mesh = $study->terrain->mesh();
        [$contours, $bands] = $this->lines($mesh, $cell);
        $sheet = new LandSheet(
            $hash, $cell, $study->terrain->cols, $study->terrain->rows, $study->figures(), Rulebook::check($study),
            $study->walls, $contours, $bands, pack('g*', ...$study->terrain->heights), $study->turnouts, pack('g*', ...$study->terrain->rim ?? []),
        );
        $this->store()->put('sheet-'.$hash, $sheet, 86400 * self::DAYS);

        return $sheet;
    }

    /**
     * A few contours of a section, for its thumbnail.
     *
     * @return list<list<array{float, float}>> lines in section coordinates
     */
    public function thumb(Project $project, Section $section): array
    {
        $key = 'thumb-'.$this->hash($project, $section, self::THUMB_CELL);
        /** @var list<list<array{float, float}>>|null $lines */
        $lines = $this->store()->get($key);
        if (! is_array($lines)) {
            $mesh = $this->model($project, $section)->terrain(self::THUMB_CELL)->mesh();
            $range = max($mesh->z) - min($mesh->z);
            $lines = [];
            foreach (Contours::of($mesh, Contours::levels($mesh, max(self::INTERVAL, 10.0 * ceil($range / 60.0)))) as $contour) {
                foreach ($contour->lines as $line) {
                    $points = Simplify::line($line['points'], 4.0, $line['closed']);
                    $lines[] = $line['closed'] ? [...$points, $points[0]] : $points;
                }
            }
            $this->store()->put($key, $lines, 86400 * self::DAYS);
        }

        return $lines;
    }

    /**
     * The land divided for a tint of the plan.
     *
     * @return list<LandClass> none for heights
     */
    public function classes(Project $project, Section $section, string $tint): array
    {
        if ($tint === 'heights') {
            return [];
        }
        $key = "classes-{$tint}-".sha1($this->hash($project, $section, self::CELL).$project->layout->northDeg.implode(',', $project->layout->viewingEdges));
        $kept = $this->store()->get($key);
        if (is_array($kept)) {
            /** @var list<LandClass> $kept */
            return $kept;
        }
        $grid = $this->sheet($project, $section)->grid();
        $classes = match ($tint) {
            'slope' => LandClasses::slopes($grid, $section->width, $section->depth),
            'sight' => $this->sight($project, $section)->hidden ?? [],
            'damp' => LandClasses::damp($grid, $section->width, $section->depth),
            default => LandClasses::sun($grid, $section->width, $section->depth, $project->layout->northDeg - $section->placement->angleDeg),
        };
        $this->store()->put($key, $classes, 86400 * self::DAYS);

        return $classes;
    }

    /** Null when the layout is looked at from nowhere. */
    public function sight(Project $project, Section $section): ?SightStudy
    {
        $key = 'sight-'.sha1($this->hash($project, $section, self::CELL).implode(',', $project->layout->viewingEdges));
        $kept = $this->store()->get($key);
        if (! $kept instanceof SightStudy) {
            $kept = SightStudy::of($project, $section, $this->model($project, $section));
            $this->store()->put($key, $kept, 86400 * self::DAYS);
        }

        return $kept;
    }

    public function kept(string $hash): ?LandSheet
    {
        $sheet = $this->store()->get('sheet-'.$hash);

        return $sheet instanceof LandSheet ? $sheet : null;
    }

    private function lattice(Project $project, Section $section, float $cell): Lattice
    {
        $problem = $project->groundProblem($section);
        // A preview may stand on a ground with fewer nodes; what is saved never does.
        $finest = $cell > self::CELL ? 2.0 * $cell : self::CELL;
        $key = 'ground-'.sha1(json_encode([GroundSolver::VERSION, self::VERSION, $finest, $problem], JSON_THROW_ON_ERROR));
        if (isset($this->lattices[$key])) {
            return $this->lattices[$key];
        }
        $kept = $this->store()->get($key);
        if (is_array($kept)) {
            return $this->lattices[$key] = $this->unpacked($kept, $problem)->lattice;
        }
        // The last ground of these boards is a good place to begin from: an edit changes little of it.
        $lastKey = 'last-'.sha1(json_encode([self::VERSION, GroundSolver::VERSION, $finest, $problem->x0, $problem->y0, $problem->width, $problem->depth, $project->layout->uid], JSON_THROW_ON_ERROR));
        $last = $this->store()->get($lastKey);
        $answer = GroundSolver::answer($problem, $finest, is_array($last) ? $this->unpacked($last, $problem) : null, $finest > self::CELL && is_array($last));
        $lattice = $answer->lattice;
        $pack = [$lattice->spacing, $lattice->cols, $lattice->rows, pack('e*', ...$lattice->heights), $answer->leads];
        $this->store()->put($key, $pack, 86400 * self::DAYS);
        $this->store()->put($lastKey, $pack, 86400 * self::DAYS);

        return $this->lattices[$key] = $lattice;
    }

    /** @param  array<mixed>  $pack */
    private function unpacked(array $pack, GroundProblem $problem): GroundAnswer
    {
        [$spacing, $cols, $rows, $heights, $leads] = $pack;

        return new GroundAnswer(new Lattice($problem->x0, $problem->y0, $spacing, $cols, $rows, array_values(unpack('e*', $heights) ?: [])), $leads);
    }

    public function hash(Project $project, Section $section, float $cell): string
    {
        $this->hashes ??= new WeakMap;
        $known = $this->hashes[$project] ?? [];
        $key = "{$section->uid} {$cell}";
        if (! isset($known[$key])) {
            $this->hashes[$project] = $known + [$key => $this->hashed($project, $section, $cell)];
        }

        return $this->hashes[$project][$key];
    }

    private function hashed(Project $project, Section $section, float $cell): string
    {
        $layout = $project->layout;
        $runs = array_map(fn (Run $r): array => [$r->uid, $r->start, $r->headingDeg, $r->pieces, $r->startHeight, $r->gradePoints, $r->profile->toArray(), $r->structures, $r->kind], $project->runsNear($section));

        return sha1(json_encode([
            self::VERSION, GroundSolver::VERSION, Rulebook::VERSION, $cell,
            $section->uid, $section->width, $section->depth, $section->placement, $section->base, $project->isHeld($section),
            $project->groundProblem($section), $runs, $project->shapesNear($section), $project->joinedEdges($section),
            array_map(fn (Section $s): array => [$s->uid, $s->name, $s->base, $project->isHeld($s)], Joints::of($section, $project->sections)),
            $layout->bankReach, $layout->faceLimitDeg, $layout->vehicles, $layout->clearanceMargin,
        ], JSON_THROW_ON_ERROR));
    }

    /**
     * @return array{list<array{level: float, lines: list<array{points: list<array{float, float}>, closed: bool}>}>, list<array{level: float, rings: list<list<array{float, float}>>}>}
     */
    private function lines(HeightMesh $mesh, float $cell): array
    {
        $interval = self::INTERVAL;
        $range = max($mesh->z) - min($mesh->z);
        while ($range / $interval > 40) {
            $interval *= 2.0;
        }
        $tolerance = 0.06 * $cell;
        $contours = $bands = [];
        foreach (Contours::of($mesh, Contours::levels($mesh, $interval)) as $contour) {
            $allowed = Simplify::withinBand($mesh, $contour->level, 0.45 * $interval, 2.0 * $cell);
            $lines = array_map(fn (array $line): array => ['points' => self::short(Simplify::line($line['points'], $tolerance, $line['closed'], $allowed)), 'closed' => $line['closed']], $contour->lines);
            $contours[] = ['level' => $contour->level, 'lines' => $lines];
            if (fmod($contour->level, 2.0 * $interval) === 0.0) {
                // A contour that closes by itself is its own ring; only those along the edge differ.
                $whole = count($contour->rings) === $contour->closedLines();
                $bands[] = ['level' => $contour->level, 'rings' => $whole ? array_column($lines, 'points') : array_map(fn (array $ring): array => self::short(Simplify::line($ring, 2.0 * $tolerance, true)), $contour->rings)];
            }
        }

        return [$contours, $bands];
    }

    /**
     * To a hundredth of a millimetre: what is kept is a third as large, and as quick to read again.
     *
     * @param list<array{float, float}> $points
     * @return list<array{float, float}>
     */
    private static function short(array $points): array
    {
        return array_map(fn (array $p): array => [round($p[0], 2), round($p[1], 2)], $points);
    }

    private function store(): Repository
    {
        return Cache::store('computed');
    }
}
