<?php

declare(strict_types=1);

namespace IdleRidge\Core\Water;

/** Where water would leave what holds it: how high it has to stand for that, over which place, and where it runs from there, mm. */
final readonly class Spill
{
    /** @param  non-empty-list<array{float, float}>  $path from the place it runs over to the edge that it leaves by */
    public function __construct(public float $level, public array $path)
    {
    }

    /** @return array{float, float} the place that it runs over */
    public function at(): array
    {
        return $this->path[0];
    }
}
