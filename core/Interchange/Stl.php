<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Geometry\HeightMesh;

/**
 * Land as a closed solid, binary STL, mm: the surface above, a flat floor below, walls between, every edge shared by two
 * triangles and all of them seen counter-clockwise from outside.
 */
final class Stl
{
    /** Where land lies below the board's top, its floor lies so far under the lowest place, mm. */
    private const UNDER = 1.0;

    /** @param  float  $base the board's top, on which it stands */
    public static function ofLand(HeightMesh $land, float $base): string
    {
        $lowest = min($land->z);

        return self::solid($land, $lowest < $base ? $lowest - self::UNDER : $base);
    }

    public static function solid(HeightMesh $land, float $floor): string
    {
        [$n, $m] = [count($land->xs), count($land->ys)];
        $triangles = [];
        $top = fn (int $i, int $j): array => [$land->xs[$i], $land->ys[$j], max($floor + 0.1, $land->z[$j * $n + $i])];
        $foot = fn (int $i, int $j): array => [$land->xs[$i], $land->ys[$j], $floor];
        for ($j = 0; $j < $m - 1; $j++) {
            for ($i = 0; $i < $n - 1; $i++) {
                [$a, $b, $c, $d] = [$top($i, $j), $top($i + 1, $j), $top($i + 1, $j + 1), $top($i, $j + 1)];
                array_push($triangles, [$a, $b, $c], [$a, $c, $d]);
                [$a, $b, $c, $d] = [$foot($i, $j), $foot($i + 1, $j), $foot($i + 1, $j + 1), $foot($i, $j + 1)];
                array_push($triangles, [$a, $c, $b], [$a, $d, $c]);
            }
        }
        $wall = function (array $a, array $b) use (&$triangles, $top, $foot): void {
            array_push($triangles, [$foot(...$a), $foot(...$b), $top(...$b)], [$foot(...$a), $top(...$b), $top(...$a)]);
        };
        for ($i = 0; $i < $n - 1; $i++) {
            $wall([$i, 0], [$i + 1, 0]);
            $wall([$i + 1, $m - 1], [$i, $m - 1]);
        }
        for ($j = 0; $j < $m - 1; $j++) {
            $wall([$n - 1, $j], [$n - 1, $j + 1]);
            $wall([0, $j + 1], [0, $j]);
        }

        return str_pad('Idle Ridge, land, mm', 80).pack('V', count($triangles)).implode('', array_map(self::packed(...), $triangles));
    }

    /** @param  array{array{float, float, float}, array{float, float, float}, array{float, float, float}}  $t */
    private static function packed(array $t): string
    {
        [[$ax, $ay, $az], [$bx, $by, $bz], [$cx, $cy, $cz]] = $t;
        [$ux, $uy, $uz, $vx, $vy, $vz] = [$bx - $ax, $by - $ay, $bz - $az, $cx - $ax, $cy - $ay, $cz - $az];
        [$nx, $ny, $nz] = [$uy * $vz - $uz * $vy, $uz * $vx - $ux * $vz, $ux * $vy - $uy * $vx];
        $length = max(1e-12, sqrt($nx * $nx + $ny * $ny + $nz * $nz));

        return pack('g12v', $nx / $length, $ny / $length, $nz / $length, $ax, $ay, $az, $bx, $by, $bz, $cx, $cy, $cz, 0);
    }
}
