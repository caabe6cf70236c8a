<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Geometry\CellCoverage;
use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\LineSimplifier;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Steepness;
use IdleRidge\Core\Land\Terrain;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;

/**
 * The zones of one section on its land: where rules put them, how large they are, where they overlap. A rule is a field over
 * the raster, positive inside; its edge is the field's zero line between the values.
 */
final class ZoneSurvey
{
    /** Islands and holes smaller than this are left out, mm². */
    private const MIN_RING_MM2 = 25.0;

    /** Tolerance of outlines and step along runs, mm. */
    private const FINE_MM = 0.3;

    private const STEP_MM = 2.0;

    /** A cell of which more is covered is covered whole. */
    private const WHOLE_SHARE = 1.0 - 1e-6;

    /** Points along each side of a cell in which two zones have their edges. */
    private const SAMPLES_PER_CELL = 4;

    /** @var array<string, list<list<array{float, float}>>> */
    private array $outlines = [];

    private readonly HeightMesh $mesh;

    private readonly float $cell;

    /** @var list<float> */
    private readonly array $slopes;

    private readonly ZoneFields $fields;

    /** @var array<string, array<int, float>> */
    private array $covers = [];

    /** @var array<int, array{float, float}>|null cell → true surface, mean height */
    private ?array $cells = null;

    /**
     * @param  list<Run>  $runs in section coordinates
     * @param  array<string, Zone>  $zones uid → zone, of this section
     * @param  Terrain|null  $terrain the land as it was made, with its model: edges then lie where they are, not where the raster has them
     * @param  array<string, Standing>  $standing uid of a zone → what stands on the section that may be in it
     */
    public function __construct(
        HeightGrid $land,
        private readonly float $width,
        private readonly float $depth,
        private readonly float $base,
        private readonly Placement $placement,
        private readonly array $runs,
        private readonly array $zones,
        float $northDeg = 90.0,
        ?Terrain $terrain = null,
        ?LandModel $model = null,
        private readonly array $standing = [],
    ) {
        $this->mesh = $land->mesh($width, $depth);
        $this->cell = $land->cell;
        $steepness = $model === null ? null : new Steepness($model);
        $this->slopes = $land
            ->with($terrain === null || $steepness === null ? $land->slopes() : $steepness->raster($terrain))
            ->mesh($width, $depth)->z;
        $this->fields = new ZoneFields(
            $land,
            $this->mesh,
            $this->slopes,
            $width,
            $depth,
            $base,
            $placement,
            $runs,
            $zones,
            $northDeg,
            $terrain?->earth(),
            $model,
            $steepness,
        );
    }

    /**
     * @param  array<string, Zone>  $zones uid → zone, of this section
     * @param  float  $base the board's top
     * @param  array<string, Standing>  $standing as above
     */
    public static function ofLand(
        LandModel $model,
        float $cell,
        float $base,
        Placement $placement,
        array $zones,
        float $northDeg,
        array $standing = [],
    ): self {
        $terrain = $model->terrain($cell);

        return new self(
            $terrain->grid(),
            $model->width,
            $model->depth,
            $base,
            $placement,
            $model->grading->runs,
            $zones,
            $northDeg,
            $terrain,
            $model,
            $standing,
        );
    }

    /** @throws InvalidValue when the zone leaves out one that is not there, or that leaves it out in turn */
    public function zone(string $uid): ZoneArea
    {
        $rings = $this->rings($this->zones[$uid]);

        return $this->upright(
            $this->zones[$uid],
            $this->measure($rings, $this->cover($uid, $rings))->holding($this->standing($uid, $rings)),
        );
    }

    /**
     * @param  list<list<array{float, float}>>  $rings
     * @param  list<list<array{float, float}>>  $without
     */
    private function standing(string $uid, array $rings, array $without = []): Standing
    {
        // What stands along a row is in its zone, also where that ends at the edge of the board.
        $isRow = $this->zones[$uid]->along !== null;

        return ($this->standing[$uid] ?? new Standing())
            ->where(fn (float $x, float $y): bool => ($isRow || self::holds($rings, $x, $y)) && ! self::holds($without, $x, $y));
    }

