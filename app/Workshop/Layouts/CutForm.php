<?php

declare(strict_types=1);

namespace App\Workshop\Layouts;

use App\Workshop\Typed;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\StockSheet;
use IdleRidge\Core\Measure\Refusal;

/** Reads what foam is cut from as it was typed; what is not sent stays as it stands. */
final class CutForm
{
    /** @return callable(): CutSettings which refuses what cannot be */
    public static function read(Typed $typed, CutSettings $old): callable
    {
        $first = $old->first();
        $school = CutSchool::tryFrom($typed->text('cuts.school')) ?? $old->school;
        $values = [];
        foreach (['sheet_mm' => $first->thickness, 'skin_mm' => $old->skin, 'sheet_width_mm' => $first->width, 'sheet_depth_mm' => $first->depth, 'kerf_mm' => $old->kerf, 'margin_mm' => $old->margin] as $key => $now) {
            $values[] = $typed->length("cuts.{$key}", $now, $now);
        }
        $price = $typed->has('cuts.price') ? self::price($typed, 'cuts.price') : $first->price;
        $rows = $typed->has('cuts.more') ? self::rows($typed, $old) : null;

        return fn (): CutSettings => CutSettings::of($school, ...[...$values, $rows === null ? array_slice($old->sheets, 1) : self::sheets($rows), $price]);
    }

    /** @return array<array-key, array{float, float, float, int|null, int|null}> rows with nothing typed are left out */
    private static function rows(Typed $typed, CutSettings $old): array
    {
        $rows = [];
        foreach (array_keys($typed->list('cuts.more')) as $k) {
            $at = fn (string $part): string => "cuts.more.{$k}.{$part}";
            if (implode('', array_map(fn (string $part): string => $typed->text($at($part)), ['sheet_mm', 'sheet_width_mm', 'sheet_depth_mm', 'count', 'price'])) === '') {
                continue;
            }
            $was = $old->sheets[(int) $k + 1] ?? null;
            $rows[$k] = [
                $typed->length($at('sheet_mm'), current: $was?->thickness), $typed->length($at('sheet_width_mm'), current: $was?->width), $typed->length($at('sheet_depth_mm'), current: $was?->depth),
                $typed->text($at('count')) === '' ? null : (int) $typed->number($at('count')), self::price($typed, $at('price')),
            ];
        }

        return $rows;
    }

    /** In minor units; nothing typed is no price yet. */
    private static function price(Typed $typed, string $field): ?int
    {
        return $typed->text($field) === '' ? null : (int) round(100.0 * $typed->number($field));
    }

    /**
     * @param array<array-key, array{float, float, float, int|null, int|null}> $rows
     * @return list<StockSheet>
     */
    private static function sheets(array $rows): array
    {
        $out = [];
        foreach ($rows as $k => $row) {
            try {
                $out[] = StockSheet::of(...$row);
            } catch (Refusal $refusal) {
                throw $refusal->within("cuts/more/{$k}");
            }
        }

        return $out;
    }
}
