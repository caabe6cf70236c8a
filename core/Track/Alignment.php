<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * A chain of tangents, arcs and transitions in plan, each beginning where and as the one before ends. Stations are mm along it.
 */
final readonly class Alignment
{
    public const MIN_RADIUS_MM = 100.0;

    public const MAX_RADIUS_MM = 100_000.0;

    /** @var list<float> station at which each element begins */
    public array $begins;

    public float $length;

    /** @param  non-empty-list<Element>  $elements */
    private function __construct(public array $elements)
    {
        $begins = [];
        $at = 0.0;
        foreach ($elements as $element) {
            $begins[] = $at;
            $at += $element->length;
        }
        $this->begins = $begins;
        $this->length = $at;
    }

    /**
     * Tangents by length; arcs by radius and angle, positive to the left; transitions by length and the radii at their
     * ends, positive to the left, 0 for straight.
     *
     * @param array<array-key, array{kind: string, length_mm?: float, radius_mm?: float, angle_deg?: float, from_radius_mm?: float,
     *     to_radius_mm?: float}> $pieces
     *
     * @throws InvalidValue naming the piece that cannot be
     */
    public static function from(Point $start, float $headingDeg, array $pieces): self
    {
        InvalidValue::unlessBetween($headingDeg, -3600.0, 3600.0, 'The heading', '°', 'heading_deg');
        if ($pieces === []) {
            throw new InvalidValue('A run needs at least one tangent, arc or transition.', 'elements');
        }
        if (count($pieces) > 200) {
            throw new InvalidValue('A run may have at most 200 pieces.', 'elements');
        }
        $elements = [];
        $heading = deg2rad($headingDeg);
        foreach ($pieces as $k => $piece) {
            $at = "elements/{$k}";
            if ($piece['kind'] === 'tangent') {
                $length = InvalidValue::unlessBetween(
                    $piece['length_mm'] ?? NAN,
                    1.0,
                    100_000.0,
                    'The tangent’s length',
                    'mm',
                    "{$at}/length_mm",
                );
                $element = new Tangent($start, $heading, $length);
            } elseif ($piece['kind'] === 'arc') {
                $radius = InvalidValue::unlessBetween(
                    $piece['radius_mm'] ?? NAN,
                    self::MIN_RADIUS_MM,
                    self::MAX_RADIUS_MM,
                    'The radius',
                    'mm',
                    "{$at}/radius_mm",
                );
                $angle = InvalidValue::unlessBetween($piece['angle_deg'] ?? NAN, -350.0, 350.0, 'The arc’s angle', '°', "{$at}/angle_deg");
                if (abs($angle) < 0.1) {
                    throw new InvalidValue('The arc’s angle is less than 0.1°; use a tangent.', "{$at}/angle_deg");
                }
                $element = new Arc($start, $heading, $radius * deg2rad(abs($angle)), $radius, $angle > 0 ? 1 : -1);
            } elseif ($piece['kind'] === 'transition') {
                $length = InvalidValue::unlessBetween(
                    $piece['length_mm'] ?? NAN,
                    1.0,
                    10_000.0,
                    'The transition’s length',
                    'mm',
                    "{$at}/length_mm",
                );
                $element = new Clothoid(
                    $start,
                    $heading,
                    $length,
                    self::curvature($piece['from_radius_mm'] ?? NAN, "{$at}/from_radius_mm"),
                    self::curvature($piece['to_radius_mm'] ?? NAN, "{$at}/to_radius_mm"),
                );
            } else {
                throw new InvalidValue("“{$piece['kind']}” is neither tangent, arc nor transition.", "{$at}/kind");
            }
            $elements[] = $element;
            $start = $element->pointAt($element->length);
            $heading = $element->headingAt($element->length);
        }

        return new self($elements);
    }

    public function pointAt(float $station): Point
    {
        [$element, $along] = $this->locate($station);

        return $element->pointAt($along);
    }

    /** Radians, counter-clockwise from x. */
    public function headingAt(float $station): float
    {
        [$element, $along] = $this->locate($station);

        return $element->headingAt($along);
    }

    /** Signed, 1/mm; positive turns left. At a joint that of the element that begins there. */
    public function curvatureAt(float $station): float
    {
        [$element, $along] = $this->locate($station);

        return $element->curvatureAt($along);
    }

    /** The greatest curvature between two stations, unsigned, 1/mm. */
    public function sharpest(float $from, float $to): float
    {
        $sharpest = 0.0;
        foreach ($this->elements as $k => $element) {
            $begin = max($from, $this->begins[$k]);
            $end = min($to, $this->begins[$k] + $element->length);
            if ($begin <= $end) {
                $sharpest = max(
                    $sharpest,
                    abs($element->curvatureAt($begin - $this->begins[$k])),
                    abs($element->curvatureAt($end - $this->begins[$k])),
                );
            }
        }

        return $sharpest;
    }

    /** The curvature between two stations where it is the same all along, 1/mm; beyond its ends a run counts as straight. */
    public function evenCurvature(float $from, float $to): ?float
    {
        $even = $from < 0.0 || $to > $this->length ? 0.0 : null;
        foreach ($this->elements as $k => $element) {
            $begin = $this->begins[$k];
            if ($begin + $element->length <= $from || $begin >= $to) {
                continue;
            }
            $curvature = $element->curvatureAt(0.0);
            if ($curvature !== $element->curvatureAt($element->length) || ($even !== null && $even !== $curvature)) {
                return null;
            }
            $even = $curvature;
        }

        return $even ?? 0.0;
    }

    /** As pointAt; beyond an end the track goes on straight. */
    public function extended(float $station): Point
    {
        $on = max(0.0, min($this->length, $station));

        return $on === $station ? $this->pointAt($station) : $this->pointAt($on)->toward($this->headingAt($on), $station - $on);
    }

    /** A point beside the run; positive offsets lie to the left of rising stations. */
    /** Length of the line at an offset between two stations, mm, as chords a millimetre of stations long. */
    public function lengthBeside(float $from, float $to, float $offset): float
    {
        $parts = max(1, (int) ceil($to - $from));
        $length = 0.0;
        $last = $this->beside($from, $offset);
        for ($k = 1; $k <= $parts; $k++) {
            $next = $this->beside($from + (($to - $from) * $k) / $parts, $offset);
            $length += $last->distanceTo($next);
            $last = $next;
        }

        return $length;
    }

    public function beside(float $station, float $offset): Point
    {
        return $this->pointAt($station)->toward($this->headingAt($station) + M_PI / 2.0, $offset);
    }

    /**
     * Nearest place on the run. Beyond an end the offset is the distance to it, signed by side.
     *
     * @return array{station: float, offset: float}
     */
    public function nearest(Point $p): array
    {
        $station = 0.0;
        $offset = INF;
        foreach ($this->elements as $k => $element) {
            $foot = $element->foot($p->x, $p->y);
            if ($foot !== null && abs($foot[1]) < abs($offset)) {
                [$station, $offset] = [$this->begins[$k] + $foot[0], $foot[1]];
            }
        }
        foreach ([0.0, $this->length] as $end) {
            $q = $this->pointAt($end);
            $away = $q->distanceTo($p);
            if ($away < abs($offset) - 1e-9) {
                $heading = $this->headingAt($end);
                $side = ($p->y - $q->y) * cos($heading) - ($p->x - $q->x) * sin($heading);
                [$station, $offset] = [$end, $side < 0.0 ? -$away : $away];
            }
        }

        return ['station' => $station, 'offset' => $offset];
    }

    /**
     * Points along the run close enough to draw it within `$sagitta` mm.
     *
     * @return list<Point>
     */
    public function polyline(float $from, float $to, float $offset = 0.0, float $sagitta = 0.1): array
    {
        $stations = [$from];
        foreach ($this->elements as $k => $element) {
            $begin = $this->begins[$k];
            $curvature = $element->sharpest();
            $step = $curvature > 0.0 ? sqrt((8.0 * $sagitta) / $curvature) : $element->length;
            $parts = max(1, (int) ceil($element->length / max($step, 1.0)));
            for ($i = $k === 0 ? 1 : 0; $i <= $parts; $i++) {
                $station = $begin + ($element->length * $i) / $parts;
                if ($station > $stations[count($stations) - 1] + 1e-6 && $station < $to - 1e-6) {
                    $stations[] = $station;
                }
            }
        }
        $stations[] = $to;

        return array_map(fn (float $s): Point => $offset === 0.0 ? $this->pointAt($s) : $this->beside($s, $offset), $stations);
    }

    /** @return array{float, float, float, float} least x and y, greatest x and y */
    public function bounds(): array
    {
        $bounds = array_map(fn (Element $element): array => $element->bounds(), $this->elements);

        return [
            min(array_column($bounds, 0)),
            min(array_column($bounds, 1)),
            max(array_column($bounds, 2)),
            max(array_column($bounds, 3)),
        ];
    }

    /** Whether the run comes within `$margin` mm of a rectangle, by the bounds of its elements. */
    public function reaches(float $x1, float $y1, float $x2, float $y2, float $margin): bool
    {
        foreach ($this->elements as $element) {
            [$a, $b, $c, $d] = $element->bounds();
            if ($a <= $x2 + $margin && $c >= $x1 - $margin && $b <= $y2 + $margin && $d >= $y1 - $margin) {
                return true;
            }
        }

        return false;
    }

    /** @throws InvalidValue for a radius too tight */
    private static function curvature(float $radius, string $place): float
    {
        if ($radius === 0.0) {
            return 0.0;
        }
        InvalidValue::unlessBetween(abs($radius), self::MIN_RADIUS_MM, self::MAX_RADIUS_MM, 'The radius', 'mm', $place);

        return 1.0 / $radius;
    }

    /** @return array{Element, float} */
    private function locate(float $station): array
    {
        $k = count($this->elements) - 1;
        while ($k > 0 && $station < $this->begins[$k]) {
            $k--;
        }

        return [$this->elements[$k], max(0.0, min($this->elements[$k]->length, $station - $this->begins[$k]))];
    }
}