    /** What was measured of the strip that a backdrop stands on, as it is on its face; of the land over a tunnel, as it is on its floor. */
    private function upright(Zone $zone, ZoneArea $area): ZoneArea
    {
        if ($zone->backdrop === null) {
            return $zone->isInside() ? $area->asFloor() : $area;
        }
        $rings = $this->rings($zone);
        $whole = $this->measure($rings, $this->cover($zone->uid, $rings))->surface;

        return $area->asFace($zone->faceOn($this->width, $this->depth) / max(1.0, $whole));
    }

    /**
     * What of a zone is left once some patches of it are done.
     *
     * @param  list<list<list<array{float, float}>>>  $patches each with its rings, section coordinates
     */
    public function left(string $uid, array $patches): ZoneArea
    {
        $rings = $this->rings($this->zones[$uid]);
        $cover = $this->cover($uid, $rings);
        foreach ($patches as $patch) {
            foreach (CellCoverage::of($this->onBoard($patch), $this->mesh->xs, $this->mesh->ys) as $cell => $share) {
                if (isset($cover[$cell])) {
                    $cover[$cell] = max(0.0, $cover[$cell] - $share);
                    if ($cover[$cell] < 1e-6) {
                        unset($cover[$cell]);
                    }
                }
            }
        }

        $done = array_merge(...$patches);

        return $this->upright(
            $this->zones[$uid],
            $this->measure($rings, $cover, $done)->holding($this->standing($uid, $rings, $done)),
        );
    }

    /** True surface of the board on which no zone lies, mm². */
    public function bare(): float
    {
        $sums = [];
        foreach ($this->zones as $uid => $zone) {
            foreach ($zone->backdrop !== null ? [] : $this->cover($uid, $this->rings($zone)) as $cell => $share) {
                $sums[$cell] = ($sums[$cell] ?? 0.0) + $share;
            }
        }
        $this->cells ??= $this->cells();
        $bare = 0.0;
        foreach ($this->cells as $cell => [$surface]) {
            $bare += max(0.0, 1.0 - ($sums[$cell] ?? 0.0)) * $surface;
        }

        return $bare;
    }

    /** Where only one zone has its edge in a cell the overlap is what the other covers; where both have, points are looked at. */
    public function overlap(string $a, string $b): ZoneOverlap
    {
        if ($this->zones[$a]->backdrop !== null || $this->zones[$b]->backdrop !== null) {
            return ZoneOverlap::none();
        }
        $both = [];
        [$one, $two] = [$this->rings($this->zones[$a]), $this->rings($this->zones[$b])];
        $other = $this->cover($b, $two);
        foreach ($this->cover($a, $one) as $cell => $share) {
            $its = $other[$cell] ?? 0.0;
            $edges = $share < 1.0 - 1e-9 && $its < 1.0 - 1e-9 && $its > 0.0;
            $over = $edges ? $this->sampled($cell, $one, $two) : $share + $its - 1.0;
            if ($over > 1e-6) {
                $both[$cell] = $over;
            }
        }
        $area = $this->measure([], $both);

        return new ZoneOverlap($area->surface, $area->acrossX, $area->acrossY);
    }

    /**
     * The share of a cell's points that lie in both areas.
     *
     * @param  list<list<array{float, float}>>  $one
     * @param  list<list<array{float, float}>>  $two
     */
    private function sampled(int $cell, array $one, array $two): float
    {
        $cols = count($this->mesh->xs) - 1;
        [$i, $j] = [$cell % $cols, intdiv($cell, $cols)];
        [$x, $y] = [$this->mesh->xs[$i], $this->mesh->ys[$j]];
        [$wide, $tall] = [$this->mesh->xs[$i + 1] - $x, $this->mesh->ys[$j + 1] - $y];
        $hits = 0;
        for ($k = 0; $k < self::SAMPLES_PER_CELL ** 2; $k++) {
            $px = $x + ((($k % self::SAMPLES_PER_CELL) + 0.5) / self::SAMPLES_PER_CELL) * $wide;
            $py = $y + ((intdiv($k, self::SAMPLES_PER_CELL) + 0.5) / self::SAMPLES_PER_CELL) * $tall;
            $hits += self::holds($one, $px, $py) && self::holds($two, $px, $py) ? 1 : 0;
        }

        return $hits / self::SAMPLES_PER_CELL ** 2;
    }

