<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Land\Graded;
use IdleRidge\Core\Land\Grading;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Terrain;

/**
 * The land less its skin, on a raster and at any place: lowered by `t·√(1 + |∇z|²)`, at most three times t. What grading made has the
 * slope it was made with, right up to its edges; at the foot of a cutting the skin lies round the corner, `√(t² − d²)` under the formation
 * at d from its edge, so that it does not step there.
 */
final readonly class SkinnedLand
{
    private const MOST = 3.0;

    /** Natural slopes are read over this, mm. */
    private const STEP = 0.5;

    public function __construct(private LandModel $model, private float $skin)
    {
    }

    public function at(float $x, float $y): float
    {
        $ground = $this->model->ground->at($x, $y);
        $at = $this->model->grading->at($x, $y, $ground);
        if ($this->skin <= 0.0) {
            return $at->height ?? $ground;
        }

        return $at === null ? $ground - $this->natural($x, $y, $ground) : $at->height - $this->under($at);
    }

    public function grid(Terrain $terrain): HeightGrid
    {
        if ($this->skin <= 0.0) {
            return $terrain->grid();
        }
        $thick = FoamStack::skin($terrain->grid(), $this->skin);
        foreach ($terrain->graded as $p => $at) {
            $thick[$p] = $this->under($at);
        }

        return $terrain->grid()->less(array_values($thick));
    }

    private function under(Graded $at): float
    {
        $run = $this->model->grading->runs[$at->run];
        $left = $at->offset >= 0.0;
        $grade = $run->grade->gradeAt($at->station) / 100.0;
        $steep = match (true) {
            $at->kind === Grading::FORMATION => 0.0,
            $run->wallAt($at->station, $left) => Grading::STEEP,
            $at->kind === Grading::CUT => 1.0 / $run->profile->batterInCut($left),
            default => 1.0 / $run->profile->batterInFill($left),
        };
        $beyond = abs($at->offset) - $run->profile->halfWidth($left);
        if ($at->kind === Grading::CUT && $beyond < $this->skin * $steep / sqrt(1.0 + $steep * $steep)) {
            return $steep * $beyond + sqrt($this->skin ** 2 - $beyond ** 2);
        }

        return $this->skin * min(self::MOST, sqrt(1.0 + $steep * $steep + $grade * $grade));
    }

    private function natural(float $x, float $y, float $ground): float
    {
        $gradient = function (float $dx, float $dy) use ($x, $y, $ground): float {
            $before = ($ground - $this->model->ground->at($x - $dx, $y - $dy)) / self::STEP;
            $after = ($this->model->ground->at($x + $dx, $y + $dy) - $ground) / self::STEP;

            return abs($before) < abs($after) ? $before : $after;
        };
        [$gx, $gy] = [$gradient(self::STEP, 0.0), $gradient(0.0, self::STEP)];

        return $this->skin * min(self::MOST, sqrt(1.0 + $gx * $gx + $gy * $gy));
    }
}
