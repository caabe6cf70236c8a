<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

/**
 * Solves K z = f for a plate in tension held at points: conjugate gradients preconditioned by one symmetric
 * multigrid cycle, started by full multigrid (A. Brandt, "Multi-level adaptive solutions to boundary-value problems",
 * Math. Comp. 31, 1977; O. Tatebe, "The multigrid preconditioned conjugate gradient method", 1993).
 *
 * Coarse lattices have twice the spacing; the plate's energy is assembled anew on each, while the constraint rows are
 * the exact transposes of the interpolation, so that a point held on the fine lattice is held on all.
 *
 * @internal used by GroundSolver only
 */
final class PlateSolver
{
    private const COARSEST_NODES = 8;

    /** @var list<PlateLevel> finest first */
    private array $levels = [];

    /**
     * @var list<array{list<array{int, array{float, float, float, float}}>, list<array{int, array{float, float, float, float}}>}>
     *     interpolation to the next finer level, in x and in y
     */
    private array $steps = [];

    /** @var list<list<float>> lower triangle of the coarsest matrix, each row from its first entry */
    private array $factor = [];

    /** @var list<int> the coarsest nodes as the factor numbers them */
    private array $order = [];

    /** @var list<int> where each row of the factor begins */
    private array $first = [];

    /**
     * @param  float  $bend (1 − T)·(stiffness / spacing)²
     * @param  float  $pull T
     * @param  list<array<int, float>>  $constraints
     */
    public function __construct(int $cols, int $rows, float $bend, float $pull, float $penalty, array $constraints)
    {
        $this->levels[] = new PlateLevel($cols, $rows, $bend, $pull, $penalty, $constraints);
        while (min($cols, $rows) > self::COARSEST_NODES) {
            $x = self::interpolation($cols);
            $y = self::interpolation($rows);
            $coarser = [];
            $nextCols = intdiv($cols, 2) + 1;
            foreach ($constraints as $row) {
                $to = [];
                foreach ($row as $node => $weight) {
                    [$j, $down] = $y[intdiv($node, $cols)];
                    [$i, $across] = $x[$node % $cols];
                    foreach ($down as $v => $wy) {
                        foreach ($across as $u => $wx) {
                            $q = ($j + $v) * $nextCols + $i + $u;
                            $to[$q] = ($to[$q] ?? 0.0) + $weight * $wy * $wx;
                        }
                    }
                }
                $coarser[] = array_filter($to, fn (float $w): bool => abs($w) > 1e-12);
            }
            [$constraints, $cols, $rows, $bend] = [$coarser, $nextCols, intdiv($rows, 2) + 1, $bend / 4.0];
            $this->steps[] = [$x, $y];
            $this->levels[] = new PlateLevel($cols, $rows, $bend, $pull, $penalty, $constraints);
        }
        $this->factor = $this->factorise($this->levels[count($this->levels) - 1]);
    }

    /**
     * @param  array<int, float>  $f
     * @param  array<int, float>|null  $start an earlier answer to begin from
     * @param  float  $tolerance of the residual, relative to f
     * @return array<int, float>
     */
    public function solve(array $f, ?array $start, float $tolerance, int $limit = 60): array
    {
        $fine = $this->levels[0];
        $z = $start ?? $this->fullMultigrid($f);
        $r = self::less($f, $fine->apply($z));
        $goal = $tolerance * sqrt(self::dot($f, $f));
        $p = [];
        $rho = 0.0;
        for ($step = 0; $step < $limit && sqrt(self::dot($r, $r)) > $goal; $step++) {
            $s = $this->cycle(0, $r);
            $before = $rho;
            $rho = self::dot($r, $s);
            if ($step === 0) {
                $p = $s;
            } else {
                $beta = $rho / $before;
                foreach ($s as $i => $v) {
                    $p[$i] = $v + $beta * $p[$i];
                }
            }
            $q = $fine->apply($p);
            $alpha = $rho / self::dot($p, $q);
            foreach ($p as $i => $v) {
                $z[$i] += $alpha * $v;
                $r[$i] -= $alpha * $q[$i];
            }
        }

        return $z;
    }

