<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts\Nesting;

/** A sheet while pieces are laid on it: what is free of each column, within its margins; y from the lower margin. */
final class SheetFill
{
    /** @var list<list<array{float, float}>> */
    private array $free;

    private readonly float $width;

    private readonly float $height;

    public float $left = INF;

    public float $right = -INF;

    public function __construct(public readonly NestSheet $sheet, private readonly float $column, float $margin)
    {
        $this->width = $sheet->width - 2.0 * $margin;
        $this->height = $sheet->height - 2.0 * $margin;
        $this->free = array_fill(0, max(0, (int) ceil($this->width / $column - 1e-9)), [[0.0, $this->height]]);
    }

    public function isEmpty(): bool
    {
        return $this->right < 0.0;
    }

    /**
     * The place furthest left, and there the lowest, where a piece lies free: column and height of its foot.
     *
     * @param  int  $before only columns before this one are of interest
     * @return array{int, float}|null
     */
    public function place(PieceShadow $piece, int $before = PHP_INT_MAX): ?array
    {
        $room = $this->height - $piece->height;
        if ($room < -1e-6 || $piece->width > $this->width + 1e-6) {
            return null;
        }
        $last = min(
            $before - 1,
            (int) floor(($this->width - $piece->width) / $this->column + 1e-9),
            count($this->free) - count($piece->columns),
        );
        for ($at = 0; $at <= $last; $at++) {
            $places = [[0.0, max(0.0, $room)]];
            foreach ($piece->order as $k) {
                foreach ($piece->columns[$k] as [$low, $high]) {
                    $places = self::common($places, $this->free[$at + $k], $low, $high);
                    if ($places === []) {
                        continue 3;
                    }
                }
            }

            return [$at, $places[0][0]];
        }

        return null;
    }

    public function lay(PieceShadow $piece, int $at, float $foot): void
    {
        foreach ($piece->kerfed as $k => $stretches) {
            $column = $at + $k;
            if ($column < 0 || $column >= count($this->free)) {
                continue;
            }
            foreach ($stretches as [$low, $high]) {
                $this->free[$column] = self::without($this->free[$column], $low + $foot, $high + $foot);
            }
        }
        $this->left = min($this->left, $at * $this->column);
        $this->right = max($this->right, $at * $this->column + $piece->width);
    }

    /**
     * Those places of a foot for which the stretch from `$low` to `$high` over it lies in one free stretch.
     *
     * @param  list<array{float, float}>  $places
     * @param  list<array{float, float}>  $free
     * @return list<array{float, float}>
     */
    private static function common(array $places, array $free, float $low, float $high): array
    {
        $out = [];
        $n = count($places);
        $k = 0;
        foreach ($free as [$from, $to]) {
            $a = $from - $low;
            $b = $to - $high;
            if ($b < $a - 1e-9) {
                continue;
            }
            while ($k < $n && $places[$k][1] < $a - 1e-9) {
                $k++;
            }
            for ($m = $k; $m < $n && $places[$m][0] <= $b + 1e-9; $m++) {
                $from2 = $places[$m][0] > $a ? $places[$m][0] : $a;
                $to2 = $places[$m][1] < $b ? $places[$m][1] : $b;
                $out[] = [$from2, $to2 > $from2 ? $to2 : $from2];
            }
        }

        return $out;
    }

    /**
     * @param  list<array{float, float}>  $free
     * @return list<array{float, float}>
     */
    private static function without(array $free, float $low, float $high): array
    {
        $out = [];
        foreach ($free as [$from, $to]) {
            if ($to <= $low || $from >= $high) {
                $out[] = [$from, $to];

                continue;
            }
            if ($from < $low) {
                $out[] = [$from, $low];
            }
            if ($to > $high) {
                $out[] = [$high, $to];
            }
        }

        return $out;
    }
}
