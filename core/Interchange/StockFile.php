<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Cuts\BoardBuild;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\LoadSpace;
use IdleRidge\Core\Cuts\Risers;
use IdleRidge\Core\Cuts\ShellBuild;
use IdleRidge\Core\Cuts\StandingFoam;
use IdleRidge\Core\Cuts\StockSheet;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Shelf\Cup;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\PackPrice;
use IdleRidge\Core\Shelf\Pot;
use IdleRidge\Core\Shelf\SheetKind;
use IdleRidge\Core\Shelf\SheetLot;
use IdleRidge\Core\Shelf\ShelfRules;
use IdleRidge\Core\Shelf\StockMovement;

/** What foam is cut from and what lies in store, as files and rows hold it. */
final class StockFile
{
    /** A block of foam that stands. */
    private const BLOCK = ['x_mm', 'y_mm', 'width_mm', 'depth_mm', 'high_mm'];

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

    public static function lot(Record $r, string $uid): SheetLot|MaterialLot|Pot
    {
        return match ($r->text('kind')) {
            'material' => $r->within(fn (): MaterialLot => self::material($r, $uid)),
            'pot' => $r->within(fn (): Pot => self::pot($r, $uid)),
            default => new SheetLot(
                $uid,
                InvalidValue::unlessOneOf(SheetKind::class, $r->text('kind'), $r->at('kind')),
                $r->number('sheet_mm'),
                $r->number('sheet_width_mm'),
                $r->number('sheet_depth_mm'),
                $r->extra(),
            ),
        };
    }

    private static function material(Record $r, string $uid): MaterialLot
    {
        $day = fn (string $key): ?string => $r->has($key) ? $r->text($key) : null;

        return new MaterialLot(
            $uid,
            $r->text('material'),
            $r->text('unit'),
            $r->numberOrNull('pack'),
            self::whole($r, 'minor'),
            $r->text('supplier', ''),
            $r->text('mark', ''),
            $day('bought_on'),
            $r->has('opened_at') ? WorksFile::moment($r, 'opened_at') : null,
            $day('best_before'),
            self::whole($r, 'keeps_days'),
            $r->numberOrNull('tare_g'),
            $r->numberOrNull('strength'),
            $r->flag('recovered'),
            $r->extra(),
        );
    }

    private static function pot(Record $r, string $uid): Pot
    {
        $parts = array_map(function (Record $p): array {
            $part = ['material' => $p->text('material'), 'amount' => $p->number('amount'), 'unit' => $p->text('unit')];
            $p->close();

            return $part;
        }, $r->records('parts'));
        if ($parts === []) {
            throw new InvalidValue('a pot is of something', $r->at('parts'));
        }

        return new Pot(
            $uid,
            $r->text('title'),
            $r->text('mixture'),
            $r->text('unit'),
            $parts,
            $r->words('moves'),
            WorksFile::moment($r, 'mixed_at'),
            $r->has('workable_until') ? WorksFile::moment($r, 'workable_until') : null,
            $r->has('keeps_until') ? WorksFile::moment($r, 'keeps_until') : null,
            array_map(fn (string $at): int => WorksFile::minute($at, $r->at('stirred')), $r->words('stirred')),
            made: $r->number('made'),
            extra: $r->extra(),
        );
    }

    public static function price(Record $r, string $uid): PackPrice
    {
        return $r->within(
            fn (): PackPrice => new PackPrice(
                $uid,
                $r->text('material'),
                $r->number('amount'),
                (int) $r->number('minor'),
                supplier: $r->text('supplier', ''),
                available: self::whole($r, 'available'),
                extra: $r->extra(),
            ),
        );
    }

    /** @return array<string, mixed> */
    public static function fromPrice(PackPrice $p): array
    {
        return ['uid' => $p->uid, 'material' => $p->material, 'amount' => $p->amount, 'minor' => $p->minor] +
            self::told(['supplier' => $p->supplier, 'available' => $p->available]) +
            $p->extra;
    }

    public static function movement(Record $r, string $uid): StockMovement
    {
        return $r->within(
            fn (): StockMovement => new StockMovement(
                $uid,
                $r->text('lot'),
                $r->number('by'),
                InvalidValue::unlessOneOf(MovementCause::class, $r->text('cause'), 'cause'),
                $r->has('section') ? $r->text('section') : null,
                WorksFile::moment($r, 'at'),
                for: $r->has('for') ? $r->text('for') : null,
                extra: $r->extra(),
            ),
        );
    }

