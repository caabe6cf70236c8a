<?php

declare(strict_types=1);

namespace IdleRidge\Core\Geometry;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * An edge of a board, as its builder stands before it. Coordinates count from its front left corner, places along an edge from its left
 * or front end, mm.
 */
enum BoardEdge: string
{
    case Front = 'front';
    case Back = 'back';
    case Left = 'left';
    case Right = 'right';

    /**
     * Those that a list of words names, in the order of the cases.
     *
     * @param  list<string>  $words
     * @return list<self>
     *
     * @throws InvalidValue
     */
    public static function named(array $words, string $field): array
    {
        if (array_diff($words, array_column(self::cases(), 'value')) !== []) {
            throw new InvalidValue('An edge is front, back, left or right.', $field);
        }

        return array_values(array_filter(self::cases(), fn (self $edge): bool => in_array($edge->value, $words, true)));
    }

    /** The one by which a place beyond a board, or on its edge, is left; front and back before left and right. */
    public static function beyond(float $x, float $y, float $depth): self
    {
        return match (true) {
            $y <= 0.0 => self::Front,
            $y >= $depth => self::Back,
            $x <= 0.0 => self::Left,
            default => self::Right,
        };
    }

    public function runsAlongX(): bool
    {
        return $this === self::Front || $this === self::Back;
    }

    public function length(float $width, float $depth): float
    {
        return $this->runsAlongX() ? $width : $depth;
    }

    /**
     * A place along it on a board of such a size, so far beyond it or, where that is negative, inside.
     *
     * @return array{float, float}
     */
    public function place(float $along, float $width, float $depth, float $beyond = 0.0): array
    {
        return match ($this) {
            self::Front => [$along, -$beyond],
            self::Back => [$along, $depth + $beyond],
            self::Left => [-$beyond, $along],
            self::Right => [$width + $beyond, $along],
        };
    }

    /** How far along it a place lies. */
    public function along(float $x, float $y): float
    {
        return $this->runsAlongX() ? $x : $y;
    }

    /** How far inside it a place lies. */
    public function inside(float $x, float $y, float $width, float $depth): float
    {
        return match ($this) {
            self::Front => $y,
            self::Back => $depth - $y,
            self::Left => $x,
            self::Right => $width - $x,
        };
    }
}
