<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * A block of foam that is glued to a board already, from its top up: where its left front corner lies, how wide, deep and high it
 * is, mm in section coordinates. Layers of a stack that it fills are not cut there again.
 */
final readonly class StandingFoam
{
    public const MAX_BLOCKS = 24;

    /** A layer counts as filled that it comes this near to the top of, mm; filler makes up the rest. */
    public const SLACK_MM = 1.0;

    /** What is cut beside it keeps off by this, to be slid into its place, mm. */
    public const CLEARANCE_MM = 0.5;

    /** Nodes of a raster as near as this outside it bend an outline round it, mm. */
    private const AROUND_MM = 12.0;

    /** @throws InvalidValue */
    public function __construct(public float $x, public float $y, public float $width, public float $depth, public float $high)
    {
        foreach (['left' => $x, 'front' => $y] as $name => $at) {
            InvalidValue::unlessBetween($at, -500.0, 5000.0, "How far foam stands from the {$name}", 'mm', 'foam_stands');
        }
        foreach (['width' => $width, 'depth' => $depth, 'height' => $high] as $name => $size) {
            InvalidValue::unlessBetween($size, 1.0, 5000.0, "The {$name} of foam", 'mm', 'foam_stands');
        }
    }

    /**
     * @param  list<array<int, float>>  $blocks x, y, width, depth, high
     * @return list<self>
     *
     * @throws InvalidValue
     */
    public static function all(array $blocks): array
    {
        if (count($blocks) > self::MAX_BLOCKS) {
            throw new InvalidValue('At most '.self::MAX_BLOCKS.' blocks of foam stand on a board.', 'foam_stands');
        }

        return array_map(fn (array $b): self => new self(...$b), $blocks);
    }

    /** @return array{float, float, float, float, float} */
    public function values(): array
    {
        return [$this->x, $this->y, $this->width, $this->depth, $this->high];
    }

    /** Whether any of it stands on a board of this size, mm. */
    public function liesOn(float $width, float $depth): bool
    {
        return $this->x < $width && $this->x + $this->width > 0.0 && $this->y < $depth && $this->y + $this->depth > 0.0;
    }

    /** Whether it fills a layer between two heights over the board's top, mm. */
    public function fills(float $bottom, float $top): bool
    {
        return $bottom >= -1e-6 && $this->high >= $top - self::SLACK_MM;
    }

    /** Distance to its sides with the clearance, mm; negative inside. */
    public function away(float $x, float $y): float
    {
        return max($this->x - $x, $x - $this->x - $this->width, $this->y - $y, $y - $this->y - $this->depth) - self::CLEARANCE_MM;
    }

    /** @return array<int, float> node of the mesh → distance, of those in it or near */
    public function over(HeightMesh $mesh): array
    {
        $out = [];
        foreach ($mesh->ys as $j => $y) {
            foreach ($mesh->xs as $i => $x) {
                $away = $this->away($x, $y);
                if ($away < self::AROUND_MM) {
                    $out[$j * count($mesh->xs) + $i] = $away;
                }
            }
        }

        return $out;
    }

    /** As what is glued onto it is told to lie on. */
    public function piece(): Piece
    {
        [$x2, $y2] = [$this->x + $this->width, $this->y + $this->depth];

        return new Piece(
            'what stands',
            [[[$this->x, $this->y], [$x2, $this->y], [$x2, $y2], [$this->x, $y2]]],
            $this->width * $this->depth,
        );
    }

    /**
     * How far it rises over the land at most, mm: that much is cut away. Less than nothing where it stays under it.
     *
     * @param  HeightMesh  $shape heights over the datum
     * @param  float  $base of the board's top
     */
    public function rises(HeightMesh $shape, float $base): float
    {
        $most = -INF;
        foreach ($this->over($shape) as $node => $away) {
            $most = $away <= 0.0 ? max($most, $base + $this->high - $shape->z[$node]) : $most;
        }

        return $most;
    }
}
