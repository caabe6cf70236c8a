<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

/**
 * Several quantities in one field, group by group: corners “0,0 100,0”, crowns, gates. What belongs together stands between
 * commas or bars, groups stand after a semicolon; a blank parts both where nothing else does.
 */
final class Tuples
{
    /**
     * @param  list<string>  $units  of each value of a group, as the core keeps it
     * @param  string  $else  what is said of a group that is none
     * @param  int|null  $least  values that a group has at least; all unless it is said
     * @return list<list<float>>
     *
     * @throws InvalidValue
     */
    public static function parse(string $text, array $units, string $place, string $else, ?int $least = null): array
    {
        $groups = str_contains($text, ';') || preg_match('/[,|]\s/', $text) === 1 || preg_match('/[,|]/', $text) !== 1
            ? explode(';', $text)
            : (preg_split('/\s+/', $text) ?: []);
        $out = [];
        foreach (array_filter(array_map(trim(...), $groups), fn (string $one): bool => $one !== '') as $one) {
            $words = preg_match('/[,|]/', $one) === 1 ? preg_split('/\s*[,|]\s*/', $one) : preg_split('/\s+(?=-?\d)/', $one);
            if ($words === false || count($words) > count($units) || count($words) < ($least ?? count($units))) {
                throw new InvalidValue(Terms::quoted($one)." {$else}", $place);
            }
            $out[] = array_map(
                fn (string $word, string $unit): float => Amount::parse($word, $unit, $place),
                $words,
                array_slice($units, 0, count($words)),
            );
        }

        return $out;
    }

    /**
     * As a field shows them, for `parse` to read again.
     *
     * @param  list<list<float>>  $groups
     * @param  list<string>  $units
     */
    public static function text(array $groups, array $units, int $decimals = 1): string
    {
        $metric = UnitsInUse::current() === Units::Metric;

        return implode(
            $metric ? ' ' : '; ',
            array_map(
                fn (array $group): string => implode(
                    $metric ? ',' : ', ',
                    array_map(
                        fn (float $v, string $unit): string => Format::field($v, $unit, $decimals),
                        $group,
                        array_slice($units, 0, count($group)),
                    ),
                ),
                $groups,
            ),
        );
    }
}
