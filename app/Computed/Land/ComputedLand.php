<?php

declare(strict_types=1);

namespace App\Computed\Land;

use App\Computed\ComputedCache;
use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\LineSimplifier;
use IdleRidge\Core\Land\GroundAnswer;
use IdleRidge\Core\Land\GroundProblem;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Land\LandClass;
use IdleRidge\Core\Land\LandClasses;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Lattice;
use IdleRidge\Core\Measure\RoundSteps;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\SightStudy;
use IdleRidge\Core\Rulebook\Rulebook;

/**
 * Works a section's land out, or takes it from what was computed before. What the land of a section can depend on is a project
 * of its own: nothing else is at hand while it is computed, and all of it makes its fingerprint.
 */
final class ComputedLand
{
    /** Cells of what is shown and saved, of a preview, and of a thumbnail, mm. */
    public const CELL_MM = 5.0;

    public const PREVIEW_CELL_MM = 10.0;

    public const THUMB_CELL_MM = 25.0;

    private const LAND = 'land';

    /** @var array<string, Lattice> what this request has at hand */
    private array $lattices = [];

    public function __construct(private readonly ComputedCache $cache)
    {
    }

    public function model(Project $project, Section $section, float $cell = self::CELL_MM): LandModel
    {
        return $project->land($section, $this->lattice($project, $section, $cell));
    }

    public function sheet(Project $project, Section $section, float $cell = self::CELL_MM): LandResult
    {
        $hash = $this->hash($project, $section, $cell);
        $kept = $this->kept($hash);
        if ($kept !== null) {
            return $kept;
        }
        $project = $project->landOf($section);
        $model = $this->model($project, $section, $cell);
        $study = LandStudy::of($project, $section, $model, $model->terrain($cell));
        $mesh = $study->terrain->mesh();
        [$contours, $bands] = $this->lines($mesh, $cell);
        $sheet = new LandResult(
            $hash,
            $cell,
            $study->terrain->cols,
            $study->terrain->rows,
            $study->figures(),
            Rulebook::check($study),
            $study->walls,
            $contours,
            $bands,
            pack('g*', ...$study->terrain->heights),
            $study->turnouts,
            pack('g*', ...$study->terrain->rim ?? []),
        );
        $this->cache->put(self::LAND, $hash, $sheet);

        return $sheet;
    }

    /**
     * A few contours of a section, for its thumbnail.
     *
     * @return list<list<array{float, float}>> lines in section coordinates
     */
    public function thumb(Project $project, Section $section): array
    {
        return $this->cache->remember(
            'thumb',
            $this->hash($project, $section, self::THUMB_CELL_MM),
            fn (): array => $this->fewLines($this->model($project, $section)),
        );
    }

    /** @return array<string, list<list<array{float, float}>>> section uid → its thumbnail's lines, of all boards at once */
    public function thumbs(Project $project): array
    {
        return $this->cache->remember('thumbs', $this->cache->fingerprint($project), function () use ($project): array {
            $thumbs = [];
            foreach ($project->sections as $section) {
                $thumbs[$section->uid] = $this->thumb($project, $section);
            }

            return $thumbs;
        });
    }

    /**
     * The thumbnail, or until its land is worked out one of a coarser ground: boards are moved about faster than that.
     *
     * @return list<list<array{float, float}>> lines in section coordinates
     */
    public function sketch(Project $project, Section $section): array
    {
        $hash = $this->hash($project, $section, self::THUMB_CELL_MM);
        /** @var list<list<array{float, float}>>|null $kept */
        $kept = $this->cache->get('thumb', $hash);

        return $kept ?? $this->cache->remember(
            'sketch',
            $hash,
            fn (): array => $this->fewLines($this->model($project, $section, self::THUMB_CELL_MM)),
        );
    }

