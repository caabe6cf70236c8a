<?php

declare(strict_types=1);

namespace App\Pages\Coats;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatPieces;
use IdleRidge\Core\Coats\FaceWork;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\ZoneArea;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Scale;

/** Grain, stripes, castings and joints of a coat, and the fields in which they are told. */
final class ShowPieces
{
    /**
     * @param  list<MaterialAmount>  $amounts of what is still to lay
     * @return array{asks: list<string>, values: array<string, string>, lines: list<string>}|null null where nothing of it is in pieces
     */
    public static function of(Coat $coat, ZoneArea $area, Scale $scale, array $amounts): ?array
    {
        $materials = $coat->recipe->materials();
        $asks = array_keys(
            array_filter([
                'stones' => $coat->recipe->family === Family::Ballast || in_array('stone scatter', $materials, true),
                'stripe' => in_array('stone scatter', $materials, true),
                'piece' => $coat->recipe->is(RecipeTrait::Castings),
                'joint' => $coat->recipe->is(RecipeTrait::Ruled),
            ]),
        );
        if ($asks === []) {
            return null;
        }
        $pieces = $coat->pieces ?? new CoatPieces();
        $n = fn (float $mm): string => Format::field($mm);

        return [
            'asks' => $asks,
            'values' => [
                'stones' => implode(', ', array_map(fn (float $s): string => $n($s), $pieces->stones)),
                'stripe' => $pieces->stripe > 0.0 ? $n($pieces->stripe) : '',
                'piece' => $pieces->piece === null ? '' : implode(' × ', array_map(fn (float $s): string => $n($s), $pieces->piece)),
                'joint' => $pieces->joint > 0.0 ? Format::field($pieces->joint / 1000.0, 'm') : '',
            ],
            'lines' => [
                ...self::stones($pieces, $area, $scale, $amounts),
                ...$pieces->piece === null
                    ? []
                    : [FaceWork::castings($area->surface * $coat->share, $pieces->piece).' castings, with some that break or are cut'],
                ...$pieces->joint <= 0.0
                    ? []
                    : [
                        FaceWork::joints($pieces->joint, $scale, $area->length()).' joints, '.
                            Format::length($scale->toModel($pieces->joint), 2).' apart',
                    ],
            ],
        ];
    }

    /**
     * @param  list<MaterialAmount>  $amounts
     * @return list<string>
     */
    private static function stones(CoatPieces $pieces, ZoneArea $area, Scale $scale, array $amounts): array
    {
        $isStone = fn (MaterialAmount $a): bool => $a->unit === 'g' && preg_match('/stone|ballast|cinders/', $a->material) === 1;
        $stone = array_values(array_filter($amounts, $isStone))[0] ?? null;
        $out = [];
        foreach (FaceWork::stripes($pieces, $area->length(), $stone->amount ?? 0.0) as $one) {
            $sieve = FaceWork::sieve($one['stone'], $scale);
            $out[] =
                Format::length($one['stone'], 1).' stone: sieve '.
                Format::several([$sieve['low'], $sieve['high']], 'mm', 2, ' to ').
                ($one['amount'] > 0.0 ? ', '.Format::text($one['amount'], 'g') : '').
                ($one['stripes'] > 0 ? ", in {$one['stripes']} ".($one['stripes'] === 1 ? 'stripe' : 'stripes') : '');
        }

        return $out;
    }
}
