<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Measure\Inches;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Units;

/**
 * What a layout cuts its land from: school, skin over the foam, what a cut takes, what stays free along a sheet's edges, what
 * stays around hollows (null for none), the plate under track, the gap between risers (mm), and the sheets there are.
 */
final readonly class CutSettings
{
    private const MAX_SHEET_KINDS = 8;

    /**
     * @param  non-empty-list<StockSheet>  $sheets the first is the one that foam is bought as
     * @param  float|null  $hollow what stays around a hollow, mm; null for none
     *
     * @throws InvalidValue naming the value that cannot be
     */
    public function __construct(
        public CutSchool $school,
        public float $skin,
        public float $kerf,
        public float $margin,
        public array $sheets,
        public ?float $hollow,
        public float $plate,
        public float $riserGap,
        public BoardBuild $board,
        public ShellBuild $shell,
    ) {
        InvalidValue::unlessBetween($skin, 0.0, 30.0, 'The skin', 'mm', 'cuts/skin_mm');
        InvalidValue::unlessBetween($kerf, 0.0, 20.0, 'The kerf', 'mm', 'cuts/kerf_mm');
        InvalidValue::unlessBetween($margin, 0.0, 0.4 * min($sheets[0]->width, $sheets[0]->depth), 'The margin', 'mm', 'cuts/margin_mm');
        if ($hollow !== null) {
            InvalidValue::unlessBetween($hollow, 20.0, 500.0, 'What stays around a hollow', 'mm', 'cuts/hollow_mm');
        }
        InvalidValue::unlessBetween($plate, 0.0, 50.0, 'The plate under track', 'mm', 'cuts/plate_mm');
        InvalidValue::unlessBetween($riserGap, 20.0, 1000.0, 'The gap between risers', 'mm', 'cuts/riser_gap_mm');
        if (count($this->kinds()) > self::MAX_SHEET_KINDS) {
            throw new InvalidValue(sprintf('At most %d kinds of sheet.', self::MAX_SHEET_KINDS), 'cuts/more');
        }
    }

    /**
     * @param  list<StockSheet>  $more sheets beside the first kind
     *
     * @throws InvalidValue naming the value that cannot be
     */
    public static function of(
        CutSchool $school = CutSchool::Carved,
        float $thickness = 20.0,
        float $skin = 3.0,
        float $sheetWidth = 1250.0,
        float $sheetDepth = 600.0,
        float $kerf = 1.5,
        float $margin = 0.0,
        array $more = [],
        ?int $price = null,
        ?float $hollow = null,
        float $plate = 0.0,
        float $riserGap = Risers::MAX_GAP_MM,
        ?BoardBuild $board = null,
        ?ShellBuild $shell = null,
    ): self {
        try {
            $first = new StockSheet($thickness, $sheetWidth, $sheetDepth, null, $price);
        } catch (InvalidValue $invalid) {
            throw $invalid->within('cuts');
        }

        return new self(
            $school,
            $skin,
            $kerf,
            $margin,
            [$first, ...$more],
            $hollow,
            $plate,
            $riserGap,
            $board ?? new BoardBuild(),
            $shell ?? new ShellBuild(),
        );
    }

    public function by(CutSchool $school): self
    {
        return new self(...['school' => $school] + get_object_vars($this));
    }

    public function first(): StockSheet
    {
        return $this->sheets[0];
    }

    /** What a new layout begins with: sheets, timber and packing by the sizes they are sold in. */
    public static function starting(Units $units): self
    {
        if ($units === Units::Metric) {
            return self::of();
        }
        $inches = fn (float $n): float => $n * Inches::MM;

        return self::of(
            thickness: $inches(1.0),
            skin: $inches(0.125),
            sheetWidth: $inches(48.0),
            sheetDepth: $inches(24.0),
            kerf: $inches(0.0625),
            riserGap: $inches(4.0),
            board: new BoardBuild(
                $inches(0.375),
                $inches(0.75),
                $inches(2.75),
                $inches(16.0),
                $inches(96.0),
                packing: array_map($inches, [0.0625, 0.125, 0.25, 0.5]),
            ),
            shell: new ShellBuild($inches(6.0), $inches(1.5), $inches(0.625), $inches(6.0), $inches(10.0)),
        );
    }

    /** @return list<StockSheet> of a thickness, those in store before those that are bought */
    public function ofThickness(float $thickness): array
    {
        $all = array_values(array_filter($this->sheets, fn (StockSheet $s): bool => abs($s->thickness - $thickness) < 1e-6));
        usort($all, fn (StockSheet $a, StockSheet $b): int => [$a->count === null, $a->area()] <=> [$b->count === null, $b->area()]);

        return $all;
    }

    /**
     * The same with what lies in store beside what can be bought.
     *
     * @param  list<StockSheet>  $inStore
     */
    public function with(array $inStore): self
    {
        return new self(...['sheets' => [...$this->sheets, ...$inStore]] + get_object_vars($this));
    }

    /** @return list<StockSheet> that can be bought */
    public function kinds(): array
    {
        return array_values(array_filter($this->sheets, fn (StockSheet $s): bool => $s->count === null));
    }

    /** @return list<float> that there are, from the thinnest */
    public function thicknesses(): array
    {
        $all = array_unique(array_map(fn (StockSheet $s): float => $s->thickness, $this->sheets));
        sort($all);

        return $all;
    }

    /** @return list<float> thicknesses to pack with, of sheets and thin stuff */
    public function packings(): array
    {
        return [...$this->thicknesses(), ...$this->board->packing];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $more = array_map(fn (StockSheet $s): array => $s->toArray(), array_slice($this->kinds(), 1));

        return ['school' => $this->school->value, 'skin_mm' => $this->skin, 'kerf_mm' => $this->kerf, 'margin_mm' => $this->margin] +
            $this->first()->toArray() +
            ($more === [] ? [] : ['more' => $more]) +
            ($this->hollow === null ? [] : ['hollow_mm' => $this->hollow]) + [
                'plate_mm' => $this->plate,
                'riser_gap_mm' => $this->riserGap,
                'board' => $this->board->toArray(),
                'shell' => $this->shell->toArray(),
            ];
    }
}