    /** @return array<string, mixed> */
    public static function fromLot(SheetLot|MaterialLot|Pot $l): array
    {
        return match (true) {
            $l instanceof MaterialLot => ['uid' => $l->uid, 'kind' => 'material', 'material' => $l->material, 'unit' => $l->unit] +
                self::told([
                    'pack' => $l->pack,
                    'minor' => $l->minor,
                    'supplier' => $l->supplier,
                    'mark' => $l->mark,
                    'bought_on' => $l->boughtOn,
                    'opened_at' => $l->openedAt === null ? null : WorksFile::iso($l->openedAt),
                    'best_before' => $l->bestBefore,
                    'keeps_days' => $l->keepsDays,
                    'tare_g' => $l->tare,
                    'strength' => $l->strength,
                    'recovered' => $l->recovered ? true : null,
                ]),
            $l instanceof Pot => ['uid' => $l->uid, 'kind' => 'pot', 'title' => $l->title, 'mixture' => $l->mixture, 'unit' => $l->unit] +
                ['made' => $l->made, 'parts' => $l->parts, 'moves' => $l->moves, 'mixed_at' => WorksFile::iso($l->mixedAt)] +
                self::told([
                    'workable_until' => $l->workableUntil === null ? null : WorksFile::iso($l->workableUntil),
                    'keeps_until' => $l->keepsUntil === null ? null : WorksFile::iso($l->keepsUntil),
                    'stirred' => $l->stirred === [] ? null : array_map(WorksFile::iso(...), $l->stirred),
                ]),
            default => [
                'uid' => $l->uid,
                'kind' => $l->kind->value,
                'sheet_mm' => $l->thickness,
                'sheet_width_mm' => $l->width,
                'sheet_depth_mm' => $l->depth,
            ],
        } + $l->extra;
    }

    /** @return array<string, mixed> */
    public static function fromMovement(StockMovement $m): array
    {
        $by = floor($m->by) === $m->by ? (int) $m->by : $m->by;

        return ['uid' => $m->uid, 'lot' => $m->lot, 'by' => $by, 'cause' => $m->cause->value, 'at' => WorksFile::iso($m->at)] +
            self::told(['section' => $m->section, 'for' => $m->for]) +
            $m->extra;
    }

    /** @throws InvalidValue with its pointer */
    public static function rules(Record $r): ShelfRules
    {
        $carriage = $r->has('carriage') ? array_map(fn (float $n): int => (int) round($n), $r->record('carriage')->numbers()) : [];
        $cups = array_map(fn (Record $c): Cup => $c->within(function () use ($c): Cup {
            $cup = new Cup($c->text('name'), $c->number('ml'), $c->numberOrNull('tare_g'));
            $c->close();

            return $cup;
        }), $r->records('cups'));
        $rules = $r->within(
            fn (): ShelfRules => new ShelfRules(
                $r->has('shop_on') ? $r->text('shop_on') : null,
                self::whole($r, 'budget'),
                $carriage,
                $cups,
            ),
        );
        $r->close();

        return $rules;
    }

    /** @return array<string, array<string, mixed>> nothing where all is as usual */
    public static function fromRules(ShelfRules $rules): array
    {
        $cups = array_map(fn (Cup $c): array => self::told(['name' => $c->name, 'ml' => $c->ml, 'tare_g' => $c->tare]), $rules->cups);
        $told = self::told([
            'shop_on' => $rules->shopOn,
            'budget' => $rules->budget,
            'carriage' => $rules->carriage === [] ? null : $rules->carriage,
            'cups' => $cups === [] ? null : $cups,
        ]);

        return $told === [] ? [] : ['shelf' => $told];
    }

    /**
     * What there is to say.
     *
     * @param  array<string, mixed>  $values
     * @return array<string, mixed>
     */
    private static function told(array $values): array
    {
        return array_filter($values, fn (mixed $v): bool => $v !== null && $v !== '');
    }

    private static function board(Record $r): BoardBuild
    {
        $usual = new BoardBuild();
        $opening = $r->has('opening_width_mm') ? [$r->number('opening_width_mm'), $r->number('opening_height_mm')] : null;
        $load = $r->has('load_length_mm')
            ? new LoadSpace(
                $r->number('load_length_mm'),
                $r->number('load_width_mm'),
                $r->number('load_height_mm'),
                $r->has('load_limit_kg') ? $r->number('load_limit_kg') : null,
            )
            : null;
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
            $load,
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

    /**
     * @param  list<Record>  $records
     * @return list<StandingFoam>
     */
    public static function standing(array $records): array
    {
        $blocks = [];
        foreach ($records as $r) {
            $blocks[] = array_map($r->number(...), self::BLOCK);
            $r->close();
        }

        return StandingFoam::all($blocks);
    }

    /**
     * @param  list<StandingFoam>  $standing
     * @return list<array<string, float>>
     */
    public static function fromStanding(array $standing): array
    {
        return array_map(fn (StandingFoam $f): array => array_combine(self::BLOCK, $f->values()), $standing);
    }
}
