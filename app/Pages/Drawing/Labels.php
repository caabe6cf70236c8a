<?php

declare(strict_types=1);

namespace App\Pages\Drawing;

/** Keeps words in a drawing from lying over each other: each asks for a place, and gets one or none. */
final class Labels
{
    /** @var list<array{float, float, float, float}> taken boxes: left, top, right, bottom */
    private array $taken = [];

    public function __construct(
        private readonly float $width,
        private readonly float $height,
        private readonly float $left = 0.0,
        private readonly float $top = 0.0,
    ) {
    }

    public function block(float $left, float $top, float $right, float $bottom): void
    {
        $this->taken[] = [$left, $top, $right, $bottom];
    }

    /**
     * The first of the offered places (left end and baseline) where a text fits, which it then takes.
     *
     * @param  list<array{float, float}>  $places
     * @return array{float, float}|null
     */
    public function place(string $text, float $perCharacter, float $size, array $places): ?array
    {
        $width = mb_strlen($text) * $perCharacter;
        foreach ($places as [$x, $baseline]) {
            $box = [$x - 2.0, $baseline - 0.85 * $size - 1.0, $x + $width + 2.0, $baseline + 0.25 * $size + 1.0];
            if ($this->free($box)) {
                $this->taken[] = $box;

                return [$x, $baseline];
            }
        }

        return null;
    }

    /**
     * The same for a text beside a mark: to the right, left, above, below it, then in the corners.
     *
     * @return array{float, float}|null
     */
    public function beside(string $text, float $perCharacter, float $size, float $x, float $y, float $gap): ?array
    {
        $width = mb_strlen($text) * $perCharacter;
        $middle = $y + 0.35 * $size;

        return $this->place($text, $perCharacter, $size, [
            [$x + $gap, $middle],
            [$x - $gap - $width, $middle],
            [$x - $width / 2.0, $y - $gap],
            [$x - $width / 2.0, $y + $gap + 0.75 * $size],
            [$x + $gap * 0.7, $y - $gap * 0.7],
            [$x + 2.0, $y + $gap + 0.85 * $size + 1.0],
            [$x - 2.0 - $width, $y + $gap + 0.85 * $size + 1.0],
            [$x + $gap, $y + $gap + 0.85 * $size + 1.0],
            [$x - $gap - $width, $y + $gap + 0.85 * $size + 1.0],
            [$x - $gap * 0.7 - $width, $y - $gap * 0.7],
        ]);
    }

    /** @param  array{float, float, float, float}  $box */
    private function free(array $box): bool
    {
        if ($box[0] < $this->left || $box[1] < $this->top || $box[2] > $this->width || $box[3] > $this->height) {
            return false;
        }
        foreach ($this->taken as $other) {
            if ($box[0] < $other[2] && $box[2] > $other[0] && $box[1] < $other[3] && $box[3] > $other[1]) {
                return false;
            }
        }

        return true;
    }
}
