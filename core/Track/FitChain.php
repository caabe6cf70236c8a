<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Geometry\Point;

/** A chain of pieces of even curvature while it is moved toward points: what TrackFit improves. */
final class FitChain
{
    private const MAX_ROUNDS = 40;

    private const MIN_LENGTH = 1.0;

    /** @var array<int, float> station that each point belongs to */
    private array $stations = [];

    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @param  list<float>  $values x, y, heading, then curvature and length of each piece
     * @param  list<bool>  $straight which pieces stay straight
     */
    private function __construct(
        private readonly array $points,
        private array $values,
        private readonly array $straight,
        private readonly FitBudget $budget,
    ) {
        $this->follow();
    }

    /**
     * @param  non-empty-list<array{float, float}>  $points
     * @param  array{float, float, float, list<array{float, float}>}  $begin
     */
    public static function near(array $points, array $begin, FitBudget $budget): self
    {
        $values = [$begin[0], $begin[1], $begin[2]];
        foreach ($begin[3] as [$curvature, $length]) {
            array_push($values, $curvature, max(self::MIN_LENGTH, $length));
        }

        return new self($points, $values, array_fill(0, count($begin[3]), false), $budget);
    }

    /** Moved to the least squares of the distances. */
    public function settled(): self
    {
        $damping = 1e-3;
        $squares = $this->squares($this->values);
        for ($round = 0; $round < self::MAX_ROUNDS && $damping < 1e9; $round++) {
            if (! $this->budget->spend((float) (count($this->points) * count($this->values) ** 2))) {
                break;
            }
            $step = $this->step($damping);
            $tried = $this->moved($step);
            $now = $this->squares($tried);
            if ($now < $squares) {
                $gain = ($squares - $now) / max(1e-12, $squares);
                $this->values = $tried;
                $this->follow();
                $squares = $this->squares($this->values);
                $damping = max(1e-9, $damping / 5.0);
                if ($gain < 1e-5) {
                    break;
                }
            } else {
                $damping *= 6.0;
            }
        }

        return $this;
    }

    /** With pieces that hardly bend made straight, neighbours of one kind made one, and moved again. */
    public function straightened(float $leastTurn, float $leastCurvature): self
    {
        $pieces = [];
        foreach ($this->pieces() as [$curvature, $length]) {
            if (abs($curvature * $length) < $leastTurn || abs($curvature) < $leastCurvature) {
                $curvature = 0.0;
            }
            $last = $pieces === [] ? null : $pieces[count($pieces) - 1];
            if ($last !== null && $curvature === 0.0 && $last[0] === 0.0) {
                array_pop($pieces);
                $length += $last[1];
            }
            $pieces[] = [$curvature, $length];
        }
        if ($pieces === $this->pieces()) {
            return $this;
        }
        $values = array_slice($this->values, 0, 3);
        foreach ($pieces as $piece) {
            array_push($values, ...$piece);
        }

        return (new self($this->points, $values, array_map(fn (array $p): bool => $p[0] === 0.0, $pieces), $this->budget))->settled();
    }

    public function start(): Point
    {
        return new Point($this->values[0], $this->values[1]);
    }

    public function heading(): float
    {
        return $this->values[2];
    }

    /** @return list<array{float, float}> curvature (1/mm) and length (mm) */
    public function pieces(): array
    {
        return self::of($this->values);
    }

    public function worst(): float
    {
        return sqrt(max([0.0, ...$this->away($this->values)]));
    }

    public function mean(): float
    {
        return sqrt(array_sum($this->away($this->values)) / count($this->points));
    }

    /** Puts every point's station at the foot of its perpendicular. */
    private function follow(): void
    {
        if ($this->stations === []) {
            $at = 0.0;
            foreach ($this->points as $k => $p) {
                $at += $k === 0 ? 0.0 : hypot($p[0] - $this->points[$k - 1][0], $p[1] - $this->points[$k - 1][1]);
                $this->stations[] = $at;
            }
        }
        $length = array_sum(array_column($this->pieces(), 1));
        $last = count($this->points) - 1;
        $begins = self::begins($this->values);
        foreach ($this->points as $k => $p) {
            for ($n = 0; $n < 3 && $k > 0 && $k < $last; $n++) {
                [$x, $y, $heading] = self::place($this->values, $begins, $this->stations[$k]);
                $this->stations[$k] = max(
                    0.0,
                    min($length, $this->stations[$k] + ($p[0] - $x) * cos($heading) + ($p[1] - $y) * sin($heading)),
                );
            }
        }
        $this->stations[0] = 0.0;
        $this->stations[$last] = $length;
    }

    /** @param  list<float>  $values */
    private function squares(array $values): float
    {
        $sum = 0.0;
        foreach ($this->differences($values) as $difference) {
            $sum += $difference * $difference;
        }

        return is_nan($sum) ? INF : $sum;
    }

    /**
     * Distances across the chain; at both ends those along it too.
     *
     * @param  list<float>  $values
     * @return list<float>
     */
    private function differences(array $values): array
    {
        $length = array_sum(array_column(self::of($values), 1));
        $last = count($this->points) - 1;
        $begins = self::begins($values);
        $out = [];
        foreach ($this->points as $k => $p) {
            [$x, $y, $heading] = self::place($values, $begins, $k === $last ? $length : $this->stations[$k]);
            $out[] = ($p[1] - $y) * cos($heading) - ($p[0] - $x) * sin($heading);
            if ($k === 0 || $k === $last) {
                $out[] = ($p[0] - $x) * cos($heading) + ($p[1] - $y) * sin($heading);
            }
        }

        return $out;
    }

