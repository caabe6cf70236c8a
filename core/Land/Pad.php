<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Geometry\Outline;

/**
 * A level place for a building or a yard, section coordinates, mm: inside its outline the ground lies at its level; outside,
 * slopes of `batter` (run over rise) lead to the ground, up or down.
 */
final readonly class Pad implements Shape
{
    private Outline $edge;

    /** @param  non-empty-list<array{float, float}>  $outline ring */
    public function __construct(public string $uid, public string $name, public array $outline, public float $level, public float $batter)
    {
        $this->edge = new Outline($outline);
    }

    public function shape(float $x, float $y, float $ground): float
    {
        $out = max(0.0, -$this->edge->depth($x, $y));

        return max($this->level - $out / $this->batter, min($this->level + $out / $this->batter, $ground));
    }

    public function reach(float $lowest, float $highest): array
    {
        return Box::around($this->outline, max(0.0, $highest - $this->level, $this->level - $lowest) * $this->batter + 1.0);
    }
}