    /** @param  list<list<array{float, float}>>  $rings */
    private static function holds(array $rings, float $x, float $y): bool
    {
        $inside = false;
        foreach ($rings as $ring) {
            $inside = $inside !== Polygon::holds($ring, $x, $y);
        }

        return $inside;
    }

    /** @return list<list<array{float, float}>> */
    private function rings(Zone $zone): array
    {
        return $this->outlines[$zone->uid] ??= $this->outlined($zone);
    }

    /** @return list<list<array{float, float}>> */
    private function outlined(Zone $zone): array
    {
        if ($zone->backdrop !== null) {
            return [$zone->standsOn($this->width, $this->depth)];
        }
        if ($zone->isDrawn()) {
            return $this->onBoard([(array) $zone->outlineOn($this->placement)]);
        }
        $field = $this->fields->of($zone);
        $rings = array_filter(
            Contours::of($field->mesh, [0.0], $field->at)[0]->rings ?? [],
            fn (array $ring): bool => abs(Polygon::area($ring)) >= self::MIN_RING_MM2 / $field->finer,
        );

        return array_values(array_map(fn (array $ring): array => LineSimplifier::line($ring, self::FINE_MM / $field->finer, true), $rings));
    }

    /**
     * @param  list<list<array{float, float}>>  $rings
     * @return list<list<array{float, float}>>
     */
    private function onBoard(array $rings): array
    {
        return (new Strip(0.0, $this->width, 0.0, $this->depth))->of($rings);
    }

    /**
     * @param  list<list<array{float, float}>>  $rings
     * @return array<int, float>
     */
    private function cover(string $uid, array $rings): array
    {
        return $this->covers[$uid] ??= CellCoverage::of($rings, $this->mesh->xs, $this->mesh->ys);
    }

    /**
     * @param  list<list<array{float, float}>>  $rings
     * @param  array<int, float>  $cover
     * @param  list<list<array{float, float}>>  $without rings of what is taken from it
     */
    private function measure(array $rings, array $cover, array $without = []): ZoneArea
    {
        $this->cells ??= $this->cells();
        [$xs, $ys] = [$this->mesh->xs, $this->mesh->ys];
        $cols = count($xs) - 1;
        $plan = $surface = $height = 0.0;
        $bySlope = $acrossX = $acrossY = [];
        $within = $this->nodesWithin($cover);
        foreach ($cover as $cell => $share) {
            [$i, $j] = [$cell % $cols, intdiv($cell, $cols)];
            [$true, $mean] = $this->cells[$cell];
            $flat = ($xs[$i + 1] - $xs[$i]) * ($ys[$j + 1] - $ys[$j]);
            $p = $j * ($cols + 1) + $i;
            $corners = [$p, $p + 1, $p + $cols + 1, $p + $cols + 2];
            if ($share < self::WHOLE_SHARE) {
                // Of a cell on its edge a zone has the slope that it has, not the one beyond.
                $corners = array_filter($corners, fn (int $node): bool => isset($within[$node])) ?: $corners;
                $true = ($flat * array_sum(array_map(fn (int $node): float => $this->secant($node), $corners))) / count($corners);
            }
            $area = $share * $true;
            $plan += $share * $flat;
            $surface += $area;
            $height += $share * $flat * $mean;
            // A cell in which slopes meet has some of each, not one between them.
            foreach ($corners as $node) {
                $deg = (int) $this->slopes[$node];
                $bySlope[$deg] = ($bySlope[$deg] ?? 0.0) + $area / count($corners);
            }
            $acrossX[$i] = ($acrossX[$i] ?? 0.0) + $area;
            $acrossY[$j] = ($acrossY[$j] ?? 0.0) + $area;
        }
        ksort($bySlope);
        $tracks = $this->tracks($cover, $rings, $without);
        $sum = [];
        foreach ($tracks as $one) {
            foreach ($one as $i => $length) {
                $sum[$i] = ($sum[$i] ?? 0.0) + $length;
            }
        }

        return new ZoneArea(
            $rings,
            $plan,
            $surface,
            $plan > 0.0 ? $height / $plan - $this->base : 0.0,
            $bySlope,
            new AreaProfile($xs, $acrossX),
            new AreaProfile($ys, $acrossY),
            new AreaProfile($xs, $sum),
            array_map(fn (array $one): AreaProfile => new AreaProfile($xs, $one), $tracks),
        );
    }

