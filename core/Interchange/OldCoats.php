<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

/**
 * Coats as they were before a coat was an act: laid by stage wherever they stood, glue a coat of its own and dry before anything
 * could go into it. They are brought into the order in which they were laid, and glue becomes one with what lies in it.
 */
final class OldCoats
{
    private const COVER = ['fine-turf', 'coarse-turf', 'leaf-litter', 'sifted-soil', 'stone-streaks'];

    /** Glue that was dripped through a bed → as a way says it. */
    private const GLUES = [
        'white-glue-1-1' => 'white-1-1',
        'white-glue-thinned' => 'white-1-3',
        'white-glue-1-4' => 'white-1-4',
        'acrylic-medium-1-1' => 'acrylic-1-1',
        'acrylic-medium-1-3' => 'acrylic-1-3',
        'scenery-adhesive' => 'ready-1-0',
    ];

    private const FIBRES = ['fibre-2mm', 'fibre-4mm', 'fibre-6mm', 'fibre-10mm'];

    private const SPRAYS = ['spray-adhesive', 'layering-spray'];

    /**
     * @param  list<array<string, mixed>>  $coats with uid, zone, recipe and mm, as a file holds them, in its order
     * @param  list<string>  $begun uids of those that stay as they are
     * @param  callable(string): int  $stage of a recipe by its id
     * @return array<int, array<string, mixed>> those that are left, in their new order; each zone’s stand where its own stood
     */
    public static function brought(array $coats, array $begun, callable $stage): array
    {
        $zones = [];
        foreach ($coats as $k => $coat) {
            $zones[(string) $coat['zone']][$k] = $coat;
        }
        $out = [];
        foreach ($zones as $list) {
            $places = array_keys($list);
            usort($list, fn (array $a, array $b): int => $stage((string) $a['recipe']) <=> $stage((string) $b['recipe']));
            $free = fn (?array $coat): bool => $coat !== null && ! in_array($coat['uid'], $begun, true);
            foreach (self::acts($list, $free) as $k => $coat) {
                $out[$places[$k]] = $coat;
            }
        }
        ksort($out);

        return $out;
    }

    /**
     * @param  list<array<string, mixed>>  $list of a zone
     * @param  callable(array<string, mixed>|null): bool  $free whether it was not begun
     * @return list<array<string, mixed>>
     */
    private static function acts(array $list, callable $free): array
    {
        $out = [];
        $is = fn (int $k, array $ids): bool => $free($list[$k] ?? null) && in_array($list[$k]['recipe'], $ids, true);
        for ($k = 0; $k < count($list); $k++) {
            $coat = $list[$k];
            if ($is($k, ['scatter-in-paint'])) {
                $out[] = ['recipe' => 'fine-turf', 'way' => 'paint', 'mm' => 1.0] + $coat;
            } elseif ($is($k, ['white-glue-neat']) && $is($k + 1, self::COVER)) {
                $out[] = $list[++$k] + ['way' => 'bed-first+water+white-1-3'];
            } elseif ($is($k, self::SPRAYS) && $is($k + 1, self::FIBRES)) {
                $out[] = $list[++$k] + ['way' => 'sprayed'];
            } elseif ($is($k, self::COVER)) {
                [$way, $k] = self::after($is, $list, $k);
                $out[] = $coat + ($way === null ? [] : ['way' => $way]);
            } else {
                $out[] = $coat;
            }
        }

        return $out;
    }

    /**
     * How a cover was held by what came after it.
     *
     * @param  callable(int, list<string>): bool  $is
     * @param  list<array<string, mixed>>  $list
     * @return array{string|null, int} the way, and the last coat that is in it
     */
    private static function after(callable $is, array $list, int $k): array
    {
        if ($is($k + 1, ['lacquer-spray'])) {
            return ['lacquer', $k + 1];
        }
        $mist = $is($k + 1, ['alcohol-mist']);
        $glue = $k + ($mist ? 2 : 1);

        return $is($glue, array_keys(self::GLUES))
            ? ['flooded+'.($mist ? 'alcohol-33' : 'water').'+'.self::GLUES[$list[$glue]['recipe']], $glue]
            : ($mist
                ? ['flooded+alcohol-33+white-1-3', $k + 1]
                : [null, $k]);
    }
}
