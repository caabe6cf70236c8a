<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\CellCoverage;
use IdleRidge\Core\Geometry\Contours;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\LineSimplifier;
use IdleRidge\Core\Geometry\Polygon;

/** The land divided by how steep it is, where it is damp, and which way it faces. */
final class LandClasses
{
    /** Limits of the slope classes, degrees: a meadow, a bank, what loose soil rests at, rock. */
    public const SLOPE_CLASSES_DEG = [10.0, 20.0, 34.0, 45.0];

    /** The wettest share of a board counts as damp. */
    public const DAMP_SHARE = 0.15;

    /** Land flatter than this faces nowhere; what faces a direction lies within so many degrees of it. */
    private const FLAT_DEG = 5.0;

    private const SUN_WITHIN_DEG = 60.0;

    /** Specks smaller than this are left out of the outlines, mm². */
    private const MAX_SPECK_MM2 = 150.0;

    /** @return list<LandClass> from the flattest to the steepest; they add up to the whole land */
    public static function slopes(HeightGrid $land, float $width, float $depth): array
    {
        $mesh = $land->mesh($width, $depth);
        $field = $land->with(self::smooth($land, $land->slopes()))->mesh($width, $depth);
        $above = [self::of($mesh, '', [[[0.0, 0.0], [$width, 0.0], [$width, $depth], [0.0, $depth]]])];
        foreach (self::SLOPE_CLASSES_DEG as $limit) {
            $above[] = self::level($mesh, $field, '', $limit);
        }
        $out = [];
        foreach ($above as $k => $class) {
            $name = match (true) {
                $k === 0 => 'under '.self::SLOPE_CLASSES_DEG[0].'°',
                $k === count(self::SLOPE_CLASSES_DEG) => self::SLOPE_CLASSES_DEG[$k - 1].'° and steeper',
                default => self::SLOPE_CLASSES_DEG[$k - 1].'–'.self::SLOPE_CLASSES_DEG[$k].'°',
            };
            $out[] = new LandClass($name, $class->rings, $class->area - ($above[$k + 1]->area ?? 0.0));
        }

        return $out;
    }

    /** @return list<LandClass> */
    public static function damp(HeightGrid $land, float $width, float $depth, float $share = self::DAMP_SHARE): array
    {
        return [self::level($land->mesh($width, $depth), $land->with(self::dampField($land, $share))->mesh($width, $depth), 'damp', 0.0)];
    }

    /** @return list<float> for each cell by how much it is wetter than the limit of the wettest share; positive is damp */
    public static function dampField(HeightGrid $land, float $share = self::DAMP_SHARE): array
    {
        $index = self::smooth($land, Wetness::index($land));
        $sorted = $index;
        sort($sorted);
        $limit = $sorted[min(count($sorted) - 1, (int) floor((1.0 - $share) * count($sorted)))];

        return array_map(fn (float $v): float => $v - $limit, $index);
    }

    /**
     * @param  float  $northDeg direction of north on the plan, degrees from x, counter-clockwise
     * @return list<LandClass> the sun side, which faces south, and what faces north
     */
    public static function sun(HeightGrid $land, float $width, float $depth, float $northDeg): array
    {
        $out = [];
        foreach (['sun side' => $northDeg + 180.0, 'north-facing' => $northDeg] as $name => $toward) {
            $out[] = self::level(
                $land->mesh($width, $depth),
                $land->with(self::facingField($land, $toward))->mesh($width, $depth),
                $name,
                0.0,
            );
        }

        return $out;
    }

    /**
     * @param  float  $toward degrees from x, counter-clockwise
     * @return list<float> for each cell, positive where it faces there
     */
    public static function facingField(HeightGrid $land, float $toward): array
    {
        $slopes = $land->slopes();
        $field = [];
        foreach (self::facing($land) as $p => $deg) {
            $off = abs(fmod($deg - $toward + 900.0, 360.0) - 180.0);
            $field[] = min(self::SUN_WITHIN_DEG - $off, 4.0 * ($slopes[$p] - self::FLAT_DEG));
        }

        return $field;
    }

    /**
     * Where a field of values reaches a limit.
     *
     * @param  list<float>  $field
     * @return list<LandClass>
     */
    public static function where(HeightGrid $land, float $width, float $depth, array $field, string $name, float $limit): array
    {
        return [self::level($land->mesh($width, $depth), $land->with($field)->mesh($width, $depth), $name, $limit)];
    }

    /** @return list<float> the direction in which each cell falls, degrees from x */
    private static function facing(HeightGrid $land): array
    {
        [$n, $m, $z] = [$land->cols, $land->rows, $land->values];
        $out = [];
        for ($j = 0; $j < $m; $j++) {
            for ($i = 0; $i < $n; $i++) {
                $gx = ($z[$j * $n + min($n - 1, $i + 1)] - $z[$j * $n + max(0, $i - 1)]) / (min($n - 1, $i + 1) - max(0, $i - 1));
                $gy = ($z[min($m - 1, $j + 1) * $n + $i] - $z[max(0, $j - 1) * $n + $i]) / (min($m - 1, $j + 1) - max(0, $j - 1));
                $out[] = rad2deg(atan2(-$gy, -$gx));
            }
        }

        return $out;
    }

    /**
     * Mean of three by three cells, so that outlines do not follow every stair of the raster.
     *
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function smooth(HeightGrid $land, array $values): array
    {
        [$n, $m] = [$land->cols, $land->rows];
        $out = [];
        for ($j = 0; $j < $m; $j++) {
            for ($i = 0; $i < $n; $i++) {
                $sum = 0.0;
                $count = 0;
                for ($v = max(0, $j - 1); $v <= min($m - 1, $j + 1); $v++) {
                    for ($u = max(0, $i - 1); $u <= min($n - 1, $i + 1); $u++) {
                        $sum += $values[$v * $n + $u];
                        $count++;
                    }
                }
                $out[] = $sum / $count;
            }
        }

        return $out;
    }

    private static function level(HeightMesh $land, HeightMesh $field, string $name, float $level): LandClass
    {
        $rings = array_filter(
            Contours::of($field, [$level])[0]->rings ?? [],
            fn (array $ring): bool => abs(Polygon::area($ring)) >= self::MAX_SPECK_MM2,
        );

        return self::of($land, $name, array_values(array_map(fn (array $ring): array => LineSimplifier::line($ring, 0.8, true), $rings)));
    }

    /** @param  list<list<array{float, float}>>  $rings */
    private static function of(HeightMesh $land, string $name, array $rings): LandClass
    {
        $n = count($land->xs);
        $area = 0.0;
        foreach (CellCoverage::of($rings, $land->xs, $land->ys) as $cell => $share) {
            [$i, $j] = [$cell % ($n - 1), intdiv($cell, $n - 1)];
            $p = $j * $n + $i;
            $area +=
                $share *
                HeightMesh::cellSurface(
                    $land->xs[$i + 1] - $land->xs[$i],
                    $land->ys[$j + 1] - $land->ys[$j],
                    $land->z[$p],
                    $land->z[$p + 1],
                    $land->z[$p + $n],
                    $land->z[$p + $n + 1],
                );
        }

        return new LandClass($name, $rings, $area);
    }
}