    /**
     * Track within an area, run by run and by column; in cells that are covered in part by where it lies in them.
     *
     * @param  array<int, float>  $cover
     * @param  list<list<array{float, float}>>  $rings
     * @param  list<list<array{float, float}>>  $without
     * @return array<string, array<int, float>>
     */
    private function tracks(array $cover, array $rings, array $without): array
    {
        [$xs, $ys] = [$this->mesh->xs, $this->mesh->ys];
        $cols = count($xs) - 1;
        $out = [];
        foreach ($this->runs as $run) {
            if ($run->kind !== RunKind::Track) {
                continue;
            }
            $steps = max(1, (int) ceil($run->alignment->length / self::STEP_MM));
            $step = $run->alignment->length / $steps;
            for ($k = 0; $k < $steps; $k++) {
                $p = $run->alignment->pointAt(($k + 0.5) * $step);
                if ($p->x < 0.0 || $p->x > $this->width || $p->y < 0.0 || $p->y > $this->depth) {
                    continue;
                }
                // The first and last strip of the raster are half a cell wide.
                $i = min($cols - 1, (int) floor($p->x / $this->cell + 0.5));
                $j = min(count($ys) - 2, (int) floor($p->y / $this->cell + 0.5));
                $share = $cover[$j * $cols + $i] ?? 0.0;
                if ($share > 1.0 - 1e-6 || ($share > 0.0 && self::holds($rings, $p->x, $p->y) && ! self::holds($without, $p->x, $p->y))) {
                    $out[$run->uid][$i] = ($out[$run->uid][$i] ?? 0.0) + $step;
                }
            }
        }

        return $out;
    }

    /** @return array<int, array{float, float}> */
    private function cells(): array
    {
        [$xs, $ys, $z] = [$this->mesh->xs, $this->mesh->ys, $this->mesh->z];
        $n = count($xs);
        $out = [];
        for ($j = 0; $j < count($ys) - 1; $j++) {
            for ($i = 0; $i < $n - 1; $i++) {
                $p = $j * $n + $i;
                $out[] = [
                    HeightMesh::cellSurface($xs[$i + 1] - $xs[$i], $ys[$j + 1] - $ys[$j], $z[$p], $z[$p + 1], $z[$p + $n], $z[$p + $n + 1]),
                    ($z[$p] + $z[$p + 1] + $z[$p + $n] + $z[$p + $n + 1]) / 4.0,
                ];
            }
        }

        return $out;
    }

    /** True surface over plan area at a node. */
    private function secant(int $node): float
    {
        return 1.0 / max(0.05, cos(deg2rad($this->slopes[$node])));
    }

    /**
     * @param  array<int, float>  $cover
     * @return array<int, true> corners of the cells that are covered whole
     */
    private function nodesWithin(array $cover): array
    {
        $cols = count($this->mesh->xs) - 1;
        $within = [];
        foreach ($cover as $cell => $share) {
            if ($share >= self::WHOLE_SHARE) {
                $p = intdiv($cell, $cols) * ($cols + 1) + ($cell % $cols);
                $within[$p] = $within[$p + 1] = $within[$p + $cols + 1] = $within[$p + $cols + 2] = true;
            }
        }

        return $within;
    }
}
