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

    private const FINE = 3;

    private const AT_ONCE = 200;

    public static function add(Layout $layout, string $room, AirLog $log): void
    {
        $rows = array_map(fn (array $r): array => ['layout_id' => $layout->id, 'room' => $room, 'at' => $r[0], 'temperature' => $r[1], 'humidity' => $r[2]], $log->readings);
        foreach (array_chunk($rows, self::AT_ONCE) as $some) {
            AirReading::query()->upsert($some, ['layout_id', 'room', 'at'], ['temperature', 'humidity']);
        }
        AirReading::query()->where('layout_id', $layout->id)->where('room', $room)->where('at', '<', ($log->last()[0] ?? 0) - 1440 * self::DAYS)->delete();
    }

    /**
     * What is older than a few days comes as the means of hours, which dry as well and are ten times fewer.
     *
     * @return array<string, AirLog> room uid → its log
     */
    public static function logs(Layout $layout): array
    {
        $newest = (int) $layout->airReadings()->max('at');
        if ($newest === 0) {
            return [];
        }
        $fine = intdiv($newest - 1440 * self::FINE, 60) * 60;
        $readings = [];
        $hours = $layout->airReadings()->where('at', '<', $fine)->groupByRaw('room, at / 60')->orderBy('at')->toBase()->selectRaw('room, (at / 60) * 60 + 30 as at, avg(temperature) as temperature, avg(humidity) as humidity');
        foreach ([$hours->get(), $layout->airReadings()->where('at', '>=', $fine)->orderBy('at')->toBase()->get(['room', 'at', 'temperature', 'humidity'])] as $rows) {
            foreach ($rows as $row) {
                $readings[$row->room][] = [(int) $row->at, round((float) $row->temperature, 3), round((float) $row->humidity, 3)];
            }
        }

        return array_map(fn (array $of): AirLog => AirLog::of($of)->lately(self::DAYS), $readings);
    }
}
