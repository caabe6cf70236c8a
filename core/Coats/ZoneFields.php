<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use Closure;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\Outline;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\LandClasses;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Steepness;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Measure\Sorted;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\StructureKind;

/** What the rules of zones say of a section's land, as fields over its raster: positive inside. */
final class ZoneFields
{
    /**
     * Where earth comes to nothing between two cells a straight line from one to the other reaches too far out. Against so much
     * of a cell the toe of a bank of 1:1.5 lies right on average; where the land is known at any place, the toe is where so much of it, mm,
     * is
     * left.
     */
    private const TOE_SHARE = 0.124;

    private const TOE_MM = 0.02;

    /** What is narrower than so many cells is looked at on finer ones, at most so many times. */
    private const MIN_CELLS_ACROSS = 2.5;

    private const MAX_REFINEMENT = 8;

    /** @var array<string, list<float>> */
    private array $fields = [];

    /** @var array<string, HeightMesh> */
    private array $known = [];

    private readonly ZoneWaters $waters;

    /** @var array<string, Outline> outlines here */
    private array $outlines = [];

    /** @var array<string, list<array{float, float, float}>> crowns here: middle and half width */
    private array $crowns = [];

    /**
     * @param  list<float>  $slopes degrees, at every value of the raster
     * @param  list<Run>  $runs in section coordinates
     * @param  array<string, Zone>  $zones uid → zone, of this section
     * @param  list<float>|null  $earth how much grading changed each cell of the land, mm; null where nothing is graded
     */
    public function __construct(
        private readonly HeightGrid $land,
        private readonly HeightMesh $mesh,
        private readonly array $slopes,
        private readonly float $width,
        private readonly float $depth,
        private readonly float $base,
        private readonly Placement $placement,
        private readonly array $runs,
        private readonly array $zones,
        private readonly float $northDeg,
        private readonly ?array $earth,
        private readonly ?LandModel $model = null,
        private readonly ?Steepness $steepness = null,
    ) {
        $this->waters = new ZoneWaters($model);
    }

    /** @throws InvalidValue when the zone goes by one that is not there, or that goes by it in turn */
    public function of(Zone $zone): ZoneField
    {
        $finer = $this->finer($zone);
        $fine =
            $finer === 1 ? $this->mesh : new HeightMesh(self::parted($this->mesh->xs, $finer), self::parted($this->mesh->ys, $finer), []);
        $values = $this->field($zone, [], $fine, $finer);

        return new ZoneField(
            new HeightMesh($fine->xs, $fine->ys, $values),
            fn (float $x, float $y): float => $this->at($zone, $x, $y),
            $finer,
        );
    }

    /** What a zone's rule says of a place. */
    private function at(Zone $zone, float $x, float $y): float
    {
        $least = 1e6;
        foreach ($this->conditions($zone) as [, , $at]) {
            $least = min($least, $at($x, $y));
        }
        foreach ($zone->within as $uid) {
            $least = min($least, $this->at($this->zones[$uid], $x, $y));
        }
        foreach ($zone->also as $uid) {
            $least = max($least, $this->at($this->zones[$uid], $x, $y));
        }
        foreach ($zone->without as $uid) {
            $least = min($least, -$this->at($this->zones[$uid], $x, $y));
        }

        return $least;
    }

    /**
     * @param  list<string>  $through zones that are being worked out
     * @param  HeightMesh  $fine on whose lines it is wanted
     * @return list<float>
     */
    private function field(Zone $zone, array $through, HeightMesh $fine, int $finer): array
    {
        $key = "{$finer}|{$zone->uid}";
        if (isset($this->fields[$key])) {
            return $this->fields[$key];
        }
        $field = array_fill(0, count($fine->xs) * count($fine->ys), 1e6);
        foreach ($this->conditions($zone) as [$what, $rule]) {
            $field = $this->least($field, array_map($rule, $this->spread($what, $fine, $finer)));
        }
        $through[] = $zone->uid;
        foreach ($zone->within as $uid) {
            $field = $this->least($field, $this->other($zone, $uid, $through, $fine, $finer));
        }
        foreach ($zone->also as $uid) {
            $field = array_map(fn (float $a, float $b): float => max($a, $b), $field, $this->other($zone, $uid, $through, $fine, $finer));
        }
        foreach ($zone->without as $uid) {
            $field = $this->least($field, array_map(fn (float $v): float => -$v, $this->other($zone, $uid, $through, $fine, $finer)));
        }

        return $this->fields[$key] = array_values($field);
    }

