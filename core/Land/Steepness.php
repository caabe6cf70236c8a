<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Measure\Side;

/**
 * How steep land is, rise over run: what grading made as it was made, right up to its edges; natural ground by the gentler of its slopes
 * to either side, so that a wall or the crown of a bank says nothing of the ground beside it.
 */
final readonly class Steepness
{
    /** Natural slopes are read over this, mm. */
    private const STEP_MM = 0.5;

    /** Where heights on a raster bend by more than this the slope is read closely, mm. */
    private const MAX_BEND_MM = 0.1;

    public function __construct(private LandModel $model)
    {
    }

    public function at(float $x, float $y): float
    {
        $ground = $this->model->ground->at($x, $y);
        $at = $this->model->grading->at($x, $y, $ground);

        return $at === null ? $this->natural($x, $y, $ground) : $this->made($at);
    }

    public function made(Graded $at): float
    {
        return hypot($this->batter($at), $this->grade($at));
    }

    /** Across the run alone. */
    public function batter(Graded $at): float
    {
        $run = $this->model->grading->runs[$at->run];
        $side = Side::at($at->offset);

        return match (true) {
            $at->kind === Grading::FORMATION => 0.0,
            $run->wallAt($at->station, $side) => Grading::MAX_SLOPE,
            $at->kind === Grading::CUT => 1.0 / $run->profile->batterInCut($side),
            default => 1.0 / $run->profile->batterInFill($side),
        };
    }

    /** Along the run. */
    public function grade(Graded $at): float
    {
        return $this->model->grading->runs[$at->run]->grade->gradeAt($at->station) / 100.0;
    }

    public function natural(float $x, float $y, float $ground): float
    {
        $gradient = function (float $dx, float $dy) use ($x, $y, $ground): float {
            $before = ($ground - $this->model->ground->at($x - $dx, $y - $dy)) / self::STEP_MM;
            $after = ($this->model->ground->at($x + $dx, $y + $dy) - $ground) / self::STEP_MM;

            return abs($before) < abs($after) ? $before : $after;
        };

        return hypot($gradient(self::STEP_MM, 0.0), $gradient(0.0, self::STEP_MM));
    }

    /** @return list<float> degrees at every value of a terrain's raster */
    public function raster(Terrain $terrain): array
    {
        $out = $terrain->grid()->slopes();
        $bends = self::bends($terrain->grid());
        foreach ($out as $p => $deg) {
            $graded = $terrain->graded[$p] ?? null;
            if ($graded !== null) {
                $out[$p] = rad2deg(atan($this->made($graded)));
            } elseif (isset($bends[$p])) {
                $out[$p] = rad2deg(atan($this->natural(...[...$terrain->middle($p), $terrain->ground[$p]])));
            }
        }

        return array_values($out);
    }

    /** @return array<int, true> values at or beside which heights bend sharply */
    private static function bends(HeightGrid $land): array
    {
        [$n, $z] = [$land->cols, $land->values];
        $out = [];
        foreach ($z as $p => $height) {
            $i = $p % $n;
            foreach ([[1, $i > 0 && $i < $n - 1], [$n, $p >= $n && $p < $n * ($land->rows - 1)]] as [$step, $between]) {
                if ($between && abs($z[$p - $step] - 2.0 * $height + $z[$p + $step]) > self::MAX_BEND_MM) {
                    $out += [$p => true, $p - $step => true, $p + $step => true];
                }
            }
        }

        return $out;
    }
}
