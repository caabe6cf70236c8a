<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * What stands under the land, and what it has to pass: the board's top, the timbers of its frame with the widest gap between
 * cross pieces, the length that timber comes in (mm); what one person lifts (kg); an opening it is carried through (mm, null for
 * none); thin stuff to pack with (mm); the space it travels in (null for none).
 */
final readonly class BoardBuild
{
    /** @var list<float> */
    public array $packing;

    /**
     * @param  array{float, float}|null  $opening width, height
     * @param  list<float>  $packing
     *
     * @throws InvalidValue naming the value that cannot be
     */
    public function __construct(
        public float $top = 9.0,
        public float $timber = 18.0,
        public float $timberHigh = 70.0,
        public float $gap = 400.0,
        public float $stock = 2400.0,
        public float $lift = 12.0,
        public ?array $opening = null,
        array $packing = [1.0, 2.0, 3.0, 5.0],
        public ?LoadSpace $load = null,
    ) {
        InvalidValue::unlessBetween($top, 0.0, 60.0, 'The board’s top', 'mm', 'cuts/board/top_mm');
        InvalidValue::unlessBetween($timber, 3.0, 100.0, 'The frame’s timber', 'mm', 'cuts/board/timber_mm');
        InvalidValue::unlessBetween($timberHigh, 5.0, 300.0, 'The frame’s height', 'mm', 'cuts/board/timber_high_mm');
        InvalidValue::unlessBetween($gap, 50.0, 3000.0, 'The gap between cross pieces', 'mm', 'cuts/board/gap_mm');
        InvalidValue::unlessBetween($stock, 300.0, 10_000.0, 'The length of timber', 'mm', 'cuts/board/stock_mm');
        InvalidValue::unlessBetween($lift, 1.0, 100.0, 'What one person lifts', 'kg', 'cuts/board/lift_kg');
        foreach ($opening ?? [] as $k => $side) {
            InvalidValue::unlessBetween(
                $side,
                100.0,
                5000.0,
                'The opening',
                'mm',
                $k === 0 ? 'cuts/board/opening_width_mm' : 'cuts/board/opening_height_mm',
            );
        }
        foreach ($packing as $thick) {
            InvalidValue::unlessBetween($thick, 0.2, 50.0, 'A packing', 'mm', 'cuts/board/packing_mm');
        }
        sort($packing);
        $this->packing = array_values(array_unique($packing));
    }

    /**
     * Whether what is carried goes through the opening, straight and turned any way about its edges: the two lesser of its sides have to
     * pass. Null where no opening is set.
     *
     * @param  array{float, float, float}  $box mm
     * @return array{fits: bool, short: float}|null short by so much, mm
     */
    public function passes(array $box): ?array
    {
        if ($this->opening === null) {
            return null;
        }
        $opening = $this->opening;
        sort($box);
        sort($opening);
        $short = max(0.0, $box[0] - $opening[0], $box[1] - $opening[1]);

        return ['fits' => $short <= 0.0, 'short' => $short];
    }

    /** Of the board's top, kg. */
    public function topWeight(float $width, float $depth): float
    {
        return ($width * $depth * $this->top * Densities::PLYWOOD_KG_PER_M3) / 1e9;
    }

    /** @return array<string, float|list<float>> */
    public function toArray(): array
    {
        return [
            'top_mm' => $this->top,
            'timber_mm' => $this->timber,
            'timber_high_mm' => $this->timberHigh,
            'gap_mm' => $this->gap,
            'stock_mm' => $this->stock,
            'lift_kg' => $this->lift,
            'packing_mm' => $this->packing,
        ] + ($this->opening === null ? [] : ['opening_width_mm' => $this->opening[0], 'opening_height_mm' => $this->opening[1]]) +
            ($this->load?->toArray() ?? []);
    }
}
