<?php

declare(strict_types=1);

namespace IdleRidge\Core\Water;

use IdleRidge\Core\Cuts\Nesting\NestPiece;
use IdleRidge\Core\Cuts\Nesting\NestResult;
use IdleRidge\Core\Geometry\Box;

/** Pieces of ready-made water as they are cut from sheets. */
final readonly class SheetCut
{
    /** @param  list<NestPiece>  $pieces */
    public function __construct(public WaterSheet $sheet, public array $pieces, public NestResult $nest, public int $seams)
    {
    }

    public function sheets(): int
    {
        return count($this->nest->used);
    }

    /** What is left of the sheets that are begun, mm². */
    public function rest(): float
    {
        return $this->sheets() * $this->sheet->width * $this->sheet->height - $this->nest->area;
    }

    /** The strip across a whole sheet that nothing is cut from, on the sheet that keeps the widest, mm. */
    public function strip(): float
    {
        return max([0.0, ...array_map(fn (array $u): float => $u['width'] - $u['right'], $this->nest->used)]);
    }

    /** @return array{float, float} the smallest box about the largest piece, mm */
    public function size(): array
    {
        $largest = null;
        foreach ($this->pieces as $piece) {
            $largest = $largest === null || $piece->area > $largest->area ? $piece : $largest;
        }
        if ($largest === null) {
            return [0.0, 0.0];
        }
        [$x1, $y1, $x2, $y2] = Box::around($largest->rings[0] ?: [[0.0, 0.0]]);

        return [$x2 - $x1, $y2 - $y1];
    }
}
