<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cure;

use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Measure\Refusal;

/**
 * A place where sections stand and dry: its air by day and by night, the minutes of the day (local time) at which day
 * begins and ends, its size (m³), how often an hour its air changes, and the address of a logger in it.
 */
final readonly class Room
{
    /** @param  array<string, mixed>  $extra */
    private function __construct(
        public string $uid,
        public string $name,
        public Climate $day,
        public Climate $night,
        public int $dayFrom,
        public int $dayTo,
        public array $extra,
        public float $volume,
        public float $airChanges,
        public string $logger,
    ) {
    }

    /**
     * @param array<string, mixed> $extra
     *
     * @throws Refusal naming the field
     */
    public static function of(string $uid, string $name, float $dayC, float $nightC, float $dayRh, float $nightRh, float $airflow = 1.0, int $dayFrom = 420, int $dayTo = 1320, array $extra = [], float $volume = 30.0, float $airChanges = 0.5, string $logger = ''): self
    {
        if (trim($name) === '' || mb_strlen($name) > 80) {
            throw new Refusal('A room needs a name of 1 to 80 characters.', 'name');
        }
        $air = fn (string $when, float $c, float $rh): Climate => self::air($when, $c, $rh, $airflow);
        Refusal::unlessBetween($dayFrom, 0, 1439, 'The beginning of day', 'min', 'day_from');
        if ($dayTo <= $dayFrom || $dayTo > 1440) {
            throw new Refusal('The day must end after it begins, by midnight.', 'day_to');
        }

        if (mb_strlen($logger) > 200) {
            throw new Refusal('At most 200 characters.', 'logger');
        }
        Refusal::unlessBetween($volume, 3.0, 5000.0, 'The size of the room', 'm³', 'volume_m3');
        Refusal::unlessBetween($airChanges, 0.1, 30.0, 'The air changes', 'an hour', 'air_changes');

        return new self($uid, trim($name), $air('day', $dayC, $dayRh), $air('night', $nightC, $nightRh), $dayFrom, $dayTo, $extra, $volume, $airChanges, trim($logger));
    }

    /** A room as good as any, until its own air is known: 20 °C, 50 %, still. */
    public static function standard(string $uid = '', string $name = 'Room'): self
    {
        return self::of($uid, $name, 20.0, 20.0, 50.0, 50.0);
    }

    /** The air at a moment, minutes of Unix time. */
    public function at(int $minute, DateTimeZone $zone): Climate
    {
        $local = self::local($minute, $zone);

        return $local >= $this->dayFrom && $local < $this->dayTo ? $this->day : $this->night;
    }

    /** The first minute after this one at which day or night begins. */
    public function nextChange(int $minute, DateTimeZone $zone): int
    {
        $local = self::local($minute, $zone);
        $wait = match (true) {
            $local < $this->dayFrom => $this->dayFrom - $local,
            $local < $this->dayTo => $this->dayTo - $local,
            default => 1440 - $local + $this->dayFrom,
        };

        return $minute + $wait;
    }

    private static function air(string $when, float $c, float $rh, float $airflow): Climate
    {
        try {
            return Climate::of($c, $rh, $airflow);
        } catch (Refusal $refusal) {
            throw new Refusal($refusal->getMessage(), match ($refusal->place) {
                'temp' => "{$when}_c", 'rh' => "{$when}_rh", default => $refusal->place
            });
        }
    }

    private static function local(int $minute, DateTimeZone $zone): int
    {
        $at = (new DateTimeImmutable('@'.$minute * 60))->setTimezone($zone);

        return 60 * (int) $at->format('G') + (int) $at->format('i');
    }
}
