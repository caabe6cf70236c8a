<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Geometry\HeightMesh;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\Structure;
use IdleRidge\Core\Track\Vehicle;
use IdleRidge\Core\Track\VehicleSweeps;

/**
 * The room of a tunnel in the foam, section coordinates, mm: as wide as the widest throw of any vehicle and the margin on either side,
 * or as it is told to be inside, and the lining; from the formation up to the tallest vehicle, the margin and the lining.
 */
final readonly class TunnelBore
{
    /** How far around it the distance to it is told, mm: enough for a line between nodes to be drawn where it is. */
    private const AROUND_MM = 15.0;

    private const STEP_MM = 10.0;

    /** It goes on so far out of its portals that no film of foam is left there, mm. */
    private const PORTAL_MM = 1.0;

    private function __construct(
        public Run $run,
        public float $from,
        public float $to,
        public float $left,
        public float $right,
        public float $rise,
        public float $thick,
    ) {
    }

    /** @param  non-empty-list<Vehicle>  $vehicles */
    public static function through(Run $run, Structure $tunnel, array $vehicles, float $margin): self
    {
        $sweep = new VehicleSweeps($run->alignment, $vehicles);
        $left = $right = 0.0;
        for ($station = $tunnel->from; $station < $tunnel->to + self::STEP_MM; $station += self::STEP_MM) {
            $throw = $sweep->at(min($station, $tunnel->to));
            [$left, $right] = [max($left, $throw['left']), max($right, $throw['right'])];
        }

        [$left, $right] = $tunnel->inside === null ? [$left + $margin, $right + $margin] : [$tunnel->inside / 2.0, $tunnel->inside / 2.0];
        $height = max(array_map(fn (Vehicle $v): float => $v->height, $vehicles));

        return new self(
            $run,
            $tunnel->from,
            $tunnel->to,
            $left + $tunnel->thick,
            $right + $tunnel->thick,
            $run->profile->railTop() + $height + $margin + $tunnel->thick,
            $tunnel->thick,
        );
    }

    /**
     * @return array<int, array{float, float, float}> node of the mesh → distance to the bore's side (negative inside), floor, roof
     */
    public function over(HeightMesh $mesh): array
    {
        $line = $this->run->alignment->polyline($this->from, $this->to);
        $wide = max($this->left, $this->right) + self::AROUND_MM;
        $xs = array_map(fn (Point $p): float => $p->x, $line);
        $ys = array_map(fn (Point $p): float => $p->y, $line);
        [$x1, $y1, $x2, $y2] = [min($xs) - $wide, min($ys) - $wide, max($xs) + $wide, max($ys) + $wide];
        $out = [];
        foreach ($mesh->ys as $j => $y) {
            foreach ($y < $y1 || $y > $y2 ? [] : $mesh->xs as $i => $x) {
                if ($x < $x1 || $x > $x2) {
                    continue;
                }
                $place = $this->run->alignment->nearest(new Point($x, $y));
                $aside = $place['offset'] >= 0.0 ? $place['offset'] - $this->left : -$place['offset'] - $this->right;
                $away = max($aside, $this->from - self::PORTAL_MM - $place['station'], $place['station'] - $this->to - self::PORTAL_MM);
                if ($away < self::AROUND_MM) {
                    $floor = $this->run->grade->heightAt($place['station']);
                    $out[$j * count($mesh->xs) + $i] = [$away, $floor, $floor + $this->rise];
                }
            }
        }

        return $out;
    }

    /** What of it lies over a board of this size, mm³. */
    public function volume(float $width, float $depth): float
    {
        $parts = max(1, (int) ceil(($this->to - $this->from) / self::STEP_MM));
        $on = 0;
        for ($k = 0; $k < $parts; $k++) {
            $p = $this->run->alignment->pointAt($this->from + (($this->to - $this->from) * ($k + 0.5)) / $parts);
            $on += $p->x >= 0.0 && $p->y >= 0.0 && $p->x <= $width && $p->y <= $depth ? 1 : 0;
        }

        return (($this->left + $this->right) * $this->rise * ($this->to - $this->from) * $on) / $parts;
    }
}
