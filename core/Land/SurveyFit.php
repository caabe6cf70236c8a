<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\HeightGrid;

/**
 * Spot heights whose ground follows a grid of heights: the spot that is missed most is added, ground by ground, until the
 * rest is small. What comes in stays land that can be taken by its spots and changed.
 *
 * Method: greedy insertion, after M. Garland and P. Heckbert, "Fast polygonal approximation of terrains and height fields"
 * (1995), with the plate in tension instead of triangles.
 */
final readonly class SurveyFit
{
    /** Good enough: a mean of this share of the relief, mm at least so much. */
    public const MEAN_ERROR_SHARE = 0.01;

    private const MIN_MEAN_ERROR_MM = 0.3;

    private const MAX_SPOTS = 180;

    private const MAX_ROUNDS = 16;

    private const SPOTS_PER_ROUND = 14;

    private const CELL_MM = 10.0;

    /**
     * @param  list<Spot>  $spots
     * @param  float  $mean root of the mean square that is left, mm
     * @param  float  $worst mm
     */
    private function __construct(public array $spots, public float $mean, public float $worst)
    {
    }

    public static function of(HeightGrid $grid, float $tension = GroundProblem::TENSION, float $stiffness = GroundProblem::STIFFNESS): self
    {
        $samples = self::samples($grid);
        $heights = array_column($samples, 2);
        $goal = max(self::MIN_MEAN_ERROR_MM, self::MEAN_ERROR_SHARE * (max($heights) - min($heights)));
        $apart = max(2.0 * $grid->cell, (hypot($grid->cols, $grid->rows) * $grid->cell) / 45.0);
        $spots = self::worstOf(
            $samples,
            array_map(fn (float $z): float => abs($z - array_sum($heights) / count($heights)), $heights),
            [],
            $apart,
            6,
        );
        foreach (self::corners($samples, $grid) as $corner) {
            $spots = self::farFrom($spots, $corner, $apart / 2.0) ? [...$spots, $corner] : $spots;
        }
        $left = [];
        for ($round = 0; $round < self::MAX_ROUNDS; $round++) {
            $ground = GroundSolver::solve(
                GroundProblem::over(
                    $grid->x0,
                    $grid->y0,
                    max(10.0, $grid->cols * $grid->cell),
                    max(10.0, $grid->rows * $grid->cell),
                    $spots,
                    [],
                    $tension,
                    $stiffness,
                ),
                self::CELL_MM,
            );
            $left = array_map(fn (array $s): float => abs($ground->at($s[0], $s[1]) - $s[2]), $samples);
            if (self::mean($left) <= $goal || count($spots) >= self::MAX_SPOTS || $round === self::MAX_ROUNDS - 1) {
                break;
            }
            $more = self::worstOf($samples, $left, $spots, $apart, self::SPOTS_PER_ROUND);
            if (count($more) === count($spots)) {
                $apart /= 1.5;
            }
            $spots = $more;
        }

        return new self($spots, self::mean($left), max($left));
    }

    /** @return non-empty-list<array{float, float, float}> so many values that a hundred grounds can be held against them */
    private static function samples(HeightGrid $grid): array
    {
        $stride = max(1, (int) ceil(sqrt(($grid->cols * $grid->rows) / 9000.0)));
        $off = $grid->onNodes ? 0.0 : 0.5;
        $out = [];
        for ($j = 0; $j < $grid->rows; $j++) {
            for ($i = 0; $i < $grid->cols; $i++) {
                $keep = ($i % $stride === 0 || $i === $grid->cols - 1) && ($j % $stride === 0 || $j === $grid->rows - 1);
                if ($keep) {
                    $out[] = [
                        $grid->x0 + ($i + $off) * $grid->cell,
                        $grid->y0 + ($j + $off) * $grid->cell,
                        $grid->values[$j * $grid->cols + $i],
                    ];
                }
            }
        }

        return $out === [] ? [[$grid->x0, $grid->y0, 0.0]] : $out;
    }

    /**
     * @param  non-empty-list<array{float, float, float}>  $samples
     * @return list<Spot>
     */
    private static function corners(array $samples, HeightGrid $grid): array
    {
        $out = [];
        foreach ([[0, 0], [1, 0], [1, 1], [0, 1]] as [$right, $back]) {
            $best = $samples[0];
            foreach ($samples as $s) {
                $way = fn (array $p): float => ($right === 1 ? $p[0] : -$p[0]) + ($back === 1 ? $p[1] : -$p[1]);
                $best = $way($s) > $way($best) ? $s : $best;
            }
            $out[] = new Spot($best[0], $best[1], round($best[2], 1));
        }

        return $out;
    }

    /**
     * @param  list<array{float, float, float}>  $samples
     * @param  list<float>  $left what is missed at each
     * @param  list<Spot>  $spots
     * @return list<Spot> with the worst missed, so far apart
     */
    private static function worstOf(array $samples, array $left, array $spots, float $apart, int $count): array
    {
        arsort($left);
        $added = 0;
        foreach (array_keys($left) as $k) {
            [$x, $y, $z] = $samples[$k];
            $spot = new Spot($x, $y, round($z, 1));
            if (self::farFrom($spots, $spot, $apart)) {
                $spots[] = $spot;
                if (++$added === $count) {
                    break;
                }
            }
        }

        return $spots;
    }

    /** @param  list<Spot>  $spots */
    private static function farFrom(array $spots, Spot $spot, float $apart): bool
    {
        foreach ($spots as $other) {
            if (hypot($other->x - $spot->x, $other->y - $spot->y) < $apart) {
                return false;
            }
        }

        return true;
    }

    /** @param  list<float>  $left */
    private static function mean(array $left): float
    {
        return sqrt(array_sum(array_map(fn (float $v): float => $v * $v, $left)) / max(1, count($left)));
    }
}
