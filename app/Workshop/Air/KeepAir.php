<?php

declare(strict_types=1);

namespace App\Workshop\Air;

use App\Models\AirReading;
use App\Models\Layout;
use IdleRidge\Core\Cure\AirLog;

/** Keeps what was read of the air of rooms. */
final class KeepAir
{
    /** Older readings no longer say anything about what dries, days. */
    public const DAYS = 60;

    private const AT_ONCE = 200;

    public static function add(Layout $layout, string $room, AirLog $log): void
    {
        $rows = array_map(fn (array $r): array => ['layout_id' => $layout->id, 'room' => $room, 'at' => $r[0], 'temperature' => $r[1], 'humidity' => $r[2]], $log->readings);
        foreach (array_chunk($rows, self::AT_ONCE) as $some) {
            AirReading::query()->upsert($some, ['layout_id', 'room', 'at'], ['temperature', 'humidity']);
        }
    }

    /** @return array<string, AirLog> room uid → its log */
    public static function logs(Layout $layout): array
    {
        $readings = [];
        foreach ($layout->airReadings()->orderBy('at')->toBase()->get(['room', 'at', 'temperature', 'humidity']) as $row) {
            $readings[$row->room][] = [(int) $row->at, (float) $row->temperature, (float) $row->humidity];
        }

        return array_map(fn (array $of): AirLog => AirLog::of($of)->lately(self::DAYS), $readings);
    }
}