    /**
     * @param  array<int, float>  $f
     * @return array<int, float>
     */
    private function fullMultigrid(array $f): array
    {
        $forces = [$f];
        foreach ($this->steps as $l => $step) {
            $forces[] = $this->restrict($l, $forces[$l]);
        }
        $last = count($this->levels) - 1;
        $z = $this->direct($forces[$last]);
        for ($l = $last - 1; $l >= 0; $l--) {
            $z = $this->prolong($l, $z);
            $r = self::less($forces[$l], $this->levels[$l]->apply($z));
            foreach ($this->cycle($l, $r) as $i => $v) {
                $z[$i] += $v;
            }
        }

        return $z;
    }

    /**
     * One V-cycle for K z = f from z = 0: symmetric, so that it may precondition.
     *
     * @param  array<int, float>  $f
     * @return array<int, float>
     */
    private function cycle(int $l, array $f): array
    {
        if ($l === count($this->levels) - 1) {
            return $this->direct($f);
        }
        $level = $this->levels[$l];
        $z = array_fill(0, $level->size(), 0.0);
        $slack = array_fill(0, count($level->constraints), 0.0);
        $level->sweep($z, $f, $slack, false);
        $correction = $this->prolong($l, $this->cycle($l + 1, $this->restrict($l, self::less($f, $level->apply($z)))));
        foreach ($correction as $i => $v) {
            $z[$i] += $v;
        }
        $slack = $level->at($z);
        $level->sweep($z, $f, $slack, true);

        return $z;
    }

    /**
     * From level l + 1 up to level l. Every other node stands on a coarse one and takes its value as it is.
     *
     * @param  array<int, float>  $z
     * @return array<int, float>
     */
    private function prolong(int $l, array $z): array
    {
        [$x, $y] = $this->steps[$l];
        $coarse = $this->levels[$l + 1];
        $mid = [];
        for ($j = 0; $j < $coarse->rows; $j++) {
            $base = $j * $coarse->cols;
            $line = [];
            foreach ($x as $i => [$first, [$a, $b, $c, $d]]) {
                $p = $base + $first;
                $line[] = ($i & 1) === 0 ? $z[$base + ($i >> 1)] : $a * $z[$p] + $b * $z[$p + 1] + $c * $z[$p + 2] + $d * $z[$p + 3];
            }
            $mid[] = $line;
        }
        $out = [];
        foreach ($y as $j => [$first, [$a, $b, $c, $d]]) {
            if (($j & 1) === 0) {
                array_push($out, ...$mid[$j >> 1]);

                continue;
            }
            [$p, $q, $r, $s] = [$mid[$first], $mid[$first + 1], $mid[$first + 2], $mid[$first + 3]];
            foreach ($p as $i => $v) {
                $out[] = $a * $v + $b * $q[$i] + $c * $r[$i] + $d * $s[$i];
            }
        }

        return $out;
    }

    /**
     * The transpose of `prolong`.
     *
     * @param  array<int, float>  $r
     * @return array<int, float>
     */
    private function restrict(int $l, array $r): array
    {
        [$x, $y] = $this->steps[$l];
        $fine = $this->levels[$l];
        $coarse = $this->levels[$l + 1];
        $blank = array_fill(0, $coarse->cols, 0.0);
        $rows = array_fill(0, $coarse->rows, $blank);
        $p = 0;
        for ($j = 0; $j < $fine->rows; $j++) {
            $line = $blank;
            foreach ($x as $i => [$first, [$a, $b, $c, $d]]) {
                $v = $r[$p++];
                if (($i & 1) === 0) {
                    $line[$i >> 1] += $v;
                } else {
                    $line[$first] += $a * $v;
                    $line[$first + 1] += $b * $v;
                    $line[$first + 2] += $c * $v;
                    $line[$first + 3] += $d * $v;
                }
            }
            [$first, $weights] = ($j & 1) === 0 ? [$j >> 1, [1.0]] : $y[$j];
            foreach ($weights as $k => $w) {
                if ($w !== 0.0) {
                    foreach ($line as $i => $v) {
                        $rows[$first + $k][$i] += $w * $v;
                    }
                }
            }
        }

        return array_merge(...$rows);
    }

