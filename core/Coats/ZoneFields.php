<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Land\LandClasses;
use IdleRidge\Core\Measure\Refusal;
use IdleRidge\Core\Track\Run;

/** What the rules of zones say of a section's land, as fields over its raster: positive inside. */
final class ZoneFields
{
    /**
     * Where earth comes to nothing between two cells a straight line from one to the other reaches too far out. Against so much
     * of a cell the toe of a bank of 1:1.5 lies right on average.
     */
    private const TOE = 0.124;

    /** @var array<string, list<float>> */
    private array $fields = [];

    /**
     * @param list<float> $slopes degrees, at every value of the raster
     * @param list<Run> $runs in section coordinates
     * @param array<string, Zone> $zones uid → zone, of this section
     * @param list<float>|null $earth how much grading changed each cell of the land, mm; null where nothing is graded
     */
    public function __construct(private readonly HeightGrid $land, private readonly HeightMesh $mesh, private readonly array $slopes, private readonly float $width, private readonly float $depth, private readonly float $base, private readonly Placement $placement, private readonly array $runs, private readonly array $zones, private readonly float $northDeg, private readonly ?array $earth)
    {
    }

    /**
     * @return list<float>
     *
     * @throws Refusal when the zone goes by one that is not there, or that goes by it in turn
     */
    public function of(Zone $zone): array
    {
        return $this->field($zone, []);
    }

    /**
     * @param list<string> $through zones that are being worked out
     * @return list<float>
     */
    private function field(Zone $zone, array $through): array
    {
        if (isset($this->fields[$zone->uid])) {
            return $this->fields[$zone->uid];
        }
        $field = array_fill(0, count($this->mesh->z), 1e6);
        $outline = $zone->outlineOn($this->placement);
        if ($outline !== null) {
            $field = $this->least($field, $this->over(fn (float $x, float $y): float => Polygon::depth($outline, $x, $y)));
        }
        if ($zone->slope !== null) {
            [$from, $to] = $zone->slope;
            $field = $this->least($field, array_map(fn (float $deg): float => min($from <= 0.0 ? 90.0 : $deg - $from, $to >= 90.0 ? 90.0 : $to - $deg), $this->slopes));
        }
        if ($zone->near !== null) {
            ['run' => $uid, 'from' => $from, 'to' => $to] = $zone->near;
            $away = $this->distance($uid);
            $field = $this->least($field, array_map(fn (float $mm): float => min($from <= 0.0 ? 1e6 : $mm - $from, $to - $mm), $away));
        }
        if ($zone->height !== null) {
            [$from, $to] = $zone->height;
            $field = $this->least($field, array_map(fn (float $z): float => min($z - $this->base - $from, $to - ($z - $this->base)), $this->mesh->z));
        }
        if ($zone->damp !== null) {
            $field = $this->least($field, $this->onMesh(LandClasses::dampField($this->land, $zone->damp)));
        }
        if ($zone->aspect !== null) {
            $field = $this->least($field, $this->onMesh(LandClasses::facingField($this->land, $this->northDeg - $this->placement->angleDeg + ($zone->aspect === 'sun' ? 180.0 : 0.0))));
        }
        if ($zone->made !== null) {
            $formation = $this->formation();
            $earth = $zone->made === 'formation' || $this->earth === null ? null : $this->onMesh($this->earth);
            $field = $this->least($field, match (true) {
                $zone->made === 'formation' => $formation,
                $earth === null => array_fill(0, count($formation), -1.0),
                default => array_map(fn (float $mm, float $inside): float => min($mm - self::TOE * $this->land->cell, -$inside), $earth, $formation),
            });
        }
        if ($zone->crowns !== null) {
            $field = $this->least($field, $this->shade($zone->crowns));
        }
        $through[] = $zone->uid;
        foreach ($zone->within as $uid) {
            $field = $this->least($field, $this->other($zone, $uid, $through));
        }
        foreach ($zone->also as $uid) {
            $field = array_map(fn (float $a, float $b): float => max($a, $b), $field, $this->other($zone, $uid, $through));
        }
        foreach ($zone->without as $uid) {
            $field = $this->least($field, array_map(fn (float $v): float => -$v, $this->other($zone, $uid, $through)));
        }

        return $this->fields[$zone->uid] = $field;
    }

    /**
     * The field of a zone that another goes by.
     *
     * @param list<string> $through
     * @return list<float>
     */
    private function other(Zone $zone, string $uid, array $through): array
    {
        $other = $this->zones[$uid] ?? throw new Refusal("“{$zone->name}” goes by a zone that is not on its section.", 'without');
        if (in_array($uid, $through, true)) {
            throw new Refusal("“{$zone->name}” and “{$other->name}” go by each other.", 'without');
        }

        return $this->field($other, $through);
    }

    /**
     * @param list<float> $cells
     * @return list<float>
     */
    private function onMesh(array $cells): array
    {
        return $this->land->with($cells)->mesh($this->width, $this->depth)->z;
    }

    /** @return list<float> distance to a run or road, or to the nearest track of all, at every value of the raster */
    private function distance(?string $uid): array
    {
        $runs = array_values(array_filter($this->runs, fn (Run $run): bool => $uid === null ? $run->kind === 'track' : $run->uid === $uid));

        return $this->over(function (float $x, float $y) use ($runs): float {
            $least = 1e5;
            foreach ($runs as $run) {
                $least = min($least, abs($run->alignment->nearest(new Point($x, $y))['offset']));
            }

            return $least;
        });
    }

    /**
     * @param callable(float, float): float $value
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
     * @param list<float> $a
     * @param list<float> $b
     * @return list<float>
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

    /**
     * How far within a formation every value lies, mm.
     *
     * @return list<float>
     */
    private function formation(): array
    {
        return $this->over(function (float $x, float $y): float {
            $most = -1e6;
            foreach ($this->runs as $run) {
                $near = $run->alignment->nearest(new Point($x, $y));
                $most = max($most, $run->profile->halfWidth($near['offset'] >= 0.0) - abs($near['offset']));
            }

            return $most;
        });
    }

    /**
     * How far within the shade of a crown every value lies, mm.
     *
     * @param list<array{float, float, float}> $crowns layout coordinates and diameter
     * @return list<float>
     */
    private function shade(array $crowns): array
    {
        $here = array_map(function (array $c): array {
            $p = $this->placement->toSection(new Point($c[0], $c[1]));

            return [$p->x, $p->y, $c[2] / 2.0];
        }, $crowns);

        return $this->over(function (float $x, float $y) use ($here): float {
            $most = -1e6;
            foreach ($here as [$cx, $cy, $r]) {
                $most = max($most, $r - hypot($x - $cx, $y - $cy));
            }

            return $most;
        });
    }
}
