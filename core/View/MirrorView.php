<?php

declare(strict_types=1);

namespace IdleRidge\Core\View;

/** Of all that eyes see in a mirror, counted by lines: the scene, who looks, and what lies beyond the board. */
final readonly class MirrorView
{
    /** So little of what is seen is a speck at its rim. */
    private const SPECK = 0.02;

    /**
     * @param  int  $faced eyes that its face is turned to at all
     * @param  string|null  $edge by which most of what is beyond is seen
     * @param  list<array{float, float, float, float, string}>  $lines in plan, from the face to what each meets, and what that is: scene,
     *     viewer, beyond
     */
    public function __construct(
        public int $faced,
        public int $scene,
        public int $viewer,
        public int $beyond,
        public ?string $edge,
        public array $lines = [],
    ) {
    }

    public function seen(): int
    {
        return $this->scene + $this->viewer + $this->beyond;
    }

    /** Share of what is seen in it that is no scene, 0 … 1. */
    public function badShare(): float
    {
        return $this->seen() === 0 ? 0.0 : ($this->viewer + $this->beyond) / $this->seen();
    }

    public function isGood(): bool
    {
        return $this->seen() > 0 && $this->badShare() <= self::SPECK;
    }
}
