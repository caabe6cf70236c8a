<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

use IdleRidge\Core\Measure\InvalidValue;

/** Alcohol of a strength made from a stronger one: `V₁ = V₂·c₂/c₁`, by volume. */
final class Alcohol
{
    /** Of 2-propanol at 20 °C, g/ml. */
    private const DENSITY_G_PER_ML = 0.785;

    /** As strong as its name says, %; of what has another name, nothing. */
    public static function strengthOf(string $material): float
    {
        return preg_match('/^alcohol (\d+(?:\.\d+)?) %$/', $material, $found) === 1 ? (float) $found[1] : 0.0;
    }

    /**
     * The same mix from another bottle: as much alcohol, in as much of it all.
     *
     * @param  non-empty-list<Portion>  $portions
     * @param  string  $material of the bottle
     * @param  float  $strength of what is in it, %
     * @return non-empty-list<Portion> in the same order
     *
     * @throws InvalidValue when the bottle is too weak
     */
    public static function from(array $portions, string $material, float $strength, ?float $density): array
    {
        $old = array_values(array_filter($portions, fn (Portion $p): bool => $p->isAlcohol()))[0] ?? null;
        if ($old === null || ($old->material === $material && $strength === self::strengthOf($material))) {
            return $portions;
        }
        $needed = $old->amount * self::strengthOf($old->material) / $strength;
        $water = array_values(array_filter($portions, fn (Portion $p): bool => $p->isWater()))[0] ?? null;
        $left = ($water->amount ?? 0.0) - ($needed - $old->amount);
        if ($left < -1e-9) {
            $whole = $old->amount + ($water->amount ?? 0.0);
            $wanted = round(self::strengthOf($old->material) * $old->amount / $whole);
            throw new InvalidValue("Alcohol of {$strength} % does not make one of {$wanted} %: take a stronger one.", 'lot');
        }
        $mixed = new Portion($material, $needed, 'ml', $needed, $density);
        $out = [];
        foreach ($portions as $portion) {
            if ($portion === $old) {
                $out[] = $mixed;
            } elseif ($portion !== $water) {
                $out[] = $portion;
            } elseif ($left > 1e-9) {
                $out[] = new Portion($water->material, $left, 'ml', $left, $water->density);
            }
        }

        return $out === [] ? [$mixed] : $out;
    }

    /**
     * Share of alcohol in a mix by mass, 0 … 1, as its flash point goes by; null where a density is not known.
     *
     * @param  list<Portion>  $portions
     */
    public static function massShare(array $portions): ?float
    {
        $pure = $grams = 0.0;
        foreach ($portions as $portion) {
            $one = $portion->grams();
            if ($one === null) {
                return null;
            }
            $grams += $one;
            $pure += $portion->isAlcohol() ? $portion->amount * self::strengthOf($portion->material) / 100.0 * self::DENSITY_G_PER_ML : 0.0;
        }

        return $grams > 0.0 ? $pure / $grams : null;
    }
}
