<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Cuts\BoardBuild;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\Risers;
use IdleRidge\Core\Cuts\ShellBuild;
use IdleRidge\Core\Cuts\StockSheet;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Shelf\PackPrice;
use IdleRidge\Core\Shelf\SheetLot;
use IdleRidge\Core\Shelf\StockMovement;

/** What foam is cut from and what lies in store, as files and rows hold it. */
final class StockFile
{
    /** @throws InvalidValue with its pointer */
    public static function cuts(Record $r): CutSettings
    {
        $school =
            CutSchool::tryFrom($r->text('school')) ??
            throw new InvalidValue('the school is '.implode(', ', array_column(CutSchool::cases(), 'value')), $r->at('school'));
        $cuts = CutSettings::of(
            $school,
            $r->number('sheet_mm'),
            $r->number('skin_mm'),
            $r->number('sheet_width_mm'),
            $r->number('sheet_depth_mm'),
            $r->number('kerf_mm', 1.5),
            $r->number('margin_mm', 0.0),
            self::sheets($r),
            self::whole($r, 'price'),
            $r->numberOrNull('hollow_mm'),
            $r->number('plate_mm', 0.0),
            $r->number('riser_gap_mm', Risers::MAX_GAP_MM),
            $r->has('board') ? self::board($r->record('board')) : null,
            $r->has('shell') ? self::shell($r->record('shell')) : null,
        );
        $r->close();

        return $cuts;
    }

    /** @return list<StockSheet> */
    private static function sheets(Record $r): array
    {
        return array_map(
            fn (Record $s): StockSheet => $s->within(function () use ($s): StockSheet {
                $sheet = new StockSheet(
                    $s->number('sheet_mm'),
                    $s->number('sheet_width_mm'),
                    $s->number('sheet_depth_mm'),
                    null,
                    self::whole($s, 'price'),
                );
                $s->close();

                return $sheet;
            }),
            $r->has('more') ? $r->records('more') : [],
        );
    }

    public static function lot(Record $r, string $uid): SheetLot
    {
        return new SheetLot(
            $uid,
            $r->text('kind'),
            $r->number('sheet_mm'),
            $r->number('sheet_width_mm'),
            $r->number('sheet_depth_mm'),
            $r->extra(),
        );
    }

    public static function price(Record $r, string $uid): PackPrice
    {
        return $r->within(
            fn (): PackPrice => new PackPrice($uid, $r->text('material'), $r->number('amount'), (int) $r->number('minor'), $r->extra()),
        );
    }

    /** @return array<string, mixed> */
    public static function fromPrice(PackPrice $p): array
    {
        return ['uid' => $p->uid, 'material' => $p->material, 'amount' => $p->amount, 'minor' => $p->minor] + $p->extra;
    }

    public static function movement(Record $r, string $uid): StockMovement
    {
        return new StockMovement(
            $uid,
            $r->text('lot'),
            (int) $r->number('by'),
            $r->text('cause'),
            $r->has('section') ? $r->text('section') : null,
            WorksFile::moment($r, 'at'),
            $r->extra(),
        );
    }

    /** @return array<string, mixed> */
    public static function fromLot(SheetLot $l): array
    {
        return [
            'uid' => $l->uid,
            'kind' => $l->kind,
            'sheet_mm' => $l->thickness,
            'sheet_width_mm' => $l->width,
            'sheet_depth_mm' => $l->depth,
        ] + $l->extra;
    }

    /** @return array<string, mixed> */
    public static function fromMovement(StockMovement $m): array
    {
        return ['uid' => $m->uid, 'lot' => $m->lot, 'by' => $m->by, 'cause' => $m->cause, 'at' => WorksFile::iso($m->at)] +
            ($m->section === null ? [] : ['section' => $m->section]) +
            $m->extra;
    }

    private static function board(Record $r): BoardBuild
    {
        $usual = new BoardBuild();
        $opening = $r->has('opening_width_mm') ? [$r->number('opening_width_mm'), $r->number('opening_height_mm')] : null;
        $packing = $r->has('packing_mm')
            ? array_map(
                fn (mixed $v): float => is_int($v) || is_float($v)
                    ? (float) $v
                    : throw new InvalidValue('expected a number', $r->at('packing_mm')),
                $r->list('packing_mm'),
            )
            : $usual->packing;
        $board = new BoardBuild(
            $r->number('top_mm', $usual->top),
            $r->number('timber_mm', $usual->timber),
            $r->number('timber_high_mm', $usual->timberHigh),
            $r->number('gap_mm', $usual->gap),
            $r->number('stock_mm', $usual->stock),
            $r->number('lift_kg', $usual->lift),
            $opening,
            array_values($packing),
        );
        $r->close();

        return $board;
    }

    private static function shell(Record $r): ShellBuild
    {
        $usual = new ShellBuild();
        $shell = new ShellBuild(
            $r->number('rib_gap_mm', $usual->ribGap),
            $r->number('strip_gap_mm', $usual->stripGap),
            $r->number('strip_mm', $usual->strip),
            $r->number('cloth_width_mm', $usual->clothWidth),
            $r->number('cloth_length_mm', $usual->clothLength),
            $r->number('overlap', $usual->overlap),
            (int) $r->number('layers', (float) $usual->layers),
        );
        $r->close();

        return $shell;
    }

    private static function whole(Record $r, string $key): ?int
    {
        $value = $r->numberOrNull($key);

        return $value === null ? null : (int) round($value);
    }
}
