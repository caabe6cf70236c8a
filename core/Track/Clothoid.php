<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Geometry\Point;

/**
 * A transition: curvature changes evenly along it (Euler's spiral). Places follow from the heading
 * `h + k₁s + (k₂ − k₁)s²/2L` by Gauss–Legendre integration with five points over short steps.
 */
final readonly class Clothoid extends Element
{
    /** Most that the heading may turn within one step, radians. */
    private const MAX_TURN_PER_STEP_RAD = 0.12;

    private const GAUSS_NODES = [
        [-0.906179845938664, 0.236926885056189],
        [-0.538469310105683, 0.478628670499366],
        [0.0, 0.568888888888889],
        [0.538469310105683, 0.478628670499366],
        [0.906179845938664, 0.236926885056189],
    ];

    private float $step;

    /** @var list<Point> places a step apart */
    private array $places;

    /** @param  float  $from  curvature at the start, `$to` at the end, 1/mm, positive to the left */
    public function __construct(Point $start, float $heading, float $length, public float $from, public float $to)
    {
        parent::__construct($start, $heading, $length);
        $steps = max(4, (int) ceil(($length * max(abs($from), abs($to))) / self::MAX_TURN_PER_STEP_RAD));
        $this->step = $length / $steps;
        $places = [$start];
        for ($k = 0; $k < $steps; $k++) {
            $places[] = $this->onward($places[$k], $k * $this->step, ($k + 1) * $this->step);
        }
        $this->places = $places;
    }

    public function curvatureAt(float $along): float
    {
        return $this->from + (($this->to - $this->from) * $along) / $this->length;
    }

    public function sharpest(): float
    {
        return max(abs($this->from), abs($this->to));
    }

    public function pointAt(float $along): Point
    {
        $k = max(0, min(count($this->places) - 2, (int) floor($along / $this->step)));

        return $this->onward($this->places[$k], $k * $this->step, $along);
    }

    public function headingAt(float $along): float
    {
        return $this->heading + $this->from * $along + (($this->to - $this->from) * $along * $along) / (2.0 * $this->length);
    }

    public function foot(float $x, float $y): ?array
    {
        $best = null;
        $ahead = $this->ahead($x, $y, 0.0);
        for ($k = 0; $k < count($this->places) - 1; $k++) {
            $next = $this->ahead($x, $y, ($k + 1) * $this->step);
            // The foot is where what lies ahead turns into what lies behind.
            $atStart = $k === 0 && $ahead < 0.0 && $ahead > -self::HAIR;
            $atEnd = $k === count($this->places) - 2 && $next > 0.0 && $next < self::HAIR;
            if (($ahead >= 0.0 && $next <= 0.0) || $atStart || $atEnd) {
                $along = $atStart ? 0.0 : ($atEnd ? $this->length : $this->refine($x, $y, $k * $this->step, ($k + 1) * $this->step));
                $q = $this->pointAt($along);
                $heading = $this->headingAt($along);
                $offset = ($y - $q->y) * cos($heading) - ($x - $q->x) * sin($heading);
                if ($best === null || abs($offset) < abs($best[1])) {
                    $best = [$along, $offset];
                }
            }
            $ahead = $next;
        }

        return $best;
    }

    /** How far a place lies ahead of the normal at a station of this element. */
    private function ahead(float $x, float $y, float $along): float
    {
        $q = $this->pointAt($along);
        $heading = $this->headingAt($along);

        return ($x - $q->x) * cos($heading) + ($y - $q->y) * sin($heading);
    }

    /** Regula falsi with halved ends (Illinois), to a ten-thousandth of a millimetre. */
    private function refine(float $x, float $y, float $low, float $high): float
    {
        [$a, $b] = [$this->ahead($x, $y, $low), $this->ahead($x, $y, $high)];
        $side = 0;
        for ($k = 0; $k < 40 && $high - $low > 1e-7; $k++) {
            $middle = $a === $b ? ($low + $high) / 2.0 : ($low * $b - $high * $a) / ($b - $a);
            $value = $this->ahead($x, $y, $middle);
            if (abs($value) < 1e-9) {
                return $middle;
            }
            if ($value > 0.0) {
                [$low, $a] = [$middle, $value];
                $b = $side === 1 ? $b / 2.0 : $b;
                $side = 1;
            } else {
                [$high, $b] = [$middle, $value];
                $a = $side === -1 ? $a / 2.0 : $a;
                $side = -1;
            }
        }

        return ($low + $high) / 2.0;
    }

    private function onward(Point $place, float $from, float $to): Point
    {
        $half = ($to - $from) / 2.0;
        $middle = ($from + $to) / 2.0;
        $dx = $dy = 0.0;
        foreach (self::GAUSS_NODES as [$node, $weight]) {
            $heading = $this->headingAt($middle + $half * $node);
            $dx += $weight * cos($heading);
            $dy += $weight * sin($heading);
        }

        return new Point($place->x + $half * $dx, $place->y + $half * $dy);
    }
}
