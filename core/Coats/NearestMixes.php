<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/**
 * Mixes of base paints that come nearest to a colour as it lies there dry, by CIEDE2000: of one, two and three paints in whole parts.
 * Third paints are tried on the best mixes of two, since a third that helps helps there.
 */
final class NearestMixes
{
    /** Nobody measures out more than so many parts of one paint at the bench. */
    public const MAX_PARTS = 6;

    private const PAIRS_TRIED = 16;

    /** A mix with one paint more has to come nearer by this, or it is not worth its trouble. */
    public const WORTH_A_PAINT = 0.5;

    /**
     * @param  array<string, Pigment>  $bases
     * @return list<array{mix: list<array{base: string, parts: float}>, apart: float, dry: Pigment}> nearest first
     */
    public static function of(Pigment $target, array $bases, int $most = 3): array
    {
        $names = array_keys($bases);
        $found = array_map(fn (string $base): array => self::tried($target, [$base => 1], $bases), $names);
        $pairs = [];
        foreach ($names as $k => $one) {
            foreach (array_slice($names, $k + 1) as $other) {
                foreach (self::ratios() as [$a, $b]) {
                    $pairs[] = self::tried($target, [$one => $a, $other => $b], $bases);
                }
            }
        }
        $pairs = self::nearest($pairs, self::PAIRS_TRIED);
        $thirds = [];
        foreach ($pairs as $pair) {
            foreach (array_diff($names, array_keys($pair['parts'])) as $third) {
                for ($n = 1; $n <= self::MAX_PARTS; $n++) {
                    $thirds[] = self::tried($target, $pair['parts'] + [$third => $n], $bases);
                }
            }
        }

        return array_map(
            fn (array $one): array => [
                'mix' => array_map(
                    fn (string $base, int $n): array => ['base' => $base, 'parts' => (float) $n],
                    array_keys($one['parts']),
                    $one['parts'],
                ),
                'apart' => $one['apart'],
                'dry' => $one['dry'],
            ],
            self::nearest([...$found, ...$pairs, ...$thirds], $most, self::WORTH_A_PAINT),
        );
    }

    /**
     * @param  non-empty-array<string, int>  $parts
     * @param  array<string, Pigment>  $bases
     * @return array{parts: array<string, int>, apart: float, dry: Pigment}
     */
    private static function tried(Pigment $target, array $parts, array $bases): array
    {
        $mixed = [];
        foreach ($parts as $base => $n) {
            $mixed[] = [$bases[$base], (float) $n];
        }

        $dry = Pigment::mixed($mixed)->dry();

        return ['parts' => $parts, 'apart' => $target->apart($dry), 'dry' => $dry];
    }

    /**
     * @param  list<array{parts: array<string, int>, apart: float, dry: Pigment}>  $all
     * @param  float  $perPaint what each paint of a mix has to be worth
     * @return list<array{parts: array<string, int>, apart: float, dry: Pigment}>
     */
    private static function nearest(array $all, int $most, float $perPaint = 0.0): array
    {
        $cost = fn (array $one): float => $one['apart'] + $perPaint * count($one['parts']);
        usort($all, fn (array $a, array $b): int => [$cost($a), $a['parts']] <=> [$cost($b), $b['parts']]);
        $out = [];
        foreach ($all as $one) {
            // Of the same paints the best parts only.
            $paints = array_keys($one['parts']);
            sort($paints);
            $key = $perPaint > 0.0 ? implode('|', $paints) : serialize($one['parts']);
            $out[$key] ??= $one;
            if (count($out) === $most) {
                break;
            }
        }

        return array_values($out);
    }

    /** @return list<array{int, int}> parts of two paints, none of which is a multiple of another */
    private static function ratios(): array
    {
        $out = [];
        for ($a = 1; $a <= self::MAX_PARTS; $a++) {
            for ($b = 1; $b <= self::MAX_PARTS; $b++) {
                for ($d = 2, $shared = false; $d <= min($a, $b) && ! $shared; $d++) {
                    $shared = $a % $d === 0 && $b % $d === 0;
                }
                if (! $shared) {
                    $out[] = [$a, $b];
                }
            }
        }

        return $out;
    }
}
