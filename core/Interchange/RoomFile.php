<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Schedule\BenchTime;

/** Rooms, and how they were set before, as they stand in a layout's file. */
final class RoomFile
{
    public static function read(Record $r, string $uid): Room
    {
        $name = $r->text('name');
        [$volume, $changes, $logger] = [$r->number('volume_m3', 30.0), $r->number('air_changes', 0.5), $r->text('logger', '')];
        $set = fn (Record $one, bool $own): Room => Room::of(
            $uid,
            $name,
            $one->number('day_c'),
            $one->number('night_c'),
            $one->number('day_rh'),
            $one->number('night_rh'),
            $one->number('airflow'),
            BenchTime::minute($one->text('day_from'), $one->at('day_from')),
            BenchTime::minute($one->text('day_to'), $one->at('day_to')),
            $own ? $one->extra() : [],
            $volume,
            $changes,
            $logger,
        );
        $was = $since = null;
        foreach ($r->has('before') ? $r->records('before') : [] as $one) {
            $until = WorksFile::moment($one, 'until');
            if ($since !== null && $until <= $since) {
                throw new InvalidValue('Earlier settings stand in order.', $one->at('until'));
            }
            $earlier = $one->within(fn (): Room => $set($one, false));
            $one->close();
            [$was, $since] = [$was === null ? $earlier : $earlier->after($was, $since), $until];
        }
        $room = $set($r, true);

        return $was === null ? $room : $room->after($was, $since);
    }

    /** @return array<string, mixed> */
    public static function from(Room $r): array
    {
        return [
            'uid' => $r->uid,
            'name' => $r->name,
            'day_c' => $r->day->temperature,
            'night_c' => $r->night->temperature,
            'day_rh' => $r->day->humidity,
            'night_rh' => $r->night->humidity,
            'airflow' => $r->day->airflow,
            'day_from' => BenchTime::clock($r->dayFrom),
            'day_to' => BenchTime::clock($r->dayTo),
            'volume_m3' => $r->volume,
            'air_changes' => $r->airChanges,
        ] +
            ($r->was === null ? [] : ['before' => self::settings($r)]) +
            ($r->logger === '' ? [] : ['logger' => $r->logger]) +
            $r->extra;
    }

    /** @return list<array<string, mixed>> how a room was set before, the earliest first */
    private static function settings(Room $r): array
    {
        $out = [];
        for ($was = $r->was, $until = $r->since; $was !== null; [$was, $until] = [$was->was, $was->since]) {
            $set = array_intersect_key(
                self::from($was),
                array_flip(['day_c', 'night_c', 'day_rh', 'night_rh', 'airflow', 'day_from', 'day_to']),
            );
            array_unshift($out, ['until' => WorksFile::iso((int) $until)] + $set);
        }

        return $out;
    }
}
