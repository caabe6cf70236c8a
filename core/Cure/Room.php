<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cure;

use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * A place where sections stand and dry: its air by day and by night, the minutes of the day (local time) at which day
 * begins and ends, its size (m³), how often an hour its air changes, and the address of a logger in it. What is set holds from
 * a moment on; before it the room was as it `was` set then.
 */
final readonly class Room
{
    private const MAX_AIR_CHANGES = 60;

    public string $name;

    public string $logger;

    /**
     * @param  int  $dayFrom minutes of the day, local time; likewise `$dayTo`
     * @param  array<string, mixed>  $extra
     * @param  float  $volume m³
     * @param  float  $airChanges an hour
     * @param  self|null  $was how it was set until `$since`, minutes of Unix time
     *
     * @throws InvalidValue naming the field
     */
    public function __construct(
        public string $uid,
        string $name,
        public Climate $day,
        public Climate $night,
        public int $dayFrom = 420,
        public int $dayTo = 1320,
        public array $extra = [],
        public float $volume = 30.0,
        public float $airChanges = 0.5,
        string $logger = '',
        public ?self $was = null,
        public ?int $since = null,
    ) {
        if (trim($name) === '' || mb_strlen($name) > 80) {
            throw new InvalidValue('A room needs a name of 1 to 80 characters.', 'name');
        }
        InvalidValue::unlessBetween($dayFrom, 0, 1439, 'The beginning of day', 'min', 'day_from');
        if ($dayTo <= $dayFrom || $dayTo > 1440) {
            throw new InvalidValue('The day must end after it begins, by midnight.', 'day_to');
        }
        if (mb_strlen($logger) > 200) {
            throw new InvalidValue('At most 200 characters.', 'logger');
        }
        InvalidValue::unlessBetween($volume, 3.0, 5000.0, 'The size of the room', 'm³', 'volume_m3');
        InvalidValue::unlessBetween($airChanges, 0.1, 30.0, 'The air changes', 'an hour', 'air_changes');
        $this->name = trim($name);
        $this->logger = trim($logger);
    }

    /**
     * @param  array<string, mixed>  $extra
     *
     * @throws InvalidValue naming the field
     */
    public static function of(
        string $uid,
        string $name,
        float $dayC,
        float $nightC,
        float $dayRh,
        float $nightRh,
        float $airflow = 1.0,
        int $dayFrom = 420,
        int $dayTo = 1320,
        array $extra = [],
        float $volume = 30.0,
        float $airChanges = 0.5,
        string $logger = '',
    ): self {
        $air = fn (string $when, float $c, float $rh): Climate => self::climate($when, $c, $rh, $airflow);

        return new self(
            $uid,
            $name,
            $air('day', $dayC, $dayRh),
            $air('night', $nightC, $nightRh),
            $dayFrom,
            $dayTo,
            $extra,
            $volume,
            $airChanges,
            $logger,
        );
    }

    /** A room as good as any, until its own air is known: 20 °C, 50 %, still. */
    public static function standard(string $uid = '', string $name = 'Room'): self
    {
        return self::of($uid, $name, 20.0, 20.0, 50.0, 50.0);
    }

    /**
     * This room as it is set from a moment on, after another setting that held until then. What did not stand a minute is forgotten, and so
     * is what was set more than so many changes ago.
     */
    public function after(self $was, int $since): self
    {
        if ($was->air() === $this->air()) {
            return $this->with($was->was, $was->since);
        }
        $earlier = $was->since !== null && $was->since >= $since ? $was->was : $was;
        if ($earlier === null || $earlier->air() === $this->air()) {
            return $earlier === null ? $this : $this->with($earlier->was, $earlier->since);
        }

        return $this->with($earlier->lately(self::MAX_AIR_CHANGES), $since);
    }

    /** How it was set at a moment, minutes of Unix time. */
    public function settingAt(int $minute): self
    {
        return $this->was !== null && $minute < $this->since ? $this->was->settingAt($minute) : $this;
    }

    /** The first moment after this one from which it was set otherwise. */
    public function nextSetting(int $minute): int
    {
        return $this->was !== null && $minute < $this->since ? min((int) $this->since, $this->was->nextSetting($minute)) : PHP_INT_MAX;
    }

    /** Since when it has had its temperature and humidity, whatever moved the air; null for always. */
    public function airSince(): ?int
    {
        return $this->was !== null && array_slice($this->was->air(), 0, 6) === array_slice($this->air(), 0, 6)
            ? $this->was->airSince()
            : $this->since;
    }

    private function with(?self $was, ?int $since): self
    {
        return new self(...['was' => $was, 'since' => $was === null ? null : $since] + get_object_vars($this));
    }

    private function lately(int $changes): self
    {
        return $this->was === null ? $this : $this->with($changes > 1 ? $this->was->lately($changes - 1) : null, $this->since);
    }

    /** @return list<float|int> */
    private function air(): array
    {
        return [
            $this->day->temperature,
            $this->day->humidity,
            $this->night->temperature,
            $this->night->humidity,
            $this->dayFrom,
            $this->dayTo,
            $this->day->airflow,
        ];
    }

    /** The air at a moment, minutes of Unix time. */
    public function at(int $minute, DateTimeZone $zone): Climate
    {
        if ($this->was !== null && $minute < $this->since) {
            return $this->was->at($minute, $zone);
        }
        $local = self::local($minute, $zone);

        return $local >= $this->dayFrom && $local < $this->dayTo ? $this->day : $this->night;
    }

    /** The first minute after this one at which day or night begins. */
    public function nextChange(int $minute, DateTimeZone $zone): int
    {
        if ($this->was !== null && $minute < $this->since) {
            return min($this->since, $this->was->nextChange($minute, $zone));
        }
        $local = self::local($minute, $zone);
        $wait = match (true) {
            $local < $this->dayFrom => $this->dayFrom - $local,
            $local < $this->dayTo => $this->dayTo - $local,
            default => 1440 - $local + $this->dayFrom,
        };

        return $minute + $wait;
    }

    private static function climate(string $when, float $c, float $rh, float $airflow): Climate
    {
        try {
            return new Climate($c, $rh, $airflow);
        } catch (InvalidValue $refusal) {
            throw new InvalidValue(
                $refusal->getMessage(),
                match ($refusal->place) {
                    'temp' => "{$when}_c",
                    'rh' => "{$when}_rh",
                    default => $refusal->place,
                },
            );
        }
    }

    private static function local(int $minute, DateTimeZone $zone): int
    {
        $at = (new DateTimeImmutable('@'.$minute * 60))->setTimezone($zone);

        return 60 * (int) $at->format('G') + (int) $at->format('i');
    }
}
