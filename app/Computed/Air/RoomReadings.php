<?php

declare(strict_types=1);

namespace App\Computed\Air;

use App\Models\Layout;
use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Cure\Climate;

/** What was read of the air of a layout's rooms, as far as it says something about what dries. */
final class RoomReadings
{
    /** Older readings no longer say anything about what dries, days. */
    public const USED_DAYS = 60;

    /** A logger's clock may be so far ahead of this machine's, minutes. */
    public const MAX_MINUTES_AHEAD = 5;

    /** So many days before the newest every reading counts, not only the means of hours. */
    private const FINE_DAYS = 3;

    /**
     * What is older than a few days comes as the means of hours, which dry as well and are ten times fewer. What cannot be true
     * is passed over.
     *
     * @return array<string, AirLog> room uid → its log
     */
    public static function logs(Layout $layout, int $now): array
    {
        $known = fn () => $layout
            ->airReadings()
            ->where('at', '<=', $now + self::MAX_MINUTES_AHEAD)
            ->whereBetween('temperature', [Climate::MIN_C, Climate::MAX_C])
            ->whereBetween('humidity', [0.0, 100.0]);
        $newest = (int) $known()->max('at');
        if ($newest === 0) {
            return [];
        }
        $fine = intdiv($newest - 1440 * self::FINE_DAYS, 60) * 60;
        $readings = [];
        $hours = $known()
            ->where('at', '>=', $newest - 1440 * self::USED_DAYS - 60)
            ->where('at', '<', $fine)
            ->groupByRaw('room, at / 60')
            ->orderBy('at')
            ->toBase()
            ->selectRaw('room, (at / 60) * 60 + 30 as at, avg(temperature) as temperature, avg(humidity) as humidity');
        foreach (
            [
                $hours->get(),
                $known()
                    ->where('at', '>=', $fine)
                    ->orderBy('at')
                    ->toBase()
                    ->get(['room', 'at', 'temperature', 'humidity']),
            ] as $rows
        ) {
            foreach ($rows as $row) {
                $readings[$row->room][] = [(int) $row->at, round((float) $row->temperature, 3), round((float) $row->humidity, 3)];
            }
        }

        return array_map(fn (array $of): AirLog => AirLog::of($of)->lately(self::USED_DAYS), $readings);
    }
}
