<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cure;

/** The air that something stood in over a time: least, mean and greatest of temperature (°C) and humidity (%). */
final readonly class AirSpan
{
    private const STEP_MIN = 15;

    private const MAX_STEPS = 3000;

    /**
     * @param  array{float, float, float}  $temperature
     * @param  array{float, float, float}  $humidity
     */
    private function __construct(public array $temperature, public array $humidity)
    {
    }

    /** Both ends included, minutes of Unix time. */
    public static function over(RoomAir $air, int $from, int $to): self
    {
        $step = max(self::STEP_MIN, intdiv($to - $from, self::MAX_STEPS));
        $temperatures = $humidities = [];
        for ($at = $from; $at < $to; $at += $step) {
            $climate = $air->at($at);
            $temperatures[] = $climate->temperature;
            $humidities[] = $climate->humidity;
        }
        $last = $air->at(max($from, $to));
        $temperatures[] = $last->temperature;
        $humidities[] = $last->humidity;

        return new self(self::three($temperatures), self::three($humidities));
    }

    /**
     * @param  non-empty-list<float>  $values
     * @return array{float, float, float}
     */
    private static function three(array $values): array
    {
        return [min($values), array_sum($values) / count($values), max($values)];
    }
}
