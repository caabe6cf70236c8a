<?php

declare(strict_types=1);

namespace IdleRidge\Core\Water;

use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * Standing water: the ground that hangs together with a seed below a level, and the lowest level at which water at the seed finds the
 * board's edge. Volumes in mm³, areas in mm².
 */
final readonly class Pool
{
    private function __construct(public float $level, public float $volume, public float $surface, public Spill $spill)
    {
    }

    /** @throws InvalidValue when the seed lies off the board or above the level */
    public static function fill(HeightMesh $mesh, float $level, float $seedX, float $seedY): self
    {
        $n = count($mesh->xs);
        $m = count($mesh->ys);
        if ($seedX < $mesh->xs[0] || $seedX > $mesh->xs[$n - 1] || $seedY < $mesh->ys[0] || $seedY > $mesh->ys[$m - 1]) {
            throw new InvalidValue("The seed {$seedX}, {$seedY} lies off the board.", 'seed');
        }
        $flood = new Flood($mesh);
        $seed = $flood->node($seedX, $seedY);
        if ($mesh->z[$seed] >= $level) {
            throw new InvalidValue(
                sprintf(
                    'The ground at the seed is %s, not below the water at %s.',
                    Format::length($mesh->z[$seed], 1),
                    Format::length($level, 1),
                ),
                'seed',
            );
        }
        $wet = $flood->wet($seed, $level);
        $measures = $mesh->below(
            $level,
            fn (int $p): bool => isset($wet[$p]) || isset($wet[$p + 1]) || isset($wet[$p + $n]) || isset($wet[$p + $n + 1]),
        );
        $spill = $flood->spill($seed) ?? new Spill($mesh->z[$seed], [$flood->place($seed)]);

        return new self($level, $measures['volume'], $measures['area'], $spill);
    }
}
