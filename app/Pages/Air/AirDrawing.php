<?php

declare(strict_types=1);

namespace App\Pages\Air;

use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Cure\RoomAir;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Format;

/** The air of a room over the last days and the coming two: temperature above, humidity below; what is to come is thin. */
final class AirDrawing
{
    private const WIDE = 830.0;

    private const HIGH = 276.0;

    private const BEFORE = 7;

    private const AFTER = 2;

    /** Panels: top, height. */
    private const PANELS = [['°C', 24.0, 96.0], ['%', 146.0, 96.0]];

    public static function of(RoomAir $air, ?AirLog $log, int $now, DateTimeZone $zone): Svg
    {
        $from = $now - 1440 * self::BEFORE;
        $to = $now + 1440 * self::AFTER;
        $x = fn (float $minute): float => 34.0 + ((self::WIDE - 90.0) * ($minute - $from)) / ($to - $from);
        $svg = new Svg(
            self::WIDE,
            self::HIGH,
            "Air of {$air->room->name}: temperature and humidity of the last ".self::BEFORE.' days and the coming '.self::AFTER,
            ['class' => 'drawing air'],
        );
        $readings = array_values(array_filter($log->readings ?? [], fn (array $r): bool => $r[0] >= $from && $r[0] <= $now));
        $ahead = [];
        for ($minute = $now; $minute <= $to; $minute += 30) {
            $climate = $air->at($minute);
            $ahead[] = [$minute, $climate->temperature, $climate->humidity];
        }
        $day = (new DateTimeImmutable('@'.$from * 60))->setTimezone($zone)->setTime(0, 0);
        while ($day->getTimestamp() / 60 < $to) {
            $at = $x($day->getTimestamp() / 60);
            if ($at > 34.0) {
                $svg->line('doubling', $at, 20.0, $at, 246.0);
            }
            $middle = $x($day->getTimestamp() / 60 + 720);
            if ($middle > 50.0 && $middle < self::WIDE - 70.0) {
                $svg->text('note small', $middle, 264.0, $day->format('D j'), 'middle');
            }
            $day = $day->modify('+1 day');
        }
        foreach (self::PANELS as $k => [$unit, $top, $high]) {
            $values = array_map(
                fn (float $v): float => Format::converted($v, $unit),
                array_column([...$readings, ...$ahead], $k + 1),
            );
            [$low, $most] = self::bounds($values, $k === 0 ? 6.0 : 20.0);
            $y = fn (float $value): float => $top + ($high * ($most - $value)) / ($most - $low);
            $place = fn (array $r): array => [$x($r[0]), $y(Format::converted($r[$k + 1], $unit))];
            foreach ([$low, ($low + $most) / 2.0, $most] as $value) {
                $svg->line('datum', 34.0, $y($value), self::WIDE - 56.0, $y($value))->text(
                    'note small',
                    28.0,
                    $y($value) + 3.5,
                    (string) round($value),
                    'end',
                );
            }
            $svg->text('note small', self::WIDE - 48.0, $top + 8.0, Format::unit($unit));
            foreach (self::stretches($readings) as $stretch) {
                $svg->path('air-read', Svg::d(array_map($place, $stretch)));
            }
            $svg->path('air-ahead', Svg::d(array_map($place, $ahead)));
        }

        return $svg->line('now', $x($now), 16.0, $x($now), 246.0)->text('note small', $x($now), 12.0, 'now', 'middle');
    }

    /**
     * @param  list<float>  $values
     * @return array{float, float}
     */
    private static function bounds(array $values, float $least): array
    {
        $low = floor(min($values) / 2.0) * 2.0;
        $most = ceil(max($values) / 2.0) * 2.0;

        return $most - $low < $least ? [$low, $low + $least] : [$low, $most];
    }

    /**
     * @param  list<array{int, float, float}>  $readings
     * @return list<list<array{int, float, float}>> without a gap in any
     */
    private static function stretches(array $readings): array
    {
        $out = [];
        $last = null;
        foreach ($readings as $reading) {
            if ($last === null || $reading[0] - $last > AirLog::MAX_READING_AGE_MINUTES) {
                $out[] = [];
            }
            $out[count($out) - 1][] = $reading;
            $last = $reading[0];
        }

        return $out;
    }
}
