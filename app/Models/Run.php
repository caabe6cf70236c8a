<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property int $layout_id
 * @property int $position
 * @property string $kind
 * @property float $x_mm
 * @property float $y_mm
 * @property float $heading_deg
 * @property list<array{kind: string, length_mm?: float, radius_mm?: float, angle_deg?: float, from_radius_mm?: float,
 *     to_radius_mm?: float}> $elements
 * @property float $start_height_mm
 * @property list<array{station_mm: float, height_mm: float, curve_mm?: float}> $grade_points
 * @property array<string, float> $profile
 * @property list<array{kind: string, from_mm: float, to_mm: float, deck_mm?: float, piers?: int, lining_mm?: float,
 *     inside_mm?: float}> $structures
 */
final class Run extends Record
{
    protected $casts = [
        'x_mm' => 'float',
        'y_mm' => 'float',
        'heading_deg' => 'float',
        'elements' => 'array',
        'start_height_mm' => 'float',
        'grade_points' => 'array',
        'profile' => 'array',
        'structures' => 'array',
    ];
}
