<?php

declare(strict_types=1);

namespace App\Computed\Cuts;

use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Cuts\LayerPieces;
use IdleRidge\Core\Cuts\Nesting\NestProblem;
use IdleRidge\Core\Cuts\Nesting\NestResult;

/** Pieces laid on sheets, by thickness, and how many rounds they have been looked at. */
final readonly class SheetResult
{
    /** Strips narrower than this are no offcut, mm. */
    private const MIN_OFFCUT_MM = 80.0;

    /**
     * @param  array<array-key, NestProblem>  $problems
     * @param  array<array-key, NestResult>  $nested
     */
    public function __construct(public LayerPieces $pieces, public array $problems, public array $nested, public int $round)
    {
    }

    public function count(): int
    {
        return array_sum(array_map(fn (NestResult $n): int => count($n->used), $this->nested));
    }

    /** What all of them cost, in the currency's smallest unit; what lies in store is paid for. Null where one has no price. */
    public function cost(CutSettings $cuts): ?int
    {
        $sum = 0;
        foreach ($this->nested as $thickness => $nested) {
            $kinds = $cuts->ofThickness((float) $thickness);
            foreach ($nested->used as $used) {
                $kind = $kinds[(int) substr((string) strrchr($used['sheet'], '-'), 1)] ?? $cuts->first();
                if ($kind->price === null && $kind->count === null) {
                    return null;
                }
                $sum += $kind->count === null ? (int) $kind->price : 0;
            }
        }

        return $sum;
    }

    /** Area of the pieces over that of the sheets, 0 … 1. */
    public function utilisation(): float
    {
        $sheets = array_sum(
            array_map(
                fn (NestResult $n): float => array_sum(array_map(fn (array $s): float => $s['width'] * $s['height'], $n->used)),
                $this->nested,
            ),
        );

        return $sheets > 0.0 ? array_sum(array_map(fn (NestResult $n): float => $n->area, $this->nested)) / $sheets : 0.0;
    }

    /** @return list<string> */
    public function unplaced(): array
    {
        return array_merge(...array_values(array_map(fn (NestResult $n): array => $n->unplaced, $this->nested)));
    }

    /** @return list<array{width: float, height: float, thickness: float}> strips of full height that are left over, the widest first */
    public function offcuts(): array
    {
        $out = [];
        foreach ($this->nested as $thickness => $nested) {
            foreach ($nested->used as $sheet) {
                if ($sheet['width'] - $sheet['right'] >= self::MIN_OFFCUT_MM) {
                    $out[] = [
                        'width' => $sheet['width'] - $sheet['right'],
                        'height' => $sheet['height'],
                        'thickness' => (float) $thickness,
                    ];
                }
            }
        }
        usort($out, fn (array $a, array $b): int => $b['width'] <=> $a['width']);

        return $out;
    }
}
