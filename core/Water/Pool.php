<?php

declare(strict_types=1);

namespace IdleRidge\Core\Water;

use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Measure\InvalidValue;
use SplPriorityQueue;

/**
 * Standing water: the ground that hangs together with a seed below a level, and the lowest level at which water at the
 * seed finds the board's edge (priority flood: R. Barnes, C. Lehman and D. Mulla, Computers & Geosciences 62, 2014).
 * Volumes in mm³, areas in mm².
 */
final readonly class Pool
{
    private function __construct(
        public float $level,
        public float $volume,
        public float $surface,
        public float $spillLevel,
        public float $spillX,
        public float $spillY,
    ) {
    }

    /** @throws InvalidValue when the seed lies off the board or above the level */
    public static function fill(HeightMesh $mesh, float $level, float $seedX, float $seedY): self
    {
        $n = count($mesh->xs);
        $m = count($mesh->ys);
        if ($seedX < $mesh->xs[0] || $seedX > $mesh->xs[$n - 1] || $seedY < $mesh->ys[0] || $seedY > $mesh->ys[$m - 1]) {
            throw new InvalidValue("The seed {$seedX}, {$seedY} lies off the board.", 'seed');
        }
        $i = self::nearest($mesh->xs, $seedX);
        $j = self::nearest($mesh->ys, $seedY);
        $seed = $j * $n + $i;
        if ($mesh->z[$seed] >= $level) {
            throw new InvalidValue(
                sprintf('The ground at the seed is %.1f mm, not below the water at %.1f mm.', $mesh->z[$seed], $level),
                'seed',
            );
        }
        $wet = self::connected($mesh, $n, $m, $seed, $level);
        $measures = $mesh->below(
            $level,
            fn (int $p): bool => isset($wet[$p]) || isset($wet[$p + 1]) || isset($wet[$p + $n]) || isset($wet[$p + $n + 1]),
        );
        [$spill, $at] = self::spill($mesh, $n, $m, $seed);

        return new self($level, $measures['volume'], $measures['area'], $spill, $mesh->xs[$at % $n], $mesh->ys[intdiv($at, $n)]);
    }

    /** @return array<int, true> nodes under water */
    private static function connected(HeightMesh $mesh, int $n, int $m, int $seed, float $level): array
    {
        $wet = [$seed => true];
        $queue = [$seed];
        while ($queue !== []) {
            $p = array_pop($queue);
            foreach (self::neighbours($p, $n, $m) as $q) {
                if (! isset($wet[$q]) && $mesh->z[$q] < $level) {
                    $wet[$q] = true;
                    $queue[] = $q;
                }
            }
        }

        return $wet;
    }

    /** @return array{float, int} the level, and the node it first has to rise over */
    private static function spill(HeightMesh $mesh, int $n, int $m, int $seed): array
    {
        $queue = new SplPriorityQueue();
        $queue->setExtractFlags(SplPriorityQueue::EXTR_BOTH);
        $queue->insert([$seed, $seed], -$mesh->z[$seed]);
        $seen = [$seed => true];
        while (! $queue->isEmpty()) {
            ['data' => [$p, $over], 'priority' => $priority] = $queue->extract();
            $height = -$priority;
            if ($p % $n === 0 || $p % $n === $n - 1 || $p < $n || $p >= $n * ($m - 1)) {
                return [$height, $over];
            }
            foreach (self::neighbours($p, $n, $m) as $q) {
                if (! isset($seen[$q])) {
                    $seen[$q] = true;
                    $rises = $mesh->z[$q] > $height;
                    $queue->insert([$q, $rises ? $q : $over], -max($height, $mesh->z[$q]));
                }
            }
        }

        return [$mesh->z[$seed], $seed];
    }

    /** @return list<int> */
    private static function neighbours(int $p, int $n, int $m): array
    {
        $out = [];
        if ($p % $n > 0) {
            $out[] = $p - 1;
        }
        if ($p % $n < $n - 1) {
            $out[] = $p + 1;
        }
        if ($p >= $n) {
            $out[] = $p - $n;
        }
        if ($p < $n * ($m - 1)) {
            $out[] = $p + $n;
        }

        return $out;
    }

    /** @param  list<float>  $line */
    private static function nearest(array $line, float $value): int
    {
        $best = 0;
        foreach ($line as $k => $at) {
            if (abs($at - $value) < abs($line[$best] - $value)) {
                $best = $k;
            }
        }

        return $best;
    }
}
