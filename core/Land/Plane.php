<?php

declare(strict_types=1);

namespace IdleRidge\Core\Land;

/** z = base + slopeX·(x − x0) + slopeY·(y − y0), mm. */
final readonly class Plane
{
    private function __construct(
        public float $x0,
        public float $y0,
        public float $base,
        public float $slopeX,
        public float $slopeY,
    ) {
    }

    /**
     * The least-squares plane through spots; where they leave a direction open (fewer than three, or in a line), the one
     * of least slope. Solved by the eigenvectors of the 2 × 2 scatter matrix.
     *
     * @param  non-empty-list<Spot>  $spots
     */
    public static function through(array $spots): self
    {
        $count = count($spots);
        $x0 = array_sum(array_map(fn (Spot $s): float => $s->x, $spots)) / $count;
        $y0 = array_sum(array_map(fn (Spot $s): float => $s->y, $spots)) / $count;
        $z0 = array_sum(array_map(fn (Spot $s): float => $s->z, $spots)) / $count;
        $xx = $xy = $yy = $xz = $yz = 0.0;
        foreach ($spots as $s) {
            [$dx, $dy, $dz] = [$s->x - $x0, $s->y - $y0, $s->z - $z0];
            $xx += $dx * $dx;
            $xy += $dx * $dy;
            $yy += $dy * $dy;
            $xz += $dx * $dz;
            $yz += $dy * $dz;
        }
        $angle = 0.5 * atan2(2.0 * $xy, $xx - $yy);
        $slopeX = $slopeY = 0.0;
        foreach ([$angle, $angle + M_PI / 2.0] as $direction) {
            [$c, $s] = [cos($direction), sin($direction)];
            $spread = $c * $c * $xx + 2.0 * $c * $s * $xy + $s * $s * $yy;
            if ($spread > 1e-6 * ($xx + $yy) && $spread > 1e-9) {
                $slope = ($c * $xz + $s * $yz) / $spread;
                $slopeX += $slope * $c;
                $slopeY += $slope * $s;
            }
        }

        return new self($x0, $y0, $z0, $slopeX, $slopeY);
    }

    public function at(float $x, float $y): float
    {
        return $this->base + $this->slopeX * ($x - $this->x0) + $this->slopeY * ($y - $this->y0);
    }
}
