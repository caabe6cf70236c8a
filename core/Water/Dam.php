<?php

declare(strict_types=1);

namespace IdleRidge\Core\Water;

use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Measure\Format;

/**
 * What closes water along an edge of its board, mm along that edge: a plate that stands against it from under the bed to over the water.
 */
final readonly class Dam
{
    /** It reaches so far under the bed, past both ends, and over the water. */
    private const FOOT_MM = 8.0;

    private const PAST_MM = 10.0;

    public const FREEBOARD_MM = 3.0;

    /** A strip of film and tape holds alone up to such a length; a plate of more is clamped so often. */
    private const TAPE_MM = 120.0;

    private const CLAMP_EVERY_MM = 100.0;

    /**
     * @param  non-empty-list<array{float, float}>  $bed place along the edge, height of the bed there
     * @param  string|null  $joint name of the board that goes on there
     */
    public function __construct(
        public BoardEdge $edge,
        public float $from,
        public float $to,
        public array $bed,
        public float $level,
        public ?string $joint,
    ) {
    }

    public function length(): float
    {
        return $this->to - $this->from;
    }

    /** From the deepest bed to its top. */
    public function height(): float
    {
        return $this->top() - min(array_column($this->bed, 1));
    }

    public function top(): float
    {
        return $this->level + self::FREEBOARD_MM;
    }

    /** Water at its deepest there. */
    public function deep(): float
    {
        return $this->level - min(array_column($this->bed, 1));
    }

    public function hold(): string
    {
        if ($this->length() <= self::TAPE_MM) {
            return 'film over a strip, held by tape pressed to the board’s face';
        }

        return sprintf('film over a straight strip, held by %d clamps', (int) ceil($this->length() / self::CLAMP_EVERY_MM - 1e-9) + 1);
    }

    /** On which side it is made tight. */
    public function seal(): string
    {
        return $this->joint === null
            ? 'a bead along foot and ends from outside, where it does not show; the water’s side stays clean film and comes off'
            : "film on both faces of the joint; a bead from {$this->joint}’s side, cut before the boards part";
    }

    /** The plate at full size, with bed and water marked. */
    public function template(string $name): Template
    {
        $foot = min(array_column($this->bed, 1)) - self::FOOT_MM;
        [$left, $right] = [$this->from - self::PAST_MM, $this->to + self::PAST_MM];
        $at = fn (float $along, float $z): array => [$along - $left, $z - $foot];
        $joint = $this->joint === null ? '' : ", joint to {$this->joint}";

        return new Template(
            sprintf('dam-%s-%d', $this->edge->value, (int) round($this->from)),
            sprintf('%s: dam, %s edge%s, %s long', $name, $this->edge->value, $joint, Format::length($this->length())),
            [[$at($left, $foot), $at($right, $foot), $at($right, $this->top()), $at($left, $this->top())]],
            [],
            [
                array_map(fn (array $p): array => $at($p[0], $p[1]), $this->bed),
                [$at($this->from, $this->level), $at($this->to, $this->level)],
            ],
            [],
            [
                [...$at($this->from, $this->level + 0.6), 'water'],
                [...$at(($this->from + $this->to) / 2.0, $foot + 1.5), "{$this->edge->value}, from ".Format::cell($this->from)],
            ],
        );
    }
}
