<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

/**
 * Natural ground: the surface of least curvature in tension through spots and lines,
 * `(1−T)·h⁴∇⁴z − T·h²∇²z = 0` (W. H. F. Smith and P. Wessel, "Gridding with continuous curvature splines in tension",
 * Geophysics 55, 1990), with free edges.
 *
 * The equation is solved as its energy, `∫ (1−T)·h²·(z_xx² + 2·z_xy² + z_yy²) + T·|∇z|²`, whose natural edges are free:
 * ∂²z/∂n² = 0 along them and ∂²z/∂x∂y = 0 in the corners. Spots act at their true places through the cubic weights
 * by which the lattice is read, held by springs whose targets are moved until the surface passes through them
 * (augmented Lagrangian: M. R. Hestenes, "Multiplier and gradient methods", 1969). They are met within 0.05 mm, or within
 * half a millimetre where a cliff stands between two spots nearer to each other than the nodes of the lattice.
 */
final class GroundSolver
{
    /** Lattice nodes to a stiffness length; more change heights by less than 0.1 mm. */
    private const NODES_PER_STIFFNESS = 8.0;

    private const MAX_NODES = 40_000;

    private const SPOT_PENALTY = 20.0;

    /** A spot counts as met within this, mm. */
    private const SPOT_TOLERANCE_MM = 0.05;

    /** Of the residual, in the first round and in those that follow; the last leaves heights within 0.02 mm. */
    private const TOLERANCES = [5e-4, 1e-4, 5e-5, 5e-5, 5e-5, 5e-5, 5e-5];

    /** @param  float  $finest no finer lattice than this, mm */
    public static function solve(GroundProblem $problem, float $finest = 5.0): Lattice
    {
        return self::answer($problem, $finest)->lattice;
    }

    /**
     * @param  GroundAnswer|null  $start an earlier answer to begin from; what does not fit is left aside
     * @param  bool  $rough one round and no more: good to a few tenths of a millimetre, for what is shown while it changes
     */
    public static function answer(
        GroundProblem $problem,
        float $finest = 5.0,
        ?GroundAnswer $start = null,
        bool $rough = false,
    ): GroundAnswer {
        $spacing = max(
            $finest,
            $problem->stiffness / self::NODES_PER_STIFFNESS,
            sqrt(($problem->width * $problem->depth) / self::MAX_NODES),
        );
        $cols = max(5, (int) ceil($problem->width / $spacing - 1e-9) + 1);
        $rows = max(5, (int) ceil($problem->depth / $spacing - 1e-9) + 1);
        $held = $problem->spots;
        foreach ($problem->lines as $line) {
            array_push($held, ...$line->spots(2.0 * $spacing));
        }
        if ($held === []) {
            return new GroundAnswer(
                new Lattice($problem->x0, $problem->y0, $spacing, $cols, $rows, array_fill(0, $cols * $rows, $problem->base)),
                [],
            );
        }
        $plane = Plane::through($held);
        [$constraints, $targets] = self::constraints($held, $plane, $problem, $spacing, $cols, $rows);
        $offsets = self::planeAt($plane, $problem, $spacing, $cols, $rows);
        $z = null;
        $multipliers = array_fill(0, count($held), 0.0);
        if ($start !== null && $start->lattice->sameNodes($problem->x0, $problem->y0, $spacing, $cols, $rows)) {
            $z = array_map(fn (float $z, float $o): float => $z - $o, $start->lattice->heights, $offsets);
            $multipliers = count($start->multipliers) === count($held) ? $start->multipliers : $multipliers;
        }
        $tolerances = $rough ? array_slice(self::TOLERANCES, 0, 1) : ($z === null ? self::TOLERANCES : array_slice(self::TOLERANCES, 1));
        $z = self::hold($constraints, $targets, $problem, $spacing, $cols, $rows, $z, $multipliers, $tolerances);
        $heights = array_map(fn (float $v, float $o): float => $v + $o, array_values($z), $offsets);

        return new GroundAnswer(new Lattice($problem->x0, $problem->y0, $spacing, $cols, $rows, $heights), array_values($multipliers));
    }

    /**
     * @param  list<array<int, float>>  $constraints
     * @param  list<float>  $targets
     * @param  array<int, float>|null  $begin
     * @param  list<float>  $tolerances of the residual, one a round
     * @param  array<int, float>  $multipliers how far each spring's target is set beyond its spot; kept up to date
     * @return array<int, float>
     */
    private static function hold(
        array $constraints,
        array $targets,
        GroundProblem $problem,
        float $spacing,
        int $cols,
        int $rows,
        ?array $begin,
        array &$multipliers,
        array $tolerances,
    ): array {
        $bend = (1.0 - $problem->tension) * ($problem->stiffness / $spacing) ** 2;
        $penalty = self::SPOT_PENALTY * ($bend + 0.2 * $problem->tension);
        $solver = new PlateSolver($cols, $rows, $bend, $problem->tension, $penalty, $constraints);
        $z = $begin ?? [];
        foreach ($tolerances as $tolerance) {
            $force = array_fill(0, $cols * $rows, 0.0);
            foreach ($constraints as $k => $row) {
                foreach ($row as $node => $weight) {
                    $force[$node] += $penalty * $weight * ($targets[$k] + $multipliers[$k]);
                }
            }
            $z = $solver->solve($force, $z === [] ? null : $z, $tolerance);
            $worst = 0.0;
            foreach ($constraints as $k => $row) {
                $miss = $targets[$k];
                foreach ($row as $node => $weight) {
                    $miss -= $weight * $z[$node];
                }
                $worst = max($worst, abs($miss));
                $multipliers[$k] += $miss;
            }
            if ($worst < self::SPOT_TOLERANCE_MM) {
                break;
            }
        }

        return $z;
    }

    /**
     * @param  non-empty-list<Spot>  $held
     * @return array{list<array<int, float>>, list<float>}
     */
    private static function constraints(array $held, Plane $plane, GroundProblem $problem, float $spacing, int $cols, int $rows): array
    {
        $constraints = [];
        $targets = [];
        foreach ($held as $spot) {
            [$i, $wx] = Lattice::weights(($spot->x - $problem->x0) / $spacing, $cols);
            [$j, $wy] = Lattice::weights(($spot->y - $problem->y0) / $spacing, $rows);
            $row = [];
            foreach ($wy as $b => $v) {
                foreach ($wx as $a => $u) {
                    if (abs($u * $v) > 1e-12) {
                        $row[($j + $b) * $cols + $i + $a] = $u * $v;
                    }
                }
            }
            $constraints[] = $row;
            $targets[] = $spot->z - $plane->at($spot->x, $spot->y);
        }

        return [$constraints, $targets];
    }

    /** @return list<float> */
    private static function planeAt(Plane $plane, GroundProblem $problem, float $spacing, int $cols, int $rows): array
    {
        $out = [];
        for ($j = 0; $j < $rows; $j++) {
            for ($i = 0; $i < $cols; $i++) {
                $out[] = $plane->at($problem->x0 + $i * $spacing, $problem->y0 + $j * $spacing);
            }
        }

        return $out;
    }
}
