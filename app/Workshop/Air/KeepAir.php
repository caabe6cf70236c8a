<?php

declare(strict_types=1);

namespace App\Workshop\Air;

use App\Models\AirReading;
use App\Models\Layout;
use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Cure\Climate;
use Illuminate\Support\Facades\DB;

/** Keeps what was read of the air of rooms. */
final class KeepAir
{
    /** Older readings no longer say anything about what dries, days. */
    public const DAYS = 60;

    /** A logger's clock may be so far ahead of this machine's, minutes. */
    public const AHEAD = 5;

    /** They are kept so long, days: a clock that is wrong for once takes nothing away that is still wanted. */
    private const KEPT_DAYS = 400;

    private const FINE = 3;

    private const AT_ONCE = 200;

    /**
     * Takes in what lies between the oldest that still says something and now.
     *
     * @return int how many of them
     */
    public static function add(Layout $layout, string $room, AirLog $log, int $now): int
    {
        $log = $log->between($now - 1440 * self::DAYS, $now + self::AHEAD);
        $rows = array_map(fn (array $r): array => ['layout_id' => $layout->id, 'room' => $room, 'at' => $r[0], 'temperature' => $r[1], 'humidity' => $r[2]], $log->readings);
        DB::transaction(function () use ($layout, $room, $rows, $now): void {
            foreach (array_chunk($rows, self::AT_ONCE) as $some) {
                AirReading::query()->upsert($some, ['layout_id', 'room', 'at'], ['temperature', 'humidity']);
            }
            AirReading::query()->where('layout_id', $layout->id)->where('room', $room)->where('at', '<', $now - 1440 * self::KEPT_DAYS)->delete();
        });

        return count($rows);
    }

    /**
     * What is older than a few days comes as the means of hours, which dry as well and are ten times fewer. What cannot be true
     * is passed over.
     *
     * @return array<string, AirLog> room uid → its log
     */
    public static function logs(Layout $layout, int $now): array
    {
        $known = fn () => $layout->airReadings()->where('at', '<=', $now + self::AHEAD)
            ->whereBetween('temperature', [Climate::COLDEST, Climate::WARMEST])->whereBetween('humidity', [0.0, 100.0]);
        $newest = (int) $known()->max('at');
        if ($newest === 0) {
            return [];
        }
        $fine = intdiv($newest - 1440 * self::FINE, 60) * 60;
        $readings = [];
        $hours = $known()->where('at', '>=', $newest - 1440 * self::DAYS - 60)->where('at', '<', $fine)->groupByRaw('room, at / 60')->orderBy('at')
            ->toBase()->selectRaw('room, (at / 60) * 60 + 30 as at, avg(temperature) as temperature, avg(humidity) as humidity');
        foreach ([$hours->get(), $known()->where('at', '>=', $fine)->orderBy('at')->toBase()->get(['room', 'at', 'temperature', 'humidity'])] as $rows) {
            foreach ($rows as $row) {
                $readings[$row->room][] = [(int) $row->at, round((float) $row->temperature, 3), round((float) $row->humidity, 3)];
            }
        }

        return array_map(fn (array $of): AirLog => AirLog::of($of)->lately(self::DAYS), $readings);
    }
}