    /** @return list<array{int, array{float, float, float, float}}> fine index → first coarse index and four weights */
    private static function interpolation(int $count): array
    {
        $coarse = intdiv($count, 2) + 1;
        $out = [];
        for ($i = 0; $i < $count; $i++) {
            $out[] = Lattice::weights($i / 2.0, $coarse);
        }

        return $out;
    }

    /**
     * Skyline Cholesky factor of the coarsest matrix, nodes numbered across the short side so that rows stay short:
     * each row holds the entries from its first one to the diagonal.
     *
     * @return list<list<float>>
     */
    private function factorise(PlateLevel $level): array
    {
        $n = $level->size();
        for ($k = 0; $k < $n; $k++) {
            $this->order[] = $level->cols > $level->rows ? ($k % $level->rows) * $level->cols + intdiv($k, $level->rows) : $k;
        }
        $lower = [];
        for ($i = 0; $i < $n; $i++) {
            $unit = array_fill(0, $n, 0.0);
            $unit[$this->order[$i]] = 1.0;
            $column = $level->apply($unit);
            $first = 0;
            while ($first < $i && $column[$this->order[$first]] === 0.0) {
                $first++;
            }
            $this->first[] = $first;
            $row = [];
            for ($k = $first; $k <= $i; $k++) {
                $value = $column[$this->order[$k]];
                $other = $k === $i ? $row : $lower[$k];
                $start = $this->first[$k];
                for ($t = max($first, $start); $t < $k; $t++) {
                    $value -= $row[$t - $first] * $other[$t - $start];
                }
                // A plane that no spot holds costs nothing: the floor keeps it at rest instead of dividing by zero.
                $row[] = $k === $i ? sqrt(max($value, 1e-9 * $column[$this->order[$i]] + 1e-12)) : $value / $lower[$k][$k - $start];
            }
            $lower[] = $row;
        }

        return $lower;
    }

    /**
     * @param  array<int, float>  $f
     * @return array<int, float>
     */
    private function direct(array $f): array
    {
        $z = [];
        foreach ($this->factor as $i => $row) {
            $sum = $f[$this->order[$i]];
            $k = $this->first[$i];
            $last = count($row) - 1;
            for ($t = 0; $t < $last; $t++) {
                $sum -= $row[$t] * $z[$k + $t];
            }
            $z[] = $sum / $row[$last];
        }
        for ($i = count($z) - 1; $i >= 0; $i--) {
            $row = $this->factor[$i];
            $k = $this->first[$i];
            $last = count($row) - 1;
            $z[$i] /= $row[$last];
            for ($t = 0; $t < $last; $t++) {
                $z[$k + $t] -= $row[$t] * $z[$i];
            }
        }
        $out = array_fill(0, count($z), 0.0);
        foreach ($this->order as $i => $node) {
            $out[$node] = $z[$i];
        }

        return $out;
    }

    /**
     * @param  array<int, float>  $a
     * @param  array<int, float>  $b
     */
    private static function dot(array $a, array $b): float
    {
        $sum = 0.0;
        foreach ($a as $i => $v) {
            $sum += $v * $b[$i];
        }

        return $sum;
    }

    /**
     * @param  array<int, float>  $a
     * @param  array<int, float>  $b
     * @return array<int, float>
     */
    private static function less(array $a, array $b): array
    {
        foreach ($b as $i => $v) {
            $a[$i] -= $v;
        }

        return $a;
    }
}
