<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * What holds of a recipe as water: how deep a layer may be poured, which share of its depth it loses as it dries, and how steep a stream
 * may fall for it to stay where it was put. Depths as poured, mm.
 */
final readonly class PourLimits
{
    /**
     * @param  float  $largeMl a layer of more than this may be no deeper than `$mostMmLarge`: it would heat itself
     *
     * @throws InvalidValue
     */
    public function __construct(
        public float $mostMm,
        public float $loss = 0.0,
        public float $steepestDeg = 0.0,
        public ?float $largeMl = null,
        public ?float $mostMmLarge = null,
    ) {
        InvalidValue::unlessBetween($mostMm, 0.01, 50.0, 'The deepest layer', 'mm', 'most_mm');
        InvalidValue::unlessBetween($loss, 0.0, 0.9, 'What it loses of its depth', '', 'loss');
        InvalidValue::unlessBetween($steepestDeg, 0.0, 60.0, 'The steepest water', '°', 'steepest_deg');
        if ($largeMl !== null) {
            InvalidValue::unlessBetween($largeMl, 1.0, 100_000.0, 'A large layer', 'ml', 'large_ml');
            InvalidValue::unlessBetween($mostMmLarge ?? 0.0, 0.01, $mostMm, 'The deepest large layer', 'mm', 'most_mm_large');
        }
    }

    /** How deep a layer of so much may be once it is dry, mm. */
    public function deepest(float $ml): float
    {
        return ($this->isLarge($ml) ? (float) $this->mostMmLarge : $this->mostMm) * (1.0 - $this->loss);
    }

    public function isLarge(float $ml): bool
    {
        return $this->largeMl !== null && $ml > $this->largeMl + 1e-6;
    }

    /** How deep it is poured for a layer that is so deep once dry, mm. */
    public function poured(float $mm): float
    {
        return $mm / (1.0 - $this->loss);
    }
}
