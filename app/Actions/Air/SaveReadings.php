<?php

declare(strict_types=1);

namespace App\Actions\Air;

use App\Computed\Air\RoomReadings;
use App\Models\AirReading;
use App\Models\Layout;
use IdleRidge\Core\Cure\AirLog;
use Illuminate\Support\Facades\DB;

/** Keeps what was read of the air of rooms. */
final class SaveReadings
{
    /** They are kept so long, days: a clock that is wrong for once takes nothing away that is still wanted. */
    private const KEPT_DAYS = 400;

    private const ROWS_AT_ONCE = 200;

    /**
     * Takes in what lies between the oldest that still says something and now.
     *
     * @return int how many of them
     */
    public static function add(Layout $layout, string $room, AirLog $log, int $now): int
    {
        $log = $log->between($now - 1440 * RoomReadings::USED_DAYS, $now + RoomReadings::MAX_MINUTES_AHEAD);
        $rows = array_map(
            fn (array $r): array => [
                'layout_id' => $layout->id,
                'room' => $room,
                'at' => $r[0],
                'temperature' => $r[1],
                'humidity' => $r[2],
            ],
            $log->readings,
        );
        DB::transaction(function () use ($layout, $room, $rows, $now): void {
            foreach (array_chunk($rows, self::ROWS_AT_ONCE) as $some) {
                AirReading::query()->upsert($some, ['layout_id', 'room', 'at'], ['temperature', 'humidity']);
            }
            AirReading::query()
                ->where('layout_id', $layout->id)
                ->where('room', $room)
                ->where('at', '<', $now - 1440 * self::KEPT_DAYS)
                ->delete();
        });

        return count($rows);
    }
}
