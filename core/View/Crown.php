<?php

declare(strict_types=1);

namespace IdleRidge\Core\View;

/** A crown that stands in the way of what is looked at: a round from one height up to another. Section coordinates, mm. */
final readonly class Crown
{
    public function __construct(public float $x, public float $y, public float $radius, public float $low, public float $top)
    {
    }

    /** Whether it stands on the straight line from one place to another. */
    public function blocks(float $x, float $y, float $z, float $ex, float $ey, float $ez): bool
    {
        [$dx, $dy, $fx, $fy] = [$ex - $x, $ey - $y, $x - $this->x, $y - $this->y];
        $a = $dx * $dx + $dy * $dy;
        $b = $fx * $dx + $fy * $dy;
        $c = $fx * $fx + $fy * $fy - $this->radius * $this->radius;
        $inside = $b * $b - $a * $c;
        if ($a < 1e-12 || $inside <= 0.0) {
            return false;
        }
        $root = sqrt($inside);
        [$from, $to] = [max(0.0, (-$b - $root) / $a), min(1.0, (-$b + $root) / $a)];
        if ($to <= $from) {
            return false;
        }
        [$enters, $leaves] = [$z + $from * ($ez - $z), $z + $to * ($ez - $z)];

        return max($enters, $leaves) > $this->low && min($enters, $leaves) < $this->top;
    }
}