    /**
     * What a zone asks of the land: of which measure, what makes of its values a field that is positive inside, and that field at any
     * place.
     *
     * @return list<array{string, Closure(float): float, Closure(float, float): float}>
     */
    private function conditions(Zone $zone): array
    {
        $out = [];
        $ask = function (string $what, Closure $rule) use (&$out): void {
            $out[] = [$what, $rule, fn (float $x, float $y): float => $rule($this->measure($what, $x, $y))];
        };
        $same = fn (float $v): float => $v;
        $outline = $zone->outlineOn($this->placement);
        if ($outline !== null && $outline !== []) {
            $this->outlines["within {$zone->uid}"] = new Outline($outline);
            $ask("within {$zone->uid}", $same);
        }
        if ($zone->slope !== null) {
            [$from, $to] = $zone->slope;
            $ask('slope', fn (float $deg): float => min($from <= 0.0 ? 90.0 : $deg - $from, $to >= 90.0 ? 90.0 : $to - $deg));
        }
        if ($zone->near !== null) {
            ['run' => $uid, 'from' => $from, 'to' => $to] = $zone->near;
            $ask("near {$uid}", fn (float $mm): float => min($from <= 0.0 ? 1e6 : $mm - $from, $to - $mm));
        }
        if ($zone->height !== null) {
            [$from, $to] = $zone->height;
            $ask('height', fn (float $z): float => min($z - $this->base - $from, $to - ($z - $this->base)));
        }
        if ($zone->damp !== null) {
            $ask("damp {$zone->damp}", $same);
        }
        if ($zone->aspect !== null) {
            $ask($zone->aspect, $same);
        }
        if ($zone->made !== null) {
            $ask($zone->isInside() ? 'tunnel' : 'formation', $zone->made === 'bank' ? fn (float $inside): float => -$inside : $same);
        }
        if ($zone->made === 'bank') {
            $toe = $this->model === null ? self::TOE_SHARE * $this->land->cell : self::TOE_MM;
            $ask('earth', fn (float $mm): float => $mm - $toe);
        }
        if ($zone->water !== null) {
            $wide = $zone->shore;
            if ($wide === null) {
                $ask("water {$zone->water}", $same);
            } else {
                $ask("shore {$zone->water}", fn (float $beyond): float => min($beyond, $wide - $beyond));
            }
        }
        if ($zone->crowns !== null) {
            $this->crowns["shade {$zone->uid}"] = $this->crownsHere($zone->crowns);
            $ask("shade {$zone->uid}", $same);
        }

        return $out;
    }

    /** A measure at a place: as it is where the land is known there, else from the raster. */
    private function measure(string $what, float $x, float $y): float
    {
        return match (true) {
            isset($this->outlines[$what]) => $this->outlines[$what]->depth($x, $y),
            isset($this->crowns[$what]) => self::shadeAt($this->crowns[$what], $x, $y),
            str_starts_with($what, 'near ') => $this->distance(substr($what, 5), $x, $y),
            $what === 'formation' => $this->formation($x, $y),
            $what === 'tunnel' => $this->tunnel($x, $y),
            str_starts_with($what, 'water ') => $this->waters->under(substr($what, 6), $x, $y),
            str_starts_with($what, 'shore ') => $this->waters->beyond(substr($what, 6), $x, $y),
            $what === 'height' && $this->model !== null => $this->model->heightAt($x, $y),
            $what === 'slope' && $this->steepness !== null => rad2deg(atan($this->steepness->at($x, $y))),
            $what === 'earth' && $this->model !== null => abs($this->model->heightAt($x, $y) - $this->model->ground->at($x, $y)),
            default => $this->raster($what)->at($x, $y),
        };
    }

