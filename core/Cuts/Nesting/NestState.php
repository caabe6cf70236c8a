<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts\Nesting;

/**
 * Sheets with the pieces that were laid so far. One more piece makes another state of it, so that an order that is changed goes on from
 * where it parts from the old one.
 */
final readonly class NestState
{
    private const UNPLACED_COST = 1e6;

    private const SHEET_COST = 3000.0;

    /** Of pieces that could all lie further left, the sum of their places says so where the length does not, mm a mm. */
    private const REACH_COST = 0.01;

    /**
     * @param  float  $column width of the columns that it is looked at in, mm
     * @param  list<array{SheetFill, int}>  $open sheets in use, and which of their kind each is
     * @param  list<int>  $left how many of each kind are left
     * @param  list<array{piece: string, sheet: string, index: int, rotation: float, dx: float, dy: float}>  $placements
     * @param  list<int>  $unplaced
     */
    private function __construct(
        private NestProblem $problem,
        private float $column,
        private array $open,
        private array $left,
        private array $placements,
        private array $unplaced,
        private float $area,
        private float $reach,
    ) {
    }

    public static function empty(NestProblem $problem, float $column): self
    {
        return new self($problem, $column, [], array_map(fn (NestSheet $s): int => $s->count, $problem->sheets), [], [], 0.0, 0.0);
    }

    /**
     * With one more piece on the first sheet that takes it, where it ends furthest left, and there lowest.
     *
     * @param  list<PieceShadow>  $shadows it in the rotations allowed
     * @param  bool  $held whether the first is meant, and the others stand in only where it does not fit
     */
    public function with(int $piece, array $shadows, bool $held): self
    {
        [$open, $left] = [$this->open, $this->left];
        foreach ($open as $k => [$fill]) {
            $place = $fill->best($shadows, $held);
            if ($place !== null) {
                return $this->laid($piece, $k, $place, $open, $left);
            }
        }
        foreach ($this->problem->sheets as $k => $sheet) {
            $fill = $left[$k] > 0 ? new SheetFill($sheet, $this->column, $this->problem->margin) : null;
            $place = $fill?->best($shadows, $held);
            if ($fill !== null && $place !== null) {
                $open[] = [$fill, $sheet->count - $left[$k]];
                $left[$k]--;

                return $this->laid($piece, count($open) - 1, $place, $open, array_values($left));
            }
        }

        return new self(
            $this->problem,
            $this->column,
            $open,
            $left,
            $this->placements,
            [...$this->unplaced, $piece],
            $this->area,
            $this->reach,
        );
    }

    /**
     * @param  array{PieceShadow, int, float}  $place
     * @param  list<array{SheetFill, int}>  $open
     * @param  list<int>  $left
     */
    private function laid(int $piece, int $sheet, array $place, array $open, array $left): self
    {
        [$shadow, $at, $foot] = $place;
        [$fill, $index] = $open[$sheet];
        $open[$sheet] = [$fill->with($shadow, $at, $foot), $index];
        $x = $at * $this->column;

        return new self(
            $this->problem,
            $this->column,
            array_values($open),
            $left,
            [
                ...$this->placements,
                [
                    'piece' => $this->problem->pieces[$piece]->id,
                    'sheet' => $fill->sheet->id,
                    'index' => $index,
                    'rotation' => $shadow->rotation,
                    'dx' => $this->problem->margin + $x - $shadow->x,
                    'dy' => $this->problem->margin + $foot - $shadow->y,
                ],
            ],
            $this->unplaced,
            $this->area + $this->problem->pieces[$piece]->area,
            $this->reach + $x,
        );
    }

    /** What it costs: sheets weigh most, then the length used. One more piece never costs less. */
    public function score(): float
    {
        return self::UNPLACED_COST * count($this->unplaced) +
            self::SHEET_COST * count($this->open) +
            NestResult::lengthOf($this->used()) +
            self::REACH_COST * $this->reach;
    }

    /** @param  list<int>  $never pieces that fit no sheet */
    public function result(array $never): NestResult
    {
        $names = array_map(fn (int $k): string => $this->problem->pieces[$k]->id, [...$this->unplaced, ...$never]);

        return new NestResult($this->placements, $this->used(), $names, $this->area);
    }

    /** @return list<array{sheet: string, index: int, left: float, right: float, width: float, height: float}> */
    private function used(): array
    {
        $margin = $this->problem->margin;

        return array_map(
            fn (array $o): array => [
                'sheet' => $o[0]->sheet->id,
                'index' => $o[1],
                'left' => $margin + $o[0]->left,
                'right' => $margin + $o[0]->right,
                'width' => $o[0]->sheet->width,
                'height' => $o[0]->sheet->height,
            ],
            $this->open,
        );
    }
}
