<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cure;

use IdleRidge\Core\Measure\InvalidValue;

/** The air of a place where work dries: °C, % relative humidity, and how it moves (still air is 1). */
final readonly class Climate
{
    public const AIRFLOW_FACTORS = ['closed' => 0.6, 'still' => 1.0, 'moving' => 1.6, 'fan' => 2.2];

    /** Nobody works in a room beyond these, °C. */
    public const MIN_C = -10.0;

    public const MAX_C = 50.0;

    /**
     * @throws InvalidValue for a room that nobody works in
     */
    public function __construct(
        public float $temperature,
        public float $humidity,
        public float $airflow = 1.0,
    ) {
        InvalidValue::unlessBetween($temperature, self::MIN_C, self::MAX_C, 'The temperature', '°C', 'temp');
        InvalidValue::unlessBetween($humidity, 0.0, 100.0, 'The humidity', '%', 'rh');
        InvalidValue::unlessBetween($airflow, 0.1, 5.0, 'The airflow', '', 'airflow');
    }

    /** Whether a reading can be true of such a room. */
    public static function isPossible(float $temperature, float $humidity): bool
    {
        return $temperature >= self::MIN_C && $temperature <= self::MAX_C && $humidity >= 0.0 && $humidity <= 100.0;
    }

    /** What recipes' times stand for: 20 °C, 50 %, still air. */
    public static function reference(): self
    {
        return new self(20.0, 50.0, 1.0);
    }

    /** Saturation pressure of water vapour, kPa (O. Alduchov and R. Eskridge, J. Appl. Meteorol. 35, 1996). */
    public function saturation(): float
    {
        return 0.61094 * exp(17.625 * $this->temperature / ($this->temperature + 243.04));
    }

    /** What the air could still take up, kPa. */
    public function vapourDeficit(): float
    {
        return $this->saturation() * (1.0 - $this->humidity / 100.0);
    }
}
