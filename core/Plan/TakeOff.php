<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

/** What the coats still to lay take, waste included; `atHand` is what has to lie ready. */
final class TakeOff
{
    /**
     * One row for each coat and material.
     *
     * @return list<array{section: string, zone: string, coat: string, material: string, amount: float, at_hand: float, unit: string}>
     */
    public static function items(BenchWork $work, ?string $section = null): array
    {
        $rows = [];
        foreach ($work->moves as $move) {
            if ($section !== null && $move->section->uid !== $section) {
                continue;
            }
            foreach ($move->amounts as $amount) {
                $key = "{$move->coat->uid}|{$amount->material}|{$amount->unit}";
                $rows[$key] ??= [
                    'section' => $move->section->name,
                    'zone' => $move->zone->name,
                    'coat' => $move->coat->title(),
                    'material' => $amount->material,
                    'amount' => 0.0,
                    'at_hand' => 0.0,
                    'unit' => $amount->unit,
                ];
                $rows[$key]['amount'] += $amount->amount;
                $rows[$key]['at_hand'] += $amount->atHand();
            }
        }

        return array_values($rows);
    }

    /**
     * By material, with the coats that take it.
     *
     * @return list<array{material: string, amount: float, at_hand: float, unit: string, for: list<string>}> most first by name
     */
    public static function byMaterial(BenchWork $work, ?string $section = null): array
    {
        $sums = [];
        foreach (self::items($work, $section) as $item) {
            $key = "{$item['material']}|{$item['unit']}";
            $sums[$key] ??= ['material' => $item['material'], 'amount' => 0.0, 'at_hand' => 0.0, 'unit' => $item['unit'], 'for' => []];
            $sums[$key]['amount'] += $item['amount'];
            $sums[$key]['at_hand'] += $item['at_hand'];
            $sums[$key]['for'][] = $item['zone'];
        }
        foreach ($sums as $key => $sum) {
            $sums[$key]['for'] = array_values(array_unique($sum['for']));
        }
        ksort($sums);

        return array_values($sums);
    }
}
