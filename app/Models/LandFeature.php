<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property int $layout_id
 * @property int $position
 * @property string $kind
 * @property array<string, float> $figures
 * @property list<array{x_mm: float, y_mm: float, z_mm: float}> $points
 */
final class LandFeature extends Record
{
    protected $casts = ['points' => 'array', 'figures' => 'array'];
}
