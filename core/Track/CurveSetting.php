<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Geometry\Point;

/**
 * One curve as it is marked out without a trammel: offsets from its chord, counted from the middle of that, and from the tangent at its
 * beginning, both at set steps; mm. A long curve is set out in parts that turn by no more than 60°. On an arc at x from the middle of a
 * chord of half length c that is `√(R² − x²) − √(R² − c²)`, and at x along the tangent `R − √(R² − x²)`; a transition is measured.
 */
final readonly class CurveSetting
{
    private const MAX_TURN = M_PI / 3.0;

    /** How exactly a station is found, mm. */
    private const EXACT_MM = 1e-6;

    /**
     * @param  float  $radius the sharpest of it
     * @param  float  $turnDeg how far its heading turns, positive to the left
     * @param  list<array{float, float}>  $fromChord along the chord from its middle, off it
     * @param  list<array{float, float}>  $fromTangent along the tangent from the beginning, off it
     */
    private function __construct(
        public float $from,
        public float $to,
        public float $radius,
        public bool $isArc,
        public float $turnDeg,
        public Point $begin,
        public Point $end,
        public array $fromChord,
        public array $fromTangent,
    ) {
    }

    /** @return list<self> the curves between two stations, in order */
    public static function of(Alignment $alignment, float $from, float $to, float $step): array
    {
        $out = [];
        foreach ($alignment->elements as $k => $element) {
            [$begin, $end] = [max($from, $alignment->begins[$k]), min($to, $alignment->begins[$k] + $element->length)];
            if ($element->sharpest() === 0.0 || $end - $begin <= self::EXACT_MM) {
                continue;
            }
            $parts = max(1, (int) ceil((($end - $begin) * $element->sharpest()) / self::MAX_TURN - 1e-9));
            for ($n = 0; $n < $parts; $n++) {
                $out[] = self::part(
                    $alignment,
                    $begin + (($end - $begin) * $n) / $parts,
                    $begin + (($end - $begin) * ($n + 1)) / $parts,
                    $element instanceof Arc,
                    $step,
                );
            }
        }

        return $out;
    }

    public function chord(): float
    {
        return $this->begin->distanceTo($this->end);
    }

    private static function part(Alignment $alignment, float $from, float $to, bool $isArc, float $step): self
    {
        [$a, $b] = [$alignment->pointAt($from), $alignment->pointAt($to)];
        $chord = $a->distanceTo($b);
        $along = atan2($b->y - $a->y, $b->x - $a->x);
        $fromChord = [];
        for ($n = -(int) floor($chord / 2.0 / $step); $n * $step <= $chord / 2.0; $n++) {
            $fromChord[] = [$n * $step, abs(self::off($alignment, $from, $to, $a, $along, $chord / 2.0 + $n * $step))];
        }
        $heading = $alignment->headingAt($from);
        $reach = cos($heading) * ($b->x - $a->x) + sin($heading) * ($b->y - $a->y);
        $fromTangent = [];
        for ($n = 0; $n * $step <= $reach; $n++) {
            $fromTangent[] = [$n * $step, abs(self::off($alignment, $from, $to, $a, $heading, $n * $step))];
        }
        $turn = rad2deg($alignment->headingAt($to) - $heading);

        return new self(
            $from,
            $to,
            1.0 / $alignment->sharpest($from, $to),
            $isArc,
            $turn - 360.0 * round($turn / 360.0),
            $a,
            $b,
            $fromChord,
            $fromTangent,
        );
    }

    /** How far the curve lies off a line through a place, so far along that; left of it is positive. */
    private static function off(Alignment $alignment, float $low, float $high, Point $at, float $heading, float $x): float
    {
        [$cos, $sin] = [cos($heading), sin($heading)];
        while ($high - $low > self::EXACT_MM) {
            $middle = ($low + $high) / 2.0;
            $p = $alignment->pointAt($middle);
            if ($cos * ($p->x - $at->x) + $sin * ($p->y - $at->y) < $x) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }
        $p = $alignment->pointAt(($low + $high) / 2.0);

        return $cos * ($p->y - $at->y) - $sin * ($p->x - $at->x);
    }
}