    /**
     * A measure on the lines of a mesh, spread evenly between the raster's own values.
     *
     * @return list<float>
     */
    private function spread(string $what, HeightMesh $fine, int $finer): array
    {
        if (isset($this->crowns[$what])) {
            return self::shade($this->crowns[$what], $fine);
        }
        $raster = $this->raster($what);
        if ($finer === 1) {
            return $raster->z;
        }
        $n = count($raster->xs);
        $out = [];
        foreach (array_keys($fine->ys) as $row) {
            [$j, $v] = [min(intdiv($row, $finer), count($raster->ys) - 2), $row];
            $v = ($row - $j * $finer) / $finer;
            for ($i = 0; $i < $n - 1; $i++) {
                $p = $j * $n + $i;
                $left = (1.0 - $v) * $raster->z[$p] + $v * $raster->z[$p + $n];
                $right = (1.0 - $v) * $raster->z[$p + 1] + $v * $raster->z[$p + $n + 1];
                for ($k = 0; $k < $finer; $k++) {
                    $out[] = $left + (($right - $left) * $k) / $finer;
                }
            }
            $out[] = (1.0 - $v) * $raster->z[$j * $n + $n - 1] + $v * $raster->z[($j + 1) * $n + $n - 1];
        }

        return $out;
    }

    private function raster(string $what): HeightMesh
    {
        return $this->known[$what] ??= new HeightMesh(
            $this->mesh->xs,
            $this->mesh->ys,
            match (true) {
                isset($this->outlines[$what]) => $this->over(
                    fn (float $x, float $y): float => $this->outlines[$what]->depth($x, $y),
                ),
                $what === 'slope' => $this->slopes,
                $what === 'height' => $this->mesh->z,
                $what === 'earth' => $this->earth === null ? array_fill(0, count($this->mesh->z), -1.0) : $this->onMesh($this->earth),
                $what === 'formation' => $this->over($this->formation(...)),
                $what === 'tunnel' => $this->over($this->tunnel(...)),
                str_starts_with($what, 'water ') => $this->over(
                    fn (float $x, float $y): float => $this->waters->under(substr($what, 6), $x, $y, $this->mesh->at($x, $y)),
                ),
                str_starts_with($what, 'shore ') => $this->over(
                    fn (float $x, float $y): float => $this->waters->beyond(substr($what, 6), $x, $y),
                ),
                str_starts_with($what, 'near ') => $this->over(fn (float $x, float $y): float => $this->distance(substr($what, 5), $x, $y)),
                str_starts_with($what, 'damp ') => $this->onMesh(LandClasses::dampField($this->land, (float) substr($what, 5))),
                default => $this->onMesh(
                    LandClasses::facingField($this->land, $this->northDeg - $this->placement->angleDeg + ($what === 'sun' ? 180.0 : 0.0)),
                ),
            },
        );
    }

    /** How many times finer than the land's a mesh has to be for what is narrow in a zone. */
    private function finer(Zone $zone): int
    {
        $widths = [];
        foreach (
            [
                $zone->near === null ? null : $zone->near['to'] - max(0.0, $zone->near['from']),
                $zone->height === null ? null : $zone->height[1] - $zone->height[0],
                $zone->shore,
                $zone->water === null ? null : $this->waters->width($zone->water),
            ] as $width
        ) {
            $widths[] = $width ?? INF;
        }
        foreach ($zone->crowns ?? [] as [, , $wide]) {
            $widths[] = $wide / 2.0;
        }
        $goesBy = array_map(
            fn (string $uid): int => isset($this->zones[$uid]) && $uid !== $zone->uid && $this->zones[$uid]->goesBy() === []
                ? $this->finer($this->zones[$uid])
                : 1,
            $zone->goesBy(),
        );

        return max(
            1,
            ...$goesBy,
            ...[min(self::MAX_REFINEMENT, (int) ceil((self::MIN_CELLS_ACROSS * $this->land->cell) / max(0.1, min($widths))))],
        );
    }

    /**
     * @param  list<float>  $lines
     * @return list<float> with so many gaps for each
     */
    private static function parted(array $lines, int $finer): array
    {
        $out = [];
        for ($k = 0; $k < count($lines) - 1; $k++) {
            for ($n = 0; $n < $finer; $n++) {
                $out[] = $lines[$k] + (($lines[$k + 1] - $lines[$k]) * $n) / $finer;
            }
        }

        return [...$out, $lines[count($lines) - 1]];
    }