    /** @return list<list<array{float, float}>> */
    private function fewLines(LandModel $model): array
    {
        $mesh = $model->terrain(self::THUMB_CELL_MM)->mesh();
        $range = max($mesh->z) - min($mesh->z);
        $lines = [];
        foreach (Contours::of($mesh, Contours::levels($mesh, RoundSteps::coarse() * max(1.0, ceil($range / 60.0)))) as $contour) {
            foreach ($contour->lines as $line) {
                $points = LineSimplifier::line($line['points'], 4.0, $line['closed']);
                $lines[] = $line['closed'] ? [...$points, $points[0]] : $points;
            }
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
        if ($tint === 'sight') {
            return $this->sight($project, $section)->hidden ?? [];
        }
        $north = $project->layout->northDeg - $section->placement->angleDeg;
        $from = $this->cache->fingerprint($this->hash($project, $section, self::CELL_MM), $tint, $north);

        return $this->cache->remember('classes', $from, function () use ($project, $section, $tint, $north): array {
            $grid = $this->sheet($project, $section)->grid();

            return match ($tint) {
                'slope' => LandClasses::slopes($grid, $section->width, $section->depth),
                'damp' => LandClasses::damp($grid, $section->width, $section->depth),
                default => LandClasses::sun($grid, $section->width, $section->depth, $north),
            };
        });
    }

    /** Null when the layout is looked at from nowhere. */
    public function sight(Project $project, Section $section): ?SightStudy
    {
        $viewing = $project->layout->viewing;
        $stands = $project->works->growth->standsOn($section->uid);
        $from = $this->cache->fingerprint($this->hash($project, $section, self::CELL_MM), $viewing, $stands);

        return $this->cache->remember(
            'sight',
            $from,
            fn (): ?SightStudy => SightStudy::of($viewing, $section, $this->model($project, $section), $stands),
        );
    }

    public function kept(string $hash): ?LandResult
    {
        $sheet = $this->cache->get(self::LAND, $hash);

        return $sheet instanceof LandResult ? $sheet : null;
    }

    private function lattice(Project $project, Section $section, float $cell): Lattice
    {
        $problem = $project->groundProblem($section);
        // A preview may stand on a ground with fewer nodes; what is saved never does.
        $finest = $cell > self::CELL_MM ? 2.0 * $cell : self::CELL_MM;
        $key = $this->cache->fingerprint($finest, $problem);
        if (isset($this->lattices[$key])) {
            return $this->lattices[$key];
        }
        $kept = $this->cache->get('ground', $key);
        if (is_array($kept)) {
            return $this->lattices[$key] = $this->unpacked($kept, $problem)->lattice;
        }
        // The last ground of these boards is a good place to begin from: an edit changes little of it.
        $lastKey = $this->cache->fingerprint($finest, $problem->x0, $problem->y0, $problem->width, $problem->depth, $project->layout->uid);
        $last = $this->cache->get('last-ground', $lastKey);
        $answer = GroundSolver::answer(
            $problem,
            $finest,
            is_array($last) ? $this->unpacked($last, $problem) : null,
            $finest > self::CELL_MM && is_array($last),
        );
        $lattice = $answer->lattice;
        $pack = [$lattice->spacing, $lattice->cols, $lattice->rows, pack('e*', ...$lattice->heights), $answer->multipliers];
        $this->cache->put('ground', $key, $pack);
        $this->cache->put('last-ground', $lastKey, $pack);

        return $this->lattices[$key] = $lattice;
    }

    /** @param  array<mixed>  $pack */
    private function unpacked(array $pack, GroundProblem $problem): GroundAnswer
    {
        [$spacing, $cols, $rows, $heights, $multipliers] = $pack;

        return new GroundAnswer(
            new Lattice($problem->x0, $problem->y0, $spacing, $cols, $rows, array_values(unpack('e*', $heights) ?: [])),
            $multipliers,
        );
    }

    public function hash(Project $project, Section $section, float $cell): string
    {
        $inputs = fn (): array => [$project->landOf($section), $section->uid];

        return sha1($this->cache->fingerprintOf($project, "land {$section->uid}", $inputs)." {$cell}");
    }

    /**
     * @return array{list<array{level: float, lines: list<array{points: list<array{float, float}>, closed: bool}>}>,
     *     list<array{level: float, rings: list<list<array{float, float}>>}>}
     */
    private function lines(HeightMesh $mesh, float $cell): array
    {
        $interval = RoundSteps::coarse();
        $range = max($mesh->z) - min($mesh->z);
        while ($range / $interval > 40) {
            $interval *= 2.0;
        }
        $tolerance = 0.06 * $cell;
        $contours = $bands = [];
        foreach (Contours::of($mesh, Contours::levels($mesh, $interval)) as $contour) {
            $allowed = LineSimplifier::withinBand($mesh, $contour->level, 0.45 * $interval, 2.0 * $cell);
            $lines = array_map(
                fn (array $line): array => [
                    'points' => self::short(LineSimplifier::line($line['points'], $tolerance, $line['closed'], $allowed)),
                    'closed' => $line['closed'],
                ],
                $contour->lines,
            );
            $contours[] = ['level' => $contour->level, 'lines' => $lines];
            if (RoundSteps::isMultiple($contour->level, 2.0 * $interval)) {
                // A contour that closes by itself is its own ring; only those along the edge differ.
                $whole = count($contour->rings) === $contour->closedLines();
                $bands[] = [
                    'level' => $contour->level,
                    'rings' => $whole
                        ? array_column($lines, 'points')
                        : array_map(
                            fn (array $ring): array => self::short(LineSimplifier::line($ring, 2.0 * $tolerance, true)),
                            $contour->rings,
                        ),
                ];
            }
        }

        return [$contours, $bands];
    }

    /**
     * To a hundredth of a millimetre: what is kept is a third as large, and as quick to read again.
     *
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function short(array $points): array
    {
        return array_map(fn (array $p): array => [round($p[0], 2), round($p[1], 2)], $points);
    }
}
