<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * An address that the builder gave for a room's logger or the scale at the bench, or agreed to.
 *
 * @property int $layout_id
 * @property string $room
 * @property string $address
 */
final class TrustedLogger extends Model
{
    /** What stands for a room where the address is that of the scale at the bench. */
    public const SCALE = 'scale';

    public $timestamps = false;

    protected $guarded = [];

    public static function scale(Layout $layout): ?string
    {
        return self::query()->where(['layout_id' => $layout->id, 'room' => self::SCALE])->value('address');
    }

    public static function has(Layout $layout, string $room, string $address): bool
    {
        return self::query()->where(['layout_id' => $layout->id, 'room' => $room, 'address' => $address])->exists();
    }
}
