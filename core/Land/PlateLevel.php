<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

/**
 * One lattice of the multigrid hierarchy: the discrete plate energy
 * `a·(z_xx² + 2·z_xy² + z_yy²) + b·|∇z|²` with free edges, plus a spring of strength `spring` at every
 * constraint row. All arrays are row-major, index `row·cols + col`.
 *
 * The stencil of an inner node is the usual 13-point one; nodes within two of an edge take theirs from the same
 * energy assembled on a small patch, so that the edge is free without any ghost nodes.
 *
 * @internal shared by the classes of the ground solver only
 */
final class PlateLevel
{
    /** @var array<int, list<array{int, float}>> node → [constraint, weight] */
    public array $touching = [];

    /**
     * @var array<int, array{float, list<int>, list<float>}> position class → own coefficient, offsets (in nodes) of the others, their
     *     coefficients
     */
    private array $stencils = [];

    /** @var list<array{float, array<int, float>}> */
    private array $terms = [];

    private float $diagonal;

    /** @param  list<array<int, float>>  $constraints constraint → node → weight */
    public function __construct(
        public readonly int $cols,
        public readonly int $rows,
        private readonly float $bend,
        private readonly float $pull,
        public readonly float $penalty,
        public readonly array $constraints,
    ) {
        foreach ($constraints as $k => $row) {
            foreach ($row as $node => $weight) {
                $this->touching[$node][] = [$k, $weight];
            }
        }
        $this->diagonal = 20.0 * $bend + 4.0 * $pull;
        for ($v = 0; $v < 5; $v++) {
            for ($u = 0; $u < 5; $u++) {
                $row = $this->patch($u, $v);
                $own = $row[0];
                unset($row[0]);
                $this->stencils[5 * $v + $u] = [$own, array_keys($row), array_values($row)];
            }
        }
        $this->terms = [];
    }

    public function size(): int
    {
        return $this->cols * $this->rows;
    }

    /**
     * One Gauss-Seidel sweep of K z = f, the springs included; backwards when `$reverse`.
     *
     * @param  array<int, float>  $z
     * @param  array<int, float>  $f right-hand side
     * @param  array<int, float>  $slack per constraint Σ weight·z, kept up to date
     */
    public function sweep(array &$z, array $f, array &$slack, bool $reverse): void
    {
        $n = $this->cols;
        $m = $this->rows;
        $a = $this->bend;
        $b = $this->pull;
        $c1 = -8.0 * $a - $b;
        $c2 = 2.0 * $a;
        $invDiagonal = 1.0 / $this->diagonal;
        $n2 = 2 * $n;
        $touching = $this->touching;
        $stencils = $this->stencils;
        for ($jj = 0; $jj < $m; $jj++) {
            $j = $reverse ? $m - 1 - $jj : $jj;
            $inner = $j >= 2 && $j < $m - 2;
            for ($ii = 0; $ii < $n; $ii++) {
                $i = $reverse ? $n - 1 - $ii : $ii;
                $p = $j * $n + $i;
                if ($inner && $i >= 2 && $i < $n - 2) {
                    $sum =
                        $c1 * ($z[$p - 1] + $z[$p + 1] + $z[$p - $n] + $z[$p + $n]) +
                        $c2 * ($z[$p - $n - 1] + $z[$p - $n + 1] + $z[$p + $n - 1] + $z[$p + $n + 1]) +
                        $a * ($z[$p - 2] + $z[$p + 2] + $z[$p - $n2] + $z[$p + $n2]);
                    if (! isset($touching[$p])) {
                        $z[$p] = ($f[$p] - $sum) * $invDiagonal;

                        continue;
                    }
                    $own = $this->diagonal;
                } else {
                    [$own, $offsets, $coefficients] = $stencils[$this->position($i, $j)];
                    $sum = 0.0;
                    foreach ($offsets as $t => $offset) {
                        $sum += $coefficients[$t] * $z[$p + $offset];
                    }
                }
                $before = $z[$p];
                $total = $own;
                foreach ($touching[$p] ?? [] as [$k, $weight]) {
                    $sum += $this->penalty * $weight * ($slack[$k] - $weight * $before);
                    $total += $this->penalty * $weight * $weight;
                }
                $z[$p] = ($f[$p] - $sum) / $total;
                $change = $z[$p] - $before;
                foreach ($touching[$p] ?? [] as [$k, $weight]) {
                    $slack[$k] += $weight * $change;
                }
            }
        }
    }

