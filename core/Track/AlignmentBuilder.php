<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * Pieces of a run found from where it should go.
 *
 * @phpstan-type Piece array{kind: string, length_mm?: float, radius_mm?: float, angle_deg?: float, from_radius_mm?: float,
 *     to_radius_mm?: float}
 */
final class AlignmentBuilder
{
    /** A goal so little off the heading is reached by a tangent, radians. */
    private const MAX_STRAIGHT_TURN_RAD = 0.02;

    /**
     * The tangent or arc that leaves a place with a heading and ends at a goal. An arc that touches the heading at one end
     * of a chord turns by twice the angle between them (Euclid, Elements III.32).
     *
     * @return Piece
     *
     * @throws InvalidValue when no track bends so sharply
     */
    public static function toward(Point $from, float $heading, Point $goal): array
    {
        $chord = $from->distanceTo($goal);
        $aside = fmod(atan2($goal->y - $from->y, $goal->x - $from->x) - $heading + 9.0 * M_PI, 2.0 * M_PI) - M_PI;
        if ($chord < 10.0) {
            throw new InvalidValue('The two ends of the run lie in one place.', 'x2');
        }
        if (abs($aside) < self::MAX_STRAIGHT_TURN_RAD) {
            return ['kind' => 'tangent', 'length_mm' => round($chord * cos($aside), 1)];
        }
        $radius = $chord / (2.0 * abs(sin($aside)));
        if (abs($aside) > 1.75 || $radius < Alignment::MIN_RADIUS_MM) {
            throw new InvalidValue(
                sprintf('That lies so far aside that the track would bend to %s; end it further on.', Format::length($radius)),
                'x2',
            );
        }

        return ['kind' => 'arc', 'radius_mm' => round($radius, 1), 'angle_deg' => round(rad2deg(2.0 * $aside), 3)];
    }

    /**
     * The same chain with its last piece ending as near a goal as its kind can.
     *
     * @return list<Piece>
     *
     * @throws InvalidValue when no track bends so sharply
     */
    public static function ending(Run $run, Point $goal): array
    {
        $pieces = $run->pieces;
        $last = count($pieces) - 1;
        $begin = $run->alignment->elements[$last];
        if ($pieces[$last]['kind'] === 'arc') {
            $pieces[$last] = self::toward($begin->start, $begin->heading, $goal);
        } else {
            $along = ($goal->x - $begin->start->x) * cos($begin->heading) + ($goal->y - $begin->start->y) * sin($begin->heading);
            $pieces[$last]['length_mm'] = max(1.0, round($along, 1));
        }

        return $pieces;
    }

    /**
     * The chain of a track laid beside another, `$offset` mm to its left (negative: right). Tangents and arcs are exact; a
     * transition keeps its turn and takes its true length, which leaves it within a millimetre.
     *
     * @return list<Piece>
     *
     * @throws InvalidValue when an arc would bend too sharply
     */
    public static function beside(Run $run, float $offset): array
    {
        $curve = fn (float $radius): float => $radius === 0.0 ? 0.0 : $radius - $offset;
        $out = [];
        foreach ($run->pieces as $k => $piece) {
            if ($piece['kind'] === 'arc') {
                $left = ($piece['angle_deg'] ?? 0.0) > 0.0;
                $piece['radius_mm'] = ($piece['radius_mm'] ?? 0.0) - ($left ? $offset : -$offset);
                if ($piece['radius_mm'] < Alignment::MIN_RADIUS_MM) {
                    throw new InvalidValue(
                        sprintf('Beside piece %d the radius would be %s.', $k + 1, Format::length($piece['radius_mm'], 1)),
                        'beside',
                    );
                }
            } elseif ($piece['kind'] === 'transition') {
                $element = $run->alignment->elements[$k];
                $turn = $element->headingAt($element->length) - $element->heading;
                // As long as the line beside it truly is, turning as much.
                $length = ($piece['length_mm'] ?? 0.0) - $offset * $turn;
                $from = $curve($piece['from_radius_mm'] ?? 0.0);
                $end = (2.0 * $turn) / $length - ($from === 0.0 ? 0.0 : 1.0 / $from);
                $piece = [
                    'kind' => 'transition',
                    'length_mm' => $length,
                    'from_radius_mm' => $from,
                    'to_radius_mm' => abs($end) < 1e-6 ? 0.0 : 1.0 / $end,
                ];
            }
            $out[] = $piece;
        }

        return $out;
    }
}
