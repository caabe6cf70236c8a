<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Geometry\Outline;

/**
 * A bed carved for a pond or a stream, section coordinates, mm: from its bank line, which lies at the water's level, it falls
 * to its depth over the width of the shore; outside, the ground above the level comes down to the bank at 1 in 1.5.
 */
final readonly class Basin implements Shape, Water
{
    private const BANK_BATTER = 1.5;

    private Outline $outline;

    /** @param  non-empty-list<array{float, float}>  $bank ring of the bank line */
    public function __construct(
        public string $uid,
        public string $name,
        public array $bank,
        public float $level,
        public float $depth,
        public float $shore,
    ) {
        $this->outline = new Outline($bank);
    }

    /** It only ever takes away. */
    public function shape(float $x, float $y, float $ground): float
    {
        if ($ground <= $this->level - $this->depth) {
            return $ground;
        }
        if ($this->outline->holds($x, $y)) {
            $t = $this->outline->away($x, $y, $this->shore) / $this->shore;

            return min($ground, $this->level - $this->depth * (1.0 - (1.0 - $t) ** 2));
        }
        // Further off than that the bank comes out over the ground.
        $most = ($ground - $this->level) * self::BANK_BATTER;
        $out = $most > 0.0 ? $this->outline->away($x, $y, $most) : 0.0;

        return $out < $most ? $this->level + $out / self::BANK_BATTER : $ground;
    }

    public function waterAt(float $x, float $y): ?float
    {
        return $this->outline->holds($x, $y) ? $this->level : null;
    }

    public function reach(float $lowest, float $highest): array
    {
        return Box::around($this->bank, max(0.0, $highest - $this->level) * self::BANK_BATTER + 1.0);
    }

    public function under(float $x, float $y, float $height): float
    {
        $out = $this->beyond($x, $y);

        return $out < 0.0 ? $this->level - $height : min(-$out, $this->level - $height);
    }

    public function beyond(float $x, float $y): float
    {
        return -$this->outline->depth($x, $y);
    }
}