    /**
     * K z, the springs included.
     *
     * @param  array<int, float>  $z
     * @return array<int, float>
     */
    public function apply(array $z): array
    {
        $n = $this->cols;
        $m = $this->rows;
        $a = $this->bend;
        $c0 = $this->diagonal;
        $c1 = -8.0 * $a - $this->pull;
        $c2 = 2.0 * $a;
        $n2 = 2 * $n;
        $stencils = $this->stencils;
        $out = [];
        for ($j = 0; $j < $m; $j++) {
            $inner = $j >= 2 && $j < $m - 2;
            for ($i = 0; $i < $n; $i++) {
                $p = $j * $n + $i;
                if ($inner && $i >= 2 && $i < $n - 2) {
                    $out[] =
                        $c0 * $z[$p] +
                        $c1 * ($z[$p - 1] + $z[$p + 1] + $z[$p - $n] + $z[$p + $n]) +
                        $c2 * ($z[$p - $n - 1] + $z[$p - $n + 1] + $z[$p + $n - 1] + $z[$p + $n + 1]) +
                        $a * ($z[$p - 2] + $z[$p + 2] + $z[$p - $n2] + $z[$p + $n2]);
                } else {
                    [$own, $offsets, $coefficients] = $stencils[$this->position($i, $j)];
                    $sum = $own * $z[$p];
                    foreach ($offsets as $t => $offset) {
                        $sum += $coefficients[$t] * $z[$p + $offset];
                    }
                    $out[] = $sum;
                }
            }
        }
        foreach ($this->constraints as $row) {
            $force = $this->penalty * self::dot($row, $z);
            foreach ($row as $node => $weight) {
                $out[$node] += $force * $weight;
            }
        }

        return $out;
    }

    /**
     * Σ weight·z for every constraint.
     *
     * @param  array<int, float>  $z
     * @return array<int, float>
     */
    public function at(array $z): array
    {
        $out = [];
        foreach ($this->constraints as $row) {
            $out[] = self::dot($row, $z);
        }

        return $out;
    }

    /**
     * @param  array<int, float>  $row
     * @param  array<int, float>  $z
     */
    private static function dot(array $row, array $z): float
    {
        $sum = 0.0;
        foreach ($row as $node => $weight) {
            $sum += $weight * $z[$node];
        }

        return $sum;
    }

    private function position(int $i, int $j): int
    {
        $u = $i < 2 ? $i : ($i >= $this->cols - 2 ? $i - $this->cols + 5 : 2);
        $v = $j < 2 ? $j : ($j >= $this->rows - 2 ? $j - $this->rows + 5 : 2);

        return 5 * $v + $u;
    }

    /**
     * The row of K for node (u, v) of a 5 × 5 patch, as offsets in this lattice.
     *
     * @return array<int, float>
     */
    private function patch(int $u, int $v): array
    {
        $row = [];
        foreach ($this->terms() as [$strength, $nodes]) {
            $own = $nodes[$v * 5 + $u] ?? null;
            if ($own !== null) {
                foreach ($nodes as $node => $weight) {
                    $offset = (intdiv($node, 5) - $v) * $this->cols + ($node % 5) - $u;
                    $row[$offset] = ($row[$offset] ?? 0.0) + $strength * $own * $weight;
                }
            }
        }

        return $row;
    }

    /**
     * The squares whose sum is the energy of a 5 × 5 patch: strength, and node → weight. Along an edge the strips are
     * half as wide.
     *
     * @return list<array{float, array<int, float>}>
     */
    private function terms(): array
    {
        if ($this->terms !== []) {
            return $this->terms;
        }
        for ($j = 0; $j < 5; $j++) {
            $edge = $j === 0 || $j === 4 ? 0.5 : 1.0;
            for ($i = 0; $i < 4; $i++) {
                $this->terms[] = [$this->pull * $edge, [$j * 5 + $i => -1.0, $j * 5 + $i + 1 => 1.0]];
                $this->terms[] = [$this->pull * $edge, [$i * 5 + $j => -1.0, $i * 5 + 5 + $j => 1.0]];
                if ($i > 0) {
                    $this->terms[] = [$this->bend * $edge, [$j * 5 + $i - 1 => 1.0, $j * 5 + $i => -2.0, $j * 5 + $i + 1 => 1.0]];
                    $this->terms[] = [$this->bend * $edge, [$i * 5 - 5 + $j => 1.0, $i * 5 + $j => -2.0, $i * 5 + 5 + $j => 1.0]];
                }
                if ($j < 4) {
                    $p = $j * 5 + $i;
                    $this->terms[] = [2.0 * $this->bend, [$p => 1.0, $p + 1 => -1.0, $p + 5 => -1.0, $p + 6 => 1.0]];
                }
            }
        }

        return $this->terms;
    }
}
