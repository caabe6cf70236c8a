<?php

declare(strict_types=1);

namespace IdleRidge\Core\Geometry;

/**
 * A surface over a rectangle: heights at the crossings of the lines `xs` and `ys` (mm, rising). Each cell counts as two
 * triangles; measures are the mean of both ways to divide it.
 */
final readonly class HeightMesh
{
    /**
     * @param  list<float>  $xs
     * @param  list<float>  $ys
     * @param  list<float>  $z row-major from the lowest y
     */
    public function __construct(public array $xs, public array $ys, public array $z)
    {
    }

    public function planArea(): float
    {
        return ($this->xs[count($this->xs) - 1] - $this->xs[0]) * ($this->ys[count($this->ys) - 1] - $this->ys[0]);
    }

    /** Area of the surface itself, mm². */
    public function surface(): float
    {
        $n = count($this->xs);
        $total = 0.0;
        for ($j = 0; $j < count($this->ys) - 1; $j++) {
            $dy = $this->ys[$j + 1] - $this->ys[$j];
            for ($i = 0; $i < $n - 1; $i++) {
                $dx = $this->xs[$i + 1] - $this->xs[$i];
                $p = $j * $n + $i;
                $total += self::cellSurface($dx, $dy, $this->z[$p], $this->z[$p + 1], $this->z[$p + $n], $this->z[$p + $n + 1]);
            }
        }

        return $total;
    }

    /** True area of one cell from the heights of its corners: the mean of both ways to divide it, mm². */
    public static function cellSurface(float $dx, float $dy, float $sw, float $se, float $nw, float $ne): float
    {
        $flat = $dx * $dx * $dy * $dy;
        $south = ($se - $sw) * $dy;
        $north = ($ne - $nw) * $dy;
        $west = ($nw - $sw) * $dx;
        $east = ($ne - $se) * $dx;

        return (sqrt($flat + $south * $south + $east * $east) + sqrt($flat + $north * $north + $west * $west)
            + sqrt($flat + $south * $south + $west * $west) + sqrt($flat + $north * $north + $east * $east)) / 4.0;
    }

    /** Volume between the surface and a level, where the surface is higher, mm³. */
    public function volumeAbove(float $level): float
    {
        $n = count($this->xs);
        $total = 0.0;
        for ($j = 0; $j < count($this->ys) - 1; $j++) {
            $dy = $this->ys[$j + 1] - $this->ys[$j];
            for ($i = 0; $i < $n - 1; $i++) {
                $area = ($this->xs[$i + 1] - $this->xs[$i]) * $dy;
                $p = $j * $n + $i;
                $sw = $this->z[$p] - $level;
                $se = $this->z[$p + 1] - $level;
                $nw = $this->z[$p + $n] - $level;
                $ne = $this->z[$p + $n + 1] - $level;
                if ($sw >= 0.0 && $se >= 0.0 && $nw >= 0.0 && $ne >= 0.0) {
                    $total += $area * ($sw + $se + $nw + $ne) / 4.0;
                } elseif ($sw > 0.0 || $se > 0.0 || $nw > 0.0 || $ne > 0.0) {
                    $total += $area / 4.0 * (self::prism($sw, $se, $ne) + self::prism($sw, $ne, $nw)
                        + self::prism($se, $ne, $nw) + self::prism($se, $nw, $sw));
                }
            }
        }

        return $total;
    }

    /**
     * Volume and plan area under water of the cells for which `$counts` says yes, mm³ and mm².
     *
     * @param  callable(int): bool  $counts by index of the cell's lower left node
     * @return array{volume: float, area: float}
     */
    public function below(float $level, callable $counts): array
    {
        $n = count($this->xs);
        $volume = 0.0;
        $area = 0.0;
        for ($j = 0; $j < count($this->ys) - 1; $j++) {
            for ($i = 0; $i < $n - 1; $i++) {
                $p = $j * $n + $i;
                if (! $counts($p)) {
                    continue;
                }
                $half = ($this->xs[$i + 1] - $this->xs[$i]) * ($this->ys[$j + 1] - $this->ys[$j]) / 4.0;
                $sw = $level - $this->z[$p];
                $se = $level - $this->z[$p + 1];
                $nw = $level - $this->z[$p + $n];
                $ne = $level - $this->z[$p + $n + 1];
                if ($sw >= 0.0 && $se >= 0.0 && $nw >= 0.0 && $ne >= 0.0) {
                    $volume += $half * ($sw + $se + $nw + $ne);
                    $area += 4.0 * $half;

                    continue;
                }
                foreach ([[$sw, $se, $ne], [$sw, $ne, $nw], [$se, $ne, $nw], [$se, $nw, $sw]] as [$a, $b, $c]) {
                    $volume += $half * self::prism($a, $b, $c);
                    $area += $half * self::share($a, $b, $c);
                }
            }
        }

        return ['volume' => $volume, 'area' => $area];
    }

    /** Height at (x, y), linear within cells; outside, the nearest edge's. */
    public function at(float $x, float $y): float
    {
        $n = count($this->xs);
        $i = self::before($this->xs, $x);
        $j = self::before($this->ys, $y);
        $u = self::fraction($this->xs, $i, $x);
        $v = self::fraction($this->ys, $j, $y);
        $p = $j * $n + $i;

        return (1 - $v) * ((1 - $u) * $this->z[$p] + $u * $this->z[$p + 1])
            + $v * ((1 - $u) * $this->z[$p + $n] + $u * $this->z[$p + $n + 1]);
    }

    /** Mean height over a triangle of unit area of what stands above 0. */
    private static function prism(float $a, float $b, float $c): float
    {
        $positive = ($a > 0.0 ? 1 : 0) + ($b > 0.0 ? 1 : 0) + ($c > 0.0 ? 1 : 0);
        if ($positive === 3) {
            return ($a + $b + $c) / 3.0;
        }
        if ($positive === 0) {
            return 0.0;
        }
        if ($positive === 1) {
            [$p, $q, $r] = $a > 0.0 ? [$a, $b, $c] : ($b > 0.0 ? [$b, $c, $a] : [$c, $a, $b]);

            return $p * $p * $p / (3.0 * ($p - $q) * ($p - $r));
        }

        return ($a + $b + $c) / 3.0 + self::prism(-$a, -$b, -$c);
    }

    /** Share of a triangle's area where the values are above 0. */
    private static function share(float $a, float $b, float $c): float
    {
        $positive = ($a > 0.0 ? 1 : 0) + ($b > 0.0 ? 1 : 0) + ($c > 0.0 ? 1 : 0);
        if ($positive === 0 || $positive === 3) {
            return $positive === 3 ? 1.0 : 0.0;
        }
        if ($positive === 1) {
            [$p, $q, $r] = $a > 0.0 ? [$a, $b, $c] : ($b > 0.0 ? [$b, $c, $a] : [$c, $a, $b]);

            return $p * $p / (($p - $q) * ($p - $r));
        }

        return 1.0 - self::share(-$a, -$b, -$c);
    }

    /** @param  list<float>  $line */
    private static function before(array $line, float $value): int
    {
        // Lines are evenly spaced but for the strips along the edges: the guess is at most a step off.
        $last = count($line) - 2;
        $middle = intdiv($last, 2);
        $i = $middle + (int) floor(($value - $line[$middle]) / max(1e-9, $line[$middle + 1] - $line[$middle]));
        $i = max(0, min($last, $i));
        while ($i > 0 && $line[$i] > $value) {
            $i--;
        }
        while ($i < $last && $line[$i + 1] <= $value) {
            $i++;
        }

        return $i;
    }

    /** @param  list<float>  $line */
    private static function fraction(array $line, int $i, float $value): float
    {
        $gap = $line[$i + 1] - $line[$i];

        return $gap > 0.0 ? max(0.0, min(1.0, ($value - $line[$i]) / $gap)) : 0.0;
    }
}
