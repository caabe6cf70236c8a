<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Geometry\BoardEdge;

/** A place where water leaves the scene over an edge of its board, and how much of it is seen from where people look. mm. */
final readonly class StreamEnd
{
    /** More than this seen, the eye follows the water to where it stops. */
    public const MAX_SEEN_SHARE = 0.2;

    /**
     * @param  array{float, float}  $at middle of the water there, section coordinates
     * @param  float  $inwardDeg the way back into the scene, section coordinates
     * @param  float  $seen share of lines to it that nothing stands in, 0 … 1
     * @param  list<string>  $hidden what stands in the others, in words
     * @param  float|null  $under headroom beneath a bridge that stands before it, over the water; null without one
     */
    public function __construct(
        public string $water,
        public string $name,
        public BoardEdge $edge,
        public array $at,
        public float $width,
        public float $level,
        public float $inwardDeg,
        public ?string $joint,
        public bool $isViewed,
        public float $seen,
        public array $hidden,
        public ?float $under,
    ) {
    }

    /** Whether the scene stops there before everyone’s eyes. */
    public function isOpen(): bool
    {
        return $this->joint === null && ! $this->isViewed && $this->seen > self::MAX_SEEN_SHARE;
    }
}
