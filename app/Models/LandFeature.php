<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property int $layout_id
 * @property int $position
 * @property string $kind
 * @property float|null $depth_mm
 * @property float|null $shore_mm
 * @property list<array{x_mm: float, y_mm: float, z_mm: float}> $points
 */
final class LandFeature extends Record
{
    protected $casts = ['points' => 'array', 'depth_mm' => 'float', 'shore_mm' => 'float'];
}
