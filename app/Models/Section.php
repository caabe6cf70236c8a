<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property int $layout_id
 * @property int $position
 * @property float $width_mm
 * @property float $depth_mm
 * @property float $x_mm
 * @property float $y_mm
 * @property float $angle_deg
 * @property float $base_mm
 * @property array<string, string> $typed
 * @property array<string, list<array{float, float}>> $edges
 * @property string|null $room
 * @property bool $runs_on
 * @property list<array{until: string, room: string}> $stood
 * @property list<array<string, float>> $foam_stands
 */
final class Section extends Record
{
    protected $casts = [
        'width_mm' => 'float', 'depth_mm' => 'float', 'x_mm' => 'float', 'y_mm' => 'float',
        'angle_deg' => 'float', 'base_mm' => 'float', 'typed' => 'array', 'edges' => 'array', 'runs_on' => 'bool', 'stood' => 'array',
        'foam_stands' => 'array',
    ];
}
