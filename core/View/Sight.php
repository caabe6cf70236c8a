<?php

declare(strict_types=1);

namespace IdleRidge\Core\View;

use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\StructureKind;

/**
 * What can be seen of a land from some eyes. A place is seen when neither land nor a crown stands on the straight line from it to an eye;
 * heights along the line are read between the values on either side of it, not from the nearest. Section coordinates, mm.
 *
 * Method: the line of sight of P. Fisher, "Algorithm and implementation uncertainty in viewshed analysis", International
 * Journal of Geographical Information Systems 7 (1993).
 */
final readonly class Sight
{
    /** Land so little over the line does not count, mm: the raster's own roughness. */
    private const RASTER_TOLERANCE_MM = 0.05;

    /** What runs on a track is looked for so far over the rails, mm. */
    private const OVER_RAILS_MM = 15.0;

    private const STEP_MM = 10.0;

    /** Crowns are looked for by their direction from an eye, so many to a full turn. */
    private const DIRECTIONS = 720;

    /** @var array<int, array<int, list<Crown>>> eye → direction → crowns that lie in it */
    private array $crowns;

    /**
     * @param  non-empty-list<array{float, float, float}>  $eyes x, y, z
     * @param  list<Crown>  $crowns
     */
    public function __construct(private HeightGrid $land, private array $eyes, array $crowns = [])
    {
        $by = [];
        foreach ($eyes as $k => [$ex, $ey]) {
            foreach ($crowns as $crown) {
                $away = hypot($crown->x - $ex, $crown->y - $ey);
                $half = $away > $crown->radius ? asin($crown->radius / $away) : M_PI;
                $middle = atan2($crown->y - $ey, $crown->x - $ex);
                for ($d = self::direction($middle - $half, false); $d <= self::direction($middle + $half, false); $d++) {
                    $by[$k][($d + self::DIRECTIONS) % self::DIRECTIONS][] = $crown;
                }
            }
        }
        $this->crowns = $by;
    }

    private static function direction(float $angle, bool $wrapped = true): int
    {
        $d = (int) floor((($angle + M_PI) / (2.0 * M_PI)) * self::DIRECTIONS);

        return $wrapped ? ($d + self::DIRECTIONS) % self::DIRECTIONS : $d;
    }

    /**
     * Which values of the raster are seen from any eye.
     *
     * @return list<bool> row by row
     */
    public function cells(): array
    {
        $off = $this->land->onNodes ? 0.0 : 0.5;
        $out = [];
        for ($j = 0; $j < $this->land->rows; $j++) {
            for ($i = 0; $i < $this->land->cols; $i++) {
                $out[] = $this->sees(
                    $this->land->x0 + ($i + $off) * $this->land->cell,
                    $this->land->y0 + ($j + $off) * $this->land->cell,
                    $this->land->values[$j * $this->land->cols + $i],
                );
            }
        }

        return $out;
    }

    /** Share of the land's plan that is seen, 0 … 1. */
    public function share(): float
    {
        $seen = $this->cells();

        return count(array_filter($seen)) / count($seen);
    }

    /** Share of a run between two stations that is seen, 0 … 1; in tunnels none is. */
    public function shareOfRun(Run $run, float $from, float $to): float
    {
        $parts = max(1, (int) ceil(($to - $from) / self::STEP_MM));
        $seen = 0;
        for ($k = 0; $k < $parts; $k++) {
            $station = $from + (($to - $from) * ($k + 0.5)) / $parts;
            $p = $run->alignment->pointAt($station);
            $seen +=
                $run->structureAt($station)?->kind !== StructureKind::Tunnel &&
                $this->sees($p->x, $p->y, $run->grade->heightAt($station) + $run->profile->railTop() + self::OVER_RAILS_MM)
                    ? 1
                    : 0;
        }

        return $seen / $parts;
    }

    public function sees(float $x, float $y, float $z): bool
    {
        foreach ($this->eyes as $k => [$ex, $ey, $ez]) {
            if (! $this->isBehindCrown($k, $x, $y, $z) && $this->clear($x, $y, $z, $ex, $ey, $ez)) {
                return true;
            }
        }

        return false;
    }

    private function isBehindCrown(int $eye, float $x, float $y, float $z): bool
    {
        if ($this->crowns === []) {
            return false;
        }
        [$ex, $ey, $ez] = $this->eyes[$eye];
        foreach ($this->crowns[$eye][self::direction(atan2($y - $ey, $x - $ex))] ?? [] as $crown) {
            if ($crown->blocks($x, $y, $z, $ex, $ey, $ez)) {
                return true;
            }
        }

        return false;
    }

    /** The line is held against the land wherever it crosses a row or a column of values: no ridge between two steps is missed. */
    private function clear(float $x, float $y, float $z, float $ex, float $ey, float $ez): bool
    {
        $off = $this->land->onNodes ? 0.0 : 0.5;
        [$cols, $rows, $values, $cell] = [$this->land->cols, $this->land->rows, $this->land->values, $this->land->cell];
        [$u, $v] = [($x - $this->land->x0) / $cell - $off, ($y - $this->land->y0) / $cell - $off];
        [$du, $dv, $dz] = [($ex - $x) / $cell, ($ey - $y) / $cell, $ez - $z];
        // Rows of values, then columns: the other place on the row, and how far apart its neighbours are kept.
        foreach (
            [
                [$v, $dv, $rows, $u, $du, $cols, $cols, 1],
                [$u, $du, $cols, $v, $dv, $rows, 1, $cols],
            ] as [$at, $step, $count, $other, $aside, $across, $stride, $next]
        ) {
            if (abs($step) < 1e-12) {
                continue;
            }
            $last = (int) min($count - 1, floor(max($at, $at + $step)));
            for ($k = (int) max(0, ceil(min($at, $at + $step))); $k <= $last; $k++) {
                $t = ($k - $at) / $step;
                $place = $other + $t * $aside;
                if ($t < 1e-6 || $place < -0.5 || $place > $across - 0.5) {
                    continue;
                }
                // The strip half a cell wide along the edge goes on as the values beside it.
                $place = max(0.0, min($across - 1.0, $place));
                $i = min($across - 2, (int) $place);
                $p = $k * $stride + $i * $next;
                $height = $values[$p] + ($place - $i) * ($values[$p + $next] - $values[$p]);
                if ($height > $z + $t * $dz + self::RASTER_TOLERANCE_MM) {
                    return false;
                }
            }
        }

        return true;
    }
}