    /** @return list<float> */
    private function step(float $damping): array
    {
        $now = $this->differences($this->values);
        $n = count($this->values);
        $columns = [];
        for ($k = 0; $k < $n; $k++) {
            $by = match (true) {
                $k < 2 => 1e-3,
                $k === 2 => 1e-6,
                $k % 2 === 1 => 1e-8,
                default => 1e-3,
            };
            $moved = $this->values;
            $moved[$k] += $by;
            $columns[] = $this->stays($k)
                ? null
                : array_map(fn (float $a, float $b): float => ($a - $b) / $by, $this->differences(array_values($moved)), $now);
        }
        $matrix = [];
        $right = [];
        for ($i = 0; $i < $n; $i++) {
            for ($j = 0; $j < $n; $j++) {
                if ($j < $i) {
                    $matrix[$i][$j] = $matrix[$j][$i];

                    continue;
                }
                $sum = 0.0;
                if ($columns[$i] !== null && $columns[$j] !== null) {
                    foreach ($columns[$i] as $m => $value) {
                        $sum += $value * $columns[$j][$m];
                    }
                }
                $matrix[$i][$j] = $sum;
            }
            $matrix[$i][$i] = $columns[$i] === null ? 1.0 : $matrix[$i][$i] * (1.0 + $damping) + 1e-12;
            $right[$i] = $columns[$i] === null ? 0.0 : -array_sum(array_map(fn (float $a, float $b): float => $a * $b, $columns[$i], $now));
        }

        return self::solve($matrix, $right);
    }

    private function stays(int $k): bool
    {
        return $k > 2 && $k % 2 === 1 && $this->straight[intdiv($k - 3, 2)];
    }

    /**
     * @param  list<float>  $step
     * @return list<float>
     */
    private function moved(array $step): array
    {
        $out = [];
        foreach ($this->values as $k => $value) {
            $out[] = $k > 2 && $k % 2 === 0 ? max(self::MIN_LENGTH, $value + $step[$k]) : $value + $step[$k];
        }

        return $out;
    }

    /**
     * @param  list<float>  $values
     * @return list<array{float, float}>
     */
    private static function of(array $values): array
    {
        $out = [];
        for ($k = 3; $k < count($values); $k += 2) {
            $out[] = [$values[$k], $values[$k + 1]];
        }

        return $out;
    }

    /**
     * Where each piece begins: place and heading, by the index of its curvature among the values.
     *
     * @param  list<float>  $values
     * @return array<int, array{float, float, float}>
     */
    private static function begins(array $values): array
    {
        $at = [$values[0], $values[1], $values[2]];
        $out = [];
        for ($k = 3; $k < count($values); $k += 2) {
            $out[$k] = $at;
            $at = self::along($at, $values[$k], $values[$k + 1]);
        }

        return $out;
    }

    /**
     * Place and heading at a station; beyond the end the last piece goes on.
     *
     * @param  list<float>  $values
     * @param  array<int, array{float, float, float}>  $begins of the pieces
     * @return array{float, float, float}
     */
    private static function place(array $values, array $begins, float $station): array
    {
        $last = count($values) - 2;
        for ($k = 3; $k < $last && $station > $values[$k + 1]; $k += 2) {
            $station -= $values[$k + 1];
        }

        return self::along($begins[$k], $values[$k], $station);
    }

    /**
     * @param  array{float, float, float}  $from place and heading
     * @return array{float, float, float}
     */
    private static function along(array $from, float $curvature, float $length): array
    {
        [$x, $y, $heading] = $from;
        $turn = $curvature * $length;
        // The chord of an arc lies in the middle of its headings.
        $chord = abs($turn) < 1e-7 ? $length : (2.0 * sin($turn / 2.0)) / $curvature;

        return [$x + $chord * cos($heading + $turn / 2.0), $y + $chord * sin($heading + $turn / 2.0), $heading + $turn];
    }

    /**
     * @param  list<float>  $values
     * @return list<float> squares of the distances of the points from the chain
     */
    private function away(array $values): array
    {
        $begins = self::begins($values);
        $out = [];
        foreach ($this->points as $k => $p) {
            [$x, $y] = self::place($values, $begins, $this->stations[$k]);
            $out[] = ($p[0] - $x) ** 2 + ($p[1] - $y) ** 2;
        }

        return $out;
    }

    /**
     * Gaussian elimination with the greatest pivot of each column.
     *
     * @param  array<int, array<int, float>>  $a
     * @param  array<int, float>  $b
     * @return list<float>
     */
    private static function solve(array $a, array $b): array
    {
        $n = count($b);
        for ($i = 0; $i < $n; $i++) {
            $pivot = $i;
            for ($k = $i + 1; $k < $n; $k++) {
                $pivot = abs($a[$k][$i]) > abs($a[$pivot][$i]) ? $k : $pivot;
            }
            [$a[$i], $a[$pivot], $b[$i], $b[$pivot]] = [$a[$pivot], $a[$i], $b[$pivot], $b[$i]];
            if (abs($a[$i][$i]) < 1e-300) {
                continue;
            }
            for ($k = $i + 1; $k < $n; $k++) {
                $by = $a[$k][$i] / $a[$i][$i];
                for ($j = $i; $by !== 0.0 && $j < $n; $j++) {
                    $a[$k][$j] -= $by * $a[$i][$j];
                }
                $b[$k] -= $by * $b[$i];
            }
        }
        $x = array_fill(0, $n, 0.0);
        for ($i = $n - 1; $i >= 0; $i--) {
            $sum = $b[$i];
            for ($j = $i + 1; $j < $n; $j++) {
                $sum -= $a[$i][$j] * $x[$j];
            }
            $x[$i] = abs($a[$i][$i]) < 1e-300 ? 0.0 : $sum / $a[$i][$i];
        }

        return array_values($x);
    }
}
