<?php

declare(strict_types=1);

namespace App\Devices;

/**
 * A room that is not there: warm by day and cool at night, with weather that drifts over days, a sensor that is a little off,
 * and readings that drop out now and then. The same seed and minute give the same air.
 */
final readonly class SimulatedRoom
{
    private const EVERY = 10;

    private const DROPS = 0.04;

    public function __construct(private int $seed, private float $mean, private float $swing, private float $humidity)
    {
    }

    /** @return list<array{int, float, float}> */
    public function readings(int $from, int $to): array
    {
        $out = [];
        for ($minute = intdiv($from, self::EVERY) * self::EVERY + self::EVERY; $minute <= $to; $minute += self::EVERY) {
            if ($this->noise('drop', $minute) > self::DROPS && ! $this->isOut($minute)) {
                $out[] = [$minute, ...$this->at($minute)];
            }
        }

        return $out;
    }

    /** @return array{float, float} °C and % */
    public function at(int $minute): array
    {
        $day = $minute / 1440.0;
        $weather = $this->smooth('weather', $day / 3.0);
        $temperature =
            $this->mean + $this->swing * cos(2.0 * M_PI * ($day - 0.625)) + 2.5 * $weather + 0.2 * ($this->noise('t', $minute) - 0.5);
        $humidity =
            $this->humidity -
            1.8 * ($temperature - $this->mean) +
            6.0 * $this->smooth('rain', $day / 2.0) +
            ($this->noise('h', $minute) - 0.5);

        return [round($temperature, 1), round(max(5.0, min(99.0, $humidity)), 0)];
    }

    /** About once a week it is silent for some hours. */
    private function isOut(int $minute): bool
    {
        $week = intdiv($minute, 10_080);
        $from = $week * 10_080 + (int) (9000.0 * $this->noise('out', $week));

        return $minute >= $from && $minute < $from + 300;
    }

    /** −1 … 1, from one whole number to the next without a step. */
    private function smooth(string $what, float $x): float
    {
        $k = (int) floor($x);
        $t = $x - $k;
        $t = $t * $t * (3.0 - 2.0 * $t);

        return 2.0 * ((1.0 - $t) * $this->noise($what, $k) + $t * $this->noise($what, $k + 1)) - 1.0;
    }

    private function noise(string $what, int $k): float
    {
        return crc32("{$this->seed}/{$what}/{$k}") / 0xFFFFFFFF;
    }
}