    /**
     * The field of a zone that another goes by.
     *
     * @param  list<string>  $through
     * @return list<float>
     */
    private function other(Zone $zone, string $uid, array $through, HeightMesh $fine, int $finer): array
    {
        $other = $this->zones[$uid] ?? throw new InvalidValue("“{$zone->name}” goes by a zone that is not on its section.", 'without');
        if (in_array($uid, $through, true)) {
            throw new InvalidValue("“{$zone->name}” and “{$other->name}” go by each other.", 'without');
        }

        return $this->field($other, $through, $fine, $finer);
    }

    /**
     * @param  list<float>  $cells
     * @return list<float>
     */
    private function onMesh(array $cells): array
    {
        return $this->land->with($cells)->mesh($this->width, $this->depth)->z;
    }

    /** Distance of a place to a run or road, or to the nearest track of all. */
    private function distance(string $uid, float $x, float $y): float
    {
        $least = 1e5;
        foreach ($this->runs as $run) {
            if ($uid === '' ? $run->kind === RunKind::Track : $run->uid === $uid) {
                $least = min($least, abs($run->alignment->nearest(new Point($x, $y))['offset']));
            }
        }

        return $least;
    }

    /**
     * @param  callable(float, float): float  $value
     * @return list<float>
     */
    private function over(callable $value): array
    {
        $out = [];
        foreach ($this->mesh->ys as $y) {
            foreach ($this->mesh->xs as $x) {
                $out[] = $value($x, $y);
            }
        }

        return $out;
    }

    /**
     * @param  array<int, float>  $a
     * @param  array<int, float>  $b
     * @return array<int, float>
     */
    private function least(array $a, array $b): array
    {
        foreach ($b as $p => $value) {
            if ($value < $a[$p]) {
                $a[$p] = $value;
            }
        }

        return $a;
    }

    /** How far within a formation a place lies, mm. */
    private function formation(float $x, float $y): float
    {
        $most = -1e6;
        foreach ($this->runs as $run) {
            $near = $run->alignment->nearest(new Point($x, $y));
            $most = max($most, $run->profile->halfWidth(Side::at($near['offset'])) - abs($near['offset']));
        }

        return $most;
    }

    /** How far inside a tunnel a place lies, mm: from its portals and from the edges of the formation. */
    private function tunnel(float $x, float $y): float
    {
        $most = -1e6;
        foreach ($this->runs as $run) {
            foreach ($run->structures as $structure) {
                if ($structure->kind === StructureKind::Tunnel) {
                    $near = $run->alignment->nearest(new Point($x, $y));
                    $most = max($most, min(
                        $run->profile->halfWidth(Side::at($near['offset'])) - abs($near['offset']),
                        $near['station'] - $structure->from,
                        $structure->to - $near['station'],
                    ));
                }
            }
        }

        return $most;
    }

    /** @param  list<array{float, float, float}>  $crowns */
    private static function shadeAt(array $crowns, float $x, float $y): float
    {
        $most = -1e6;
        foreach ($crowns as [$cx, $cy, $r]) {
            $most = max($most, $r - hypot($x - $cx, $y - $cy));
        }

        return $most;
    }

    /**
     * @param  list<array{float, float, float}>  $crowns layout coordinates and diameter
     * @return list<array{float, float, float}> here, and half of it
     */
    private function crownsHere(array $crowns): array
    {
        return array_map(function (array $c): array {
            $p = $this->placement->toSection(new Point($c[0], $c[1]));

            return [$p->x, $p->y, $c[2] / 2.0];
        }, $crowns);
    }

    /**
     * How far within the shade of a crown every place of a mesh lies, mm; out of its surroundings it is only dark nowhere.
     *
     * @param  list<array{float, float, float}>  $crowns
     * @return list<float>
     */
    private static function shade(array $crowns, HeightMesh $mesh): array
    {
        [$xs, $ys] = [$mesh->xs, $mesh->ys];
        $n = count($xs);
        $out = array_fill(0, $n * count($ys), -10.0);
        foreach ($crowns as [$cx, $cy, $r]) {
            $reach = $r + 10.0;
            for ($j = Sorted::gap($ys, $cy - $reach); $j < count($ys) && $ys[$j] <= $cy + $reach; $j++) {
                for ($i = Sorted::gap($xs, $cx - $reach); $i < $n && $xs[$i] <= $cx + $reach; $i++) {
                    $out[$j * $n + $i] = max($out[$j * $n + $i], $r - hypot($xs[$i] - $cx, $ys[$j] - $cy));
                }
            }
        }

        return array_values($out);
    }
}
