<?php

declare(strict_types=1);

namespace App\Actions\Layouts;

use App\Actions\FormInput;
use IdleRidge\Core\Cuts\BoardBuild;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\LoadSpace;
use IdleRidge\Core\Cuts\ShellBuild;
use IdleRidge\Core\Cuts\StockSheet;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;

/** Reads what foam is cut from as it was typed; what is not sent stays as it stands. */
final class CutSettingsInput
{
    /** @return callable(): CutSettings which refuses what cannot be */
    public static function read(FormInput $typed, CutSettings $old): callable
    {
        $first = $old->first();
        $school = CutSchool::tryFrom($typed->text('cuts.school')) ?? $old->school;
        $values = [];
        foreach (
            [
                'sheet_mm' => $first->thickness,
                'skin_mm' => $old->skin,
                'sheet_width_mm' => $first->width,
                'sheet_depth_mm' => $first->depth,
                'kerf_mm' => $old->kerf,
                'margin_mm' => $old->margin,
            ] as $key => $now
        ) {
            $values[] = $typed->length("cuts.{$key}", $now, $now);
        }
        $price = $typed->has('cuts.price') ? self::price($typed, 'cuts.price') : $first->price;
        $rows = $typed->has('cuts.more') ? self::rows($typed, $old) : null;

        $hollow = $typed->has('cuts.hollow_mm')
            ? ($typed->text('cuts.hollow_mm') === ''
                ? null
                : $typed->length('cuts.hollow_mm', current: $old->hollow))
            : $old->hollow;
        $plate = $typed->length('cuts.plate_mm', $old->plate, $old->plate);
        $gap = $typed->length('cuts.riser_gap_mm', $old->riserGap, $old->riserGap);
        $board = self::board($typed, $old->board);
        $shell = self::shell($typed, $old->shell);

        return fn (): CutSettings => CutSettings::of(
            $school,
            ...[
                ...$values,
                $rows === null ? array_slice($old->sheets, 1) : self::sheets($rows),
                $price,
                $hollow,
                $plate,
                $gap,
                $board(),
                $shell(),
            ],
        );
    }

    /** Thicknesses as a form shows them. */
    public static function packingOf(BoardBuild $board): string
    {
        return implode('; ', array_map(fn (float $mm): string => Format::field($mm), $board->packing));
    }

    /** @return callable(): BoardBuild */
    private static function board(FormInput $typed, BoardBuild $old): callable
    {
        $values = [];
        foreach (
            [
                'top_mm' => $old->top,
                'timber_mm' => $old->timber,
                'timber_high_mm' => $old->timberHigh,
                'gap_mm' => $old->gap,
                'stock_mm' => $old->stock,
            ] as $key => $now
        ) {
            $values[] = $typed->length("cuts.board.{$key}", $now, $now);
        }
        $values[] = $typed->amount('cuts.board.lift_kg', 'kg', $old->lift, $old->lift, 1);
        $opening = $old->opening;
        if ($typed->has('cuts.board.opening_width_mm')) {
            $none = $typed->text('cuts.board.opening_width_mm').$typed->text('cuts.board.opening_height_mm') === '';
            $opening = $none
                ? null
                : [
                    $typed->length('cuts.board.opening_width_mm', current: $old->opening[0] ?? null),
                    $typed->length('cuts.board.opening_height_mm', current: $old->opening[1] ?? null),
                ];
        }
        $packing = $old->packing;
        if ($typed->has('cuts.board.packing_mm') && $typed->text('cuts.board.packing_mm') !== self::packingOf($old)) {
            $packing = $typed->amounts('cuts.board.packing_mm', 'mm');
        }

        $load = self::load($typed, $old->load);

        return fn (): BoardBuild => new BoardBuild(...[...$values, $opening, $packing, $load()]);
    }

    /** @return callable(): ?LoadSpace all of its fields left empty: none */
    private static function load(FormInput $typed, ?LoadSpace $old): callable
    {
        if (! $typed->has('cuts.board.load_length_mm')) {
            return fn (): ?LoadSpace => $old;
        }
        $sides = ['load_length_mm' => $old?->length, 'load_width_mm' => $old?->width, 'load_height_mm' => $old?->height];
        if (implode('', array_map(fn (string $key): string => $typed->text("cuts.board.{$key}"), array_keys($sides))) === '') {
            return fn (): ?LoadSpace => null;
        }
        $values = [];
        foreach ($sides as $key => $now) {
            $values[] = $typed->length("cuts.board.{$key}", current: $now);
        }
        $limit = $typed->text('cuts.board.load_limit_kg') === ''
            ? null
            : $typed->amount('cuts.board.load_limit_kg', 'kg', current: $old?->limit, decimals: 1);

        return fn (): LoadSpace => new LoadSpace(...[...$values, $limit]);
    }

    /** @return callable(): ShellBuild */
    private static function shell(FormInput $typed, ShellBuild $old): callable
    {
        $values = [];
        foreach (
            [
                'rib_gap_mm' => $old->ribGap,
                'strip_gap_mm' => $old->stripGap,
                'strip_mm' => $old->strip,
                'cloth_width_mm' => $old->clothWidth,
                'cloth_length_mm' => $old->clothLength,
            ] as $key => $now
        ) {
            $values[] = $typed->length("cuts.shell.{$key}", $now, $now);
        }
        $overlap = $typed->has('cuts.shell.overlap') ? $typed->number('cuts.shell.overlap', 100.0 * $old->overlap) / 100.0 : $old->overlap;
        $layers = $typed->number('cuts.shell.layers', (float) $old->layers);

        return fn (): ShellBuild => new ShellBuild(...[...$values, $overlap, is_nan($layers) ? 0 : (int) $layers]);
    }

    /** @return array<array-key, array{float, float, float, int|null, int|null}> rows with nothing typed are left out */
    private static function rows(FormInput $typed, CutSettings $old): array
    {
        $rows = [];
        foreach (array_keys($typed->list('cuts.more')) as $k) {
            $at = fn (string $part): string => "cuts.more.{$k}.{$part}";
            if (
                implode(
                    '',
                    array_map(fn (string $part): string => $typed->text($at($part)), [
                        'sheet_mm',
                        'sheet_width_mm',
                        'sheet_depth_mm',
                        'count',
                        'price',
                    ]),
                ) === ''
            ) {
                continue;
            }
            $was = $old->sheets[(int) $k + 1] ?? null;
            $rows[$k] = [
                $typed->length($at('sheet_mm'), current: $was?->thickness),
                $typed->length($at('sheet_width_mm'), current: $was?->width),
                $typed->length($at('sheet_depth_mm'), current: $was?->depth),
                $typed->text($at('count')) === '' ? null : (int) $typed->number($at('count')),
                self::price($typed, $at('price')),
            ];
        }

        return $rows;
    }

    /** In minor units; nothing typed is no price yet. */
    private static function price(FormInput $typed, string $field): ?int
    {
        return $typed->text($field) === '' ? null : (int) round(100.0 * $typed->number($field));
    }

    /**
     * @param  array<array-key, array{float, float, float, int|null, int|null}>  $rows
     * @return list<StockSheet>
     */
    private static function sheets(array $rows): array
    {
        $out = [];
        foreach ($rows as $k => $row) {
            try {
                $out[] = new StockSheet(...$row);
            } catch (InvalidValue $refusal) {
                throw $refusal->within("cuts/more/{$k}");
            }
        }

        return $out;
    }
}
