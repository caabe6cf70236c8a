<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cure;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * When milestones are reached. Each is a dose: the reference time times a factor of thickness, used up at the mechanism's
 * rate. Times are minutes from the end of laying.
 */
final class CureClock
{
    /** Quantiles that are kept at hand. */
    private const MAX_KNOWN = 200;

    /**
     * Median minutes to each milestone in an even air.
     *
     * Thickness scales *next coat* and *dry through* only. Plasters set by hydration; what follows their setting is
     * evaporation from then on.
     *
     * @return array<string, float>
     *
     * @throws InvalidValue for an impossible thickness
     */
    public static function medians(CureFigures $recipe, Climate $air, ?float $mm = null): array
    {
        $thickness = self::thickness(
            $recipe->referenceMm,
            InvalidValue::unlessBetween($mm ?? $recipe->referenceMm, 0.01, 200.0, 'The thickness', 'mm', 'mm'),
            $recipe->exponent,
        );
        $rate = $recipe->mechanism->rate($air);
        $setReference = $recipe->mechanism === Mechanism::Hydration ? $recipe->minutes[Milestone::TouchDry->value] ?? 0.0 : 0.0;
        $set = $setReference / $rate;
        $drying = $recipe->mechanism === Mechanism::Hydration ? Mechanism::Evaporation->rate($air) : $rate;
        $out = [];
        foreach ($recipe->minutes as $milestone => $time) {
            $late = $milestone === Milestone::NextCoat->value || $milestone === Milestone::DryThrough->value;
            $out[$milestone] = $late ? $set + (($time - $setReference) * $thickness) / $drying : $time / $rate;
        }

        return $out;
    }

    /** (h / h_ref)^n */
    public static function thickness(float $referenceMm, float $mm, float $exponent): float
    {
        return ($mm / $referenceMm) ** $exponent;
    }

    /**
     * Minutes until a dose is used up while the air changes from step to step; the last step lasts.
     *
     * @param  non-empty-list<array{minutes: float|null, air: Climate}>  $steps
     */
    public static function reached(float $reference, Mechanism $mechanism, array $steps): float
    {
        $left = $reference;
        $at = 0.0;
        foreach ($steps as ['minutes' => $minutes, 'air' => $air]) {
            $rate = $mechanism->rate($air);
            if ($minutes === null || $left <= $minutes * $rate) {
                return $at + $left / $rate;
            }
            $left -= $minutes * $rate;
            $at += $minutes;
        }

        return $at + $left / $mechanism->rate($steps[count($steps) - 1]['air']);
    }

    /**
     * Glue between two faces of foam, dry through, minutes: moisture leaves by the edges, or through the thinner sheet
     * unless both faces carry a film. `min(3 d·(half-width/25)², 6 d·thinner/25)` over the evaporation rate.
     */
    public static function confined(float $halfWidthMm, float $thinnerSheetMm, bool $filmed, Climate $air): float
    {
        $day = 1440.0;
        $byEdges = 3.0 * $day * ($halfWidthMm / 25.0) ** 2;
        $through = 6.0 * $day * ($thinnerSheetMm / 25.0);

        return ($filmed ? $byEdges : min($byEdges, $through)) / Mechanism::Evaporation->rate($air);
    }

    /** By what a median is multiplied for a one-sided quantile: exp(z·√(prior² + case²)). */
    public static function factor(float $quantile, float $priorSd = CureSpread::PRIOR): float
    {
        return exp(self::normalQuantile($quantile) * hypot($priorSd, CureSpread::BETWEEN_CASES));
    }

    /** Whether a film cannot form in this air: the coat is spoiled, not delayed. */
    public static function spoils(CureFigures $recipe, Climate $air): bool
    {
        return $recipe->filmTemperature !== null && $air->temperature < $recipe->filmTemperature;
    }

    /** Normal distribution function by Abramowitz and Stegun, Handbook of Mathematical Functions, 26.2.17; to 7.5e-8. */
    public static function normalShare(float $z): float
    {
        $t = 1.0 / (1.0 + 0.2316419 * abs($z));
        $tail =
            (exp((-$z * $z) / 2.0) / sqrt(2.0 * M_PI)) *
            $t *
            (0.31938153 + $t * (-0.356563782 + $t * (1.781477937 + $t * (-1.821255978 + $t * 1.330274429))));

        return $z > 0.0 ? 1.0 - $tail : $tail;
    }

    /** P. J. Acklam, "An algorithm for computing the inverse normal cumulative distribution function" (2003), to 1e-9. */
    public static function normalQuantile(float $p): float
    {
        if ($p <= 0.0 || $p >= 1.0) {
            throw new InvalidValue('A quantile lies between 0 and 1.', 'quantile');
        }
        // A few certainties are asked for again and again.
        static $known = [];
        if (count($known) > self::MAX_KNOWN) {
            $known = [];
        }

        return $known[pack('d', $p)] ??= self::quantileOf($p);
    }

    private static function quantileOf(float $p): float
    {
        $a = [-3.969683028665376e1, 2.209460984245205e2, -2.759285104469687e2, 1.38357751867269e2, -3.066479806614716e1, 2.506628277459239];
        $b = [-5.447609879822406e1, 1.615858368580409e2, -1.556989798598866e2, 6.680131188771972e1, -1.328068155288572e1];
        $c = [-7.784894002430293e-3, -3.223964580411365e-1, -2.400758277161838, -2.549732539343734, 4.374664141464968, 2.938163982698783];
        $d = [7.784695709041462e-3, 3.224671290700398e-1, 2.445134137142996, 3.754408661907416];
        $horner = fn (array $k, float $x): float => array_reduce($k, fn (float $sum, float $v): float => $sum * $x + $v, 0.0);
        if ($p < 0.02425 || $p > 1.0 - 0.02425) {
            $q = sqrt(-2.0 * log(min($p, 1.0 - $p)));
            $z = $horner($c, $q) / ($horner($d, $q) * $q + 1.0);

            return $p < 0.5 ? $z : -$z;
        }
        $q = $p - 0.5;
        $r = $q * $q;

        return ($horner($a, $r) * $q) / ($horner($b, $r) * $r + 1.0);
    }
}
