<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Land\Graded;
use IdleRidge\Core\Land\Grading;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Steepness;
use IdleRidge\Core\Land\Terrain;
use IdleRidge\Core\Measure\Side;

/**
 * The land less its skin, on a raster and at any place: lowered by `t·√(1 + |∇z|²)`, at most three times t. What grading made has the
 * slope it was made with, right up to its edges; at the foot of a cutting the skin lies round the corner, `√(t² − d²)` under the formation
 * at d from its edge, so that it does not step there.
 */
final readonly class SkinnedLand
{
    private const MAX_SKIN_FACTOR = 3.0;

    private Steepness $steepness;

    public function __construct(private LandModel $model, private float $skin)
    {
        $this->steepness = new Steepness($model);
    }

    public function at(float $x, float $y): float
    {
        $ground = $this->model->ground->at($x, $y);
        $at = $this->model->grading->at($x, $y, $ground);
        if ($this->skin <= 0.0) {
            return $at->height ?? $ground;
        }

        return $at === null
            ? $ground - $this->skin * min(self::MAX_SKIN_FACTOR, hypot(1.0, $this->steepness->natural($x, $y, $ground)))
            : $at->height - $this->under($at);
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
        $batter = $this->steepness->batter($at);
        $beyond = abs($at->offset) - $this->model->grading->runs[$at->run]->profile->halfWidth(Side::at($at->offset));
        if ($at->kind === Grading::CUT && $beyond < ($this->skin * $batter) / hypot(1.0, $batter)) {
            return $batter * $beyond + sqrt($this->skin ** 2 - $beyond ** 2);
        }

        return $this->skin * min(self::MAX_SKIN_FACTOR, hypot(1.0, $this->steepness->made($at)));
    }
}
