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
    private const COARSEST = 8;

    /** @var list<PlateLevel> finest first */
    private array $levels = [];

    /** @var list<array{list<array<int, float>>, list<array<int, float>>}> interpolation to the next finer level, in x and in y */
    private array $steps = [];

    /** @var list<array<int, float>> lower triangle of the coarsest matrix */
    private array $factor = [];

    /**
     * @param float $bend (1 − T)·(stiffness / spacing)²
     * @param float $pull T
     * @param list<array<int, float>> $constraints
     */
    public function __construct(int $cols, int $rows, float $bend, float $pull, float $spring, array $constraints)
    {
        $this->levels[] = new PlateLevel($cols, $rows, $bend, $pull, $spring, $constraints);
        while (min($cols, $rows) > self::COARSEST) {
            $x = self::interpolation($cols);
            $y = self::interpolation($rows);
            $coarser = [];
            $nextCols = intdiv($cols, 2) + 1;
            foreach ($constraints as $row) {
                $to = [];
                foreach ($row as $node => $weight) {
                    foreach ($y[intdiv($node, $cols)] as $j => $wy) {
                        foreach ($x[$node % $cols] as $i => $wx) {
                            $q = $j * $nextCols + $i;
                            $to[$q] = ($to[$q] ?? 0.0) + $weight * $wy * $wx;
                        }
                    }
                }
                $coarser[] = array_filter($to, fn (float $w): bool => abs($w) > 1e-12);
            }
            [$constraints, $cols, $rows, $bend] = [$coarser, $nextCols, intdiv($rows, 2) + 1, $bend / 4.0];
            $this->steps[] = [$x, $y];
            $this->levels[] = new PlateLevel($cols, $rows, $bend, $pull, $spring, $constraints);
        }
        $this->factor = $this->factorise($this->levels[count($this->levels) - 1]);
    }

    /**
     * @param array<int, float> $f
     * @param array<int, float>|null $start an earlier answer to begin from
     * @param float $tolerance of the residual, relative to f
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
     * @param array<int, float> $f
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
     * @param array<int, float> $f
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
     * From level l + 1 up to level l.
     *
     * @param array<int, float> $z
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
            foreach ($x as $weights) {
                $sum = 0.0;
                foreach ($weights as $i => $w) {
                    $sum += $w * $z[$base + $i];
                }
                $line[] = $sum;
            }
            $mid[] = $line;
        }
        $out = [];
        foreach ($y as $weights) {
            $sum = array_fill(0, count($x), 0.0);
            foreach ($weights as $j => $w) {
                foreach ($mid[$j] as $i => $v) {
                    $sum[$i] += $w * $v;
                }
            }
            foreach ($sum as $v) {
                $out[] = $v;
            }
        }

        return $out;
    }

    /**
     * The transpose of `prolong`.
     *
     * @param array<int, float> $r
     * @return array<int, float>
     */
    private function restrict(int $l, array $r): array
    {
        [$x, $y] = $this->steps[$l];
        $fine = $this->levels[$l];
        $coarse = $this->levels[$l + 1];
        $out = array_fill(0, $coarse->size(), 0.0);
        for ($j = 0; $j < $fine->rows; $j++) {
            $line = array_fill(0, $coarse->cols, 0.0);
            $base = $j * $fine->cols;
            foreach ($x as $i => $weights) {
                $v = $r[$base + $i];
                foreach ($weights as $to => $w) {
                    $line[$to] += $w * $v;
                }
            }
            foreach ($y[$j] as $to => $w) {
                $target = $to * $coarse->cols;
                foreach ($line as $i => $v) {
                    $out[$target + $i] += $w * $v;
                }
            }
        }

        return $out;
    }

    /** @return list<array<int, float>> fine index → coarse index → weight */
    private static function interpolation(int $count): array
    {
        $coarse = intdiv($count, 2) + 1;
        $out = [];
        for ($i = 0; $i < $count; $i++) {
            [$first, $weights] = Lattice::weights($i / 2.0, $coarse);
            $row = [];
            foreach ($weights as $k => $w) {
                if ($w !== 0.0) {
                    $row[$first + $k] = $w;
                }
            }
            $out[] = $row;
        }

        return $out;
    }

    /** @return list<array<int, float>> Cholesky factor of the coarsest matrix */
    private function factorise(PlateLevel $level): array
    {
        $n = $level->size();
        $columns = [];
        for ($k = 0; $k < $n; $k++) {
            $unit = array_fill(0, $n, 0.0);
            $unit[$k] = 1.0;
            $columns[] = $level->apply($unit);
        }
        $lower = [];
        for ($i = 0; $i < $n; $i++) {
            $row = [];
            for ($k = 0; $k <= $i; $k++) {
                $sum = $columns[$k][$i];
                $other = $k === $i ? $row : $lower[$k];
                for ($t = 0; $t < $k; $t++) {
                    $sum -= $row[$t] * $other[$t];
                }
                // A plane that no spot holds costs nothing: the floor keeps it at rest instead of dividing by zero.
                $row[] = $k === $i ? sqrt(max($sum, 1e-9 * $columns[$i][$i] + 1e-12)) : $sum / $lower[$k][$k];
            }
            $lower[] = $row;
        }

        return $lower;
    }

    /**
     * @param array<int, float> $f
     * @return array<int, float>
     */
    private function direct(array $f): array
    {
        $n = count($f);
        $z = $f;
        for ($i = 0; $i < $n; $i++) {
            $sum = $z[$i];
            $row = $this->factor[$i];
            for ($k = 0; $k < $i; $k++) {
                $sum -= $row[$k] * $z[$k];
            }
            $z[$i] = $sum / $row[$i];
        }
        for ($i = $n - 1; $i >= 0; $i--) {
            $z[$i] /= $this->factor[$i][$i];
            for ($k = 0; $k < $i; $k++) {
                $z[$k] -= $this->factor[$i][$k] * $z[$i];
            }
        }

        return $z;
    }

    /**
     * @param array<int, float> $a
     * @param array<int, float> $b
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
     * @param array<int, float> $a
     * @param array<int, float> $b
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
