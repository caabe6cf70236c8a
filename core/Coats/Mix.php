<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Shelf\PackPrice;

/** Several materials by parts, as one writes them: “3 sifted soil, 1 pale unsanded grout”. */
final class Mix
{
    /**
     * @param  array<string, Material>  $materials by name
     * @return non-empty-list<array{material: string, parts: float}>
     *
     * @throws InvalidValue at `of` for what is no part, no material, or not measured like the rest
     */
    public static function read(string $text, array $materials): array
    {
        $of = [];
        $names = array_combine(array_map(mb_strtolower(...), array_keys($materials)), array_keys($materials));
        foreach (preg_split('/\s*[,;\n]\s*/', trim($text), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            if (preg_match('/^(?:(\d+(?:[.]\d+)?)\s+)?(.+)$/u', $word, $found) !== 1) {
                throw new InvalidValue("“{$word}” is no part of a mix: parts and a material, such as 3 sifted soil.", 'of');
            }
            $typed = mb_strtolower(trim($found[2]));
            $name = $names[$typed] ?? throw new InvalidValue("There is no material “{$typed}”.", 'of');
            $of[] = ['material' => $name, 'parts' => $found[1] === '' ? 1.0 : (float) $found[1]];
        }
        if ($of === []) {
            throw new InvalidValue('A mix is of something: parts and a material, such as 3 sifted soil.', 'of');
        }
        $units = array_unique(array_map(fn (array $one): string => $materials[$one['material']]->unit, $of));
        if (count($units) > 1) {
            throw new InvalidValue('These are not measured alike ('.implode(' and ', $units).'): they cannot be mixed by parts.', 'of');
        }

        return $of;
    }

    /** @param  list<array{material: string, parts: float}>  $of */
    public static function words(array $of): string
    {
        $parts = fn (array $one): string => count($of) === 1 ? '' : Decimal::trimmed($one['parts'], 2).' ';

        return implode(', ', array_map(fn (array $one): string => $parts($one).$one['material'], $of));
    }

    /**
     * What a litre of it costs, or a kilogram of what is weighed, in the currency's smallest unit; null where a price is missing.
     *
     * @param  list<array{material: string, parts: float}>  $of
     * @param  list<PackPrice>  $prices
     */
    public static function cost(array $of, array $prices): ?int
    {
        $sum = array_sum(array_column($of, 'parts'));
        $used = [];
        foreach ($of as $one) {
            $used[$one['material']] = ($used[$one['material']] ?? 0.0) + (1000.0 * $one['parts']) / $sum;
        }
        // Water from the tap has none.
        unset($used['water'], $used['wet water']);
        [$minor, $unpriced] = PackPrice::cost($used, $prices);

        return $unpriced === [] ? $minor : null;
    }
}
