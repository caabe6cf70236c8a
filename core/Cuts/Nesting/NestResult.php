<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts\Nesting;

/** Pieces laid on sheets. A piece is turned about the origin of its own coordinates, then moved. */
final readonly class NestResult
{
    /**
     * @param  list<array{piece: string, sheet: string, index: int, rotation: float, dx: float, dy: float}>  $placements
     * @param  list<array{sheet: string, index: int, left: float, right: float, width: float, height: float}>  $used what of each the pieces
     *     take along x, mm
     * @param  list<string>  $unplaced
     * @param  float  $area of the placed pieces, mm²
     */
    public function __construct(public array $placements, public array $used, public array $unplaced, public float $area)
    {
    }

    /** The width of every used sheet but one, and how far the pieces reach on that one, where it comes out least; mm. */
    public function usedLength(): float
    {
        return self::lengthOf($this->used);
    }

    /** @param  list<array{width: float, left: float, right: float, ...}>  $used */
    public static function lengthOf(array $used): float
    {
        $all = array_sum(array_column($used, 'width'));
        $least = $used === [] ? 0.0 : INF;
        foreach ($used as $sheet) {
            $least = min($least, $all - $sheet['width'] + $sheet['right'] - $sheet['left']);
        }

        return $least;
    }

    /** Area of the pieces over that of the sheets used, 0 … 1. */
    public function utilisation(): float
    {
        $sheets = array_sum(array_map(fn (array $s): float => $s['width'] * $s['height'], $this->used));

        return $sheets > 0.0 ? $this->area / $sheets : 0.0;
    }
}
