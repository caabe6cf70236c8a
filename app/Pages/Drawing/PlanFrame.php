<?php

declare(strict_types=1);

namespace App\Pages\Drawing;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Interchange\Svg;

/** How a board lies in its plan: mm with y upward on the board, drawing units with y downward on the sheet. */
final readonly class PlanFrame
{
    public float $scale;

    public float $width;

    public float $height;

    public float $left;

    public function __construct(
        public float $boardWidth,
        public float $boardDepth,
        float $room,
        float $roomHeight,
        float $left = 30.0,
        public float $top = 6.0,
    ) {
        $this->scale = min($room / $boardWidth, $roomHeight / $boardDepth);
        $this->width = $boardWidth * $this->scale;
        $this->height = $boardDepth * $this->scale;
        $this->left = $left + ($room - $this->width) / 2.0;
    }

    public function x(float $mm): float
    {
        return $this->left + $mm * $this->scale;
    }

    public function y(float $mm): float
    {
        return $this->top + ($this->boardDepth - $mm) * $this->scale;
    }

    /**
     * @param  iterable<array{float, float}|Point>  $points
     */
    public function d(iterable $points, bool $closed = false): string
    {
        $out = [];
        foreach ($points as $p) {
            $out[] = $p instanceof Point ? [$this->x($p->x), $this->y($p->y)] : [$this->x($p[0]), $this->y($p[1])];
        }

        return Svg::d($out, $closed);
    }

    /** A square grip at a place on the board; its data say what dragging it moves. */
    public function grip(Svg $svg, string $drag, string $uid, int $index, float $x, float $y, string $label): void
    {
        [$px, $py] = [$this->x($x), $this->y($y)];
        $svg->open([
            'class' => 'handle grip',
            'data-drag' => $drag,
            'data-uid' => $uid,
            'data-index' => $index,
            'tabindex' => 0,
            'role' => 'button',
            'aria-label' => $label,
        ])
            ->circle('target', $px, $py, 14.0)
            ->rect('square', $px - 4.5, $py - 4.5, 9.0, 9.0)
            ->close();
    }
}
