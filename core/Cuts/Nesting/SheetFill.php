<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts\Nesting;

/** A sheet while pieces are laid on it: what is free of each column, within its margins; y from the lower margin. */
final class SheetFill
{
    /** What stretches may be off by and still count as long enough, mm. */
    private const ROUNDING_MM = 1e-6;

    /** @var list<list<array{float, float}>> */
    private array $free;

    /** @var array<int, float> the longest free stretch of each column, mm */
    private array $gaps;

    private readonly float $width;

    private readonly float $height;

    public float $left = INF;

    public float $right = -INF;

    public function __construct(public readonly NestSheet $sheet, private readonly float $column, float $margin)
    {
        $this->width = $sheet->width - 2.0 * $margin;
        $this->height = $sheet->height - 2.0 * $margin;
        $columns = max(0, (int) ceil($this->width / $column - 1e-9));
        $this->free = array_fill(0, $columns, [[0.0, $this->height]]);
        $this->gaps = array_fill(0, $columns, $this->height);
    }

    /**
     * The rotation and the place that end furthest left, and there lowest.
     *
     * @param  list<PieceShadow>  $shadows
     * @param  bool  $held whether the first is meant, and the others stand in only where it does not fit
     * @return array{PieceShadow, int, float}|null
     */
    public function best(array $shadows, bool $held): ?array
    {
        $best = null;
        $end = INF;
        foreach ($shadows as $k => $shadow) {
            $before = $end === INF ? PHP_INT_MAX : (int) floor(($end - $shadow->width) / $this->column) + 1;
            $place = $before > 0 ? $this->place($shadow, $before) : null;
            if ($place !== null) {
                $itsEnd = $place[0] * $this->column + $shadow->width;
                if ($itsEnd < $end - 1e-9 || ($best !== null && $itsEnd < $end + 1e-9 && $place[1] < $best[2])) {
                    [$best, $end] = [[$shadow, $place[0], $place[1]], $itsEnd];
                }
                if ($held && $k === 0) {
                    return $best;
                }
            }
        }

        return $best;
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
            foreach ($piece->needs as $k => $need) {
                if ($need > $this->gaps[$at + $k] + self::ROUNDING_MM) {
                    continue 2;
                }
            }
            $places = [[0.0, max(0.0, $room)]];
            foreach ($piece->order as $k) {
                if ($this->gaps[$at + $k] >= $this->height) {
                    // Nothing lies in that column.
                    continue;
                }
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

    public function with(PieceShadow $piece, int $at, float $foot): self
    {
        $next = clone $this;
        foreach ($piece->kerfed as $k => $stretches) {
            $column = $at + $k;
            if ($column < 0 || $column >= count($next->free)) {
                continue;
            }
            $free = $next->free[$column];
            foreach ($stretches as [$low, $high]) {
                $free = self::without($free, $low + $foot, $high + $foot);
            }
            $gap = 0.0;
            foreach ($free as [$low, $high]) {
                $gap = $high - $low > $gap ? $high - $low : $gap;
            }
            $next->free[$column] = $free;
            $next->gaps[$column] = $gap;
        }
        $next->left = min($next->left, $at * $next->column);
        $next->right = max($next->right, $at * $next->column + $piece->width);

        return $next;
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
        foreach ($free as [$from, $to]) {
            $a = $from - $low;
            $b = $to - $high;
            if ($b < $a - 1e-9) {
                continue;
            }
            foreach ($places as [$first, $last]) {
                if ($last < $a - 1e-9) {
                    continue;
                }
                if ($first > $b + 1e-9) {
                    break;
                }
                if ($first < $a) {
                    $first = $a;
                }
                if ($last > $b) {
                    $last = $b;
                }
                $out[] = [$first, $last > $first ? $last : $first];
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
