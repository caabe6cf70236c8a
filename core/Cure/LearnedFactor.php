<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cure;

/**
 * What is known of how a recipe's times in one room compare with its figures: the logarithm of their factor is normal about
 * `mean` with spread `sd`; beside it single cases scatter.
 */
final readonly class LearnedFactor
{
    /** Grid on which what is believed is held: −1.5 … 1.5 in steps of 0.01. */
    private const GRID_HALF_WIDTH = 150;

    private const GRID_STEP = 0.01;

    private const TAIL_QUANTILE = 0.9999;

    private function __construct(public float $mean, public float $sd, public int $cases)
    {
    }

    /** Before anything was seen. */
    public static function nothing(): self
    {
        return new self(0.0, CureSpread::PRIOR, 0);
    }

    /**
     * From cases seen as intervals: the logarithm of the factor lies over the first and at most at the second; null where it
     * is open, equal where the moment itself was seen. The posterior on a grid, by Bayes’ rule with a normal prior.
     *
     * @param  list<array{float|null, float|null}>  $cases
     */
    public static function from(array $cases, float $priorSd = CureSpread::PRIOR, float $caseSd = CureSpread::BETWEEN_CASES): self
    {
        $weights = [];
        $most = -INF;
        for ($k = -self::GRID_HALF_WIDTH; $k <= self::GRID_HALF_WIDTH; $k++) {
            $mu = $k * self::GRID_STEP;
            $log = -0.5 * ($mu / $priorSd) ** 2;
            foreach ($cases as [$low, $high]) {
                if ($low !== null && $high !== null && $high - $low < 1e-9) {
                    $log -= 0.5 * (($low - $mu) / $caseSd) ** 2;

                    continue;
                }
                $share =
                    ($high === null ? 1.0 : CureClock::normalShare(($high - $mu) / $caseSd)) -
                    ($low === null ? 0.0 : CureClock::normalShare(($low - $mu) / $caseSd));
                $log += log(max(1e-12, $share));
            }
            $weights[$k] = $log;
            $most = max($most, $log);
        }
        $sum = $mean = $square = 0.0;
        foreach ($weights as $k => $log) {
            $w = exp($log - $most);
            $mu = $k * self::GRID_STEP;
            $sum += $w;
            $mean += $w * $mu;
            $square += $w * $mu * $mu;
        }
        $mean /= $sum;

        return new self($mean, sqrt(max(1e-9, $square / $sum - $mean * $mean)), count($cases));
    }

    /** The same for a new lot of the material: less is known of it. */
    public function ofNewLot(): self
    {
        return new self($this->mean, hypot($this->sd, CureSpread::NEW_LOT), $this->cases);
    }

    /** By what a median of the recipe is multiplied for a one-sided quantile. */
    public function factor(float $quantile): float
    {
        return exp($this->mean + CureClock::normalQuantile($quantile) * hypot($this->sd, CureSpread::BETWEEN_CASES));
    }

    /** The same with the scatter of single cases alone. */
    public function caseFactor(float $quantile): float
    {
        return exp($this->mean + CureClock::normalQuantile($quantile) * CureSpread::BETWEEN_CASES);
    }

    /**
     * The quantile of what is left when a factor is known to lie over one bound and at most at another, logarithms:
     * `F⁻¹(F(low) + q·(F(high) − F(low)))`.
     */
    public function factorWithin(float $quantile, ?float $low, ?float $high): float
    {
        $spread = hypot($this->sd, CureSpread::BETWEEN_CASES);
        $from = $low === null ? 0.0 : CureClock::normalShare(($low - $this->mean) / $spread);
        $to = $high === null ? 1.0 : CureClock::normalShare(($high - $this->mean) / $spread);
        if ($high === null && $low !== null && $from > self::TAIL_QUANTILE) {
            // So far out the share that is left falls like exp(−z²/2): z_q = √(z² − 2 ln(1 − q)).
            return exp($this->mean + $spread * sqrt((($low - $this->mean) / $spread) ** 2 - 2.0 * log(1.0 - $quantile)));
        }
        $at = exp($this->mean + $spread * CureClock::normalQuantile(max(1e-6, min(1.0 - 1e-6, $from + $quantile * max(0.0, $to - $from)))));

        return min($high === null ? INF : exp($high), max($low === null ? 0.0 : exp($low), $at));
    }
}
