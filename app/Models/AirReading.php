<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What a logger showed in a room. Readings come in by themselves: they are no revision and are not undone.
 *
 * @property int $layout_id
 * @property string $room
 * @property int $at minutes of Unix time
 * @property float $temperature
 * @property float $humidity
 */
final class AirReading extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['temperature' => 'float', 'humidity' => 'float'];
}
