<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;

/** Where a board comes to lie beside others: edge to edge and flush where it nearly does, and never over another. */
final class BoardPlace
{
    /** Edges and corners that come so near are brought together, mm. */
    public const SNAP_MM = 25.0;

    /** Turns that come so near to one along another board are brought to it, degrees. */
    public const SNAP_DEG = 4.0;

    /** Boards that reach no further into each other count as side by side, mm. */
    public const OVERLAP_MM = 1.0;

    /** Lengths that differ by less are one, mm. */
    private const EXACT_MM = 1e-6;

    /**
     * A board moved, mm in the layout, and turned about its middle, degrees.
     *
     * @param  list<Section>  $others
     * @param  bool  $snaps whether it goes to an edge where it nearly is
     */
    public static function moved(Section $board, array $others, float $dx, float $dy, float $turn, bool $snaps): Section
    {
        $half = new Point($board->width / 2.0, $board->depth / 2.0);
        $place = $board->placement;
        $middle = $place->toLayout($half);
        if ($turn !== 0.0) {
            $place = self::turned(new Placement($place->x, $place->y, $place->angleDeg + $turn), $others);
        }
        $off = (new Placement(0.0, 0.0, $place->angleDeg))->toLayout($half);
        $moved = $board->placed(new Placement($middle->x - $off->x + $dx, $middle->y - $off->y + $dy, $place->angleDeg));

        return $snaps ? $moved->placed(self::snapped($moved, $others)) : $moved;
    }

    /**
     * A placement turned along the nearest direction of the others, if it nearly is.
     *
     * @param  list<Section>  $others
     */
    public static function turned(Placement $place, array $others): Placement
    {
        $best = null;
        foreach ([0.0, ...array_map(fn (Section $s): float => $s->placement->angleDeg, $others)] as $along) {
            $off = fmod($place->angleDeg - $along, 90.0);
            $off -= 90.0 * round($off / 90.0);
            $best = abs($off) <= self::SNAP_DEG && ($best === null || abs($off) < abs($best)) ? $off : $best;
        }

        return new Placement($place->x, $place->y, self::turn($place->angleDeg - ($best ?? 0.0)));
    }

    /**
     * A board against the edge of another that it nearly lies against, and flush with a corner of it where it nearly is.
     *
     * @param  list<Section>  $others
     */
    public static function snapped(Section $board, array $others): Placement
    {
        $best = null;
        foreach (BoardEdge::cases() as $edge) {
            foreach ($others as $other) {
                foreach (BoardEdge::cases() as $theirs) {
                    $shift = self::against($board, $edge, $other, $theirs);
                    $best = $shift !== null && ($best === null || $shift[0] < $best[0]) ? $shift : $best;
                }
            }
        }
        $p = $board->placement;

        return $best === null ? $p : new Placement($p->x + $best[1], $p->y + $best[2], $p->angleDeg);
    }

    /** @param  list<Section>  $others */
    public static function over(Section $board, array $others): ?Section
    {
        foreach ($others as $other) {
            if (self::depth($board, $other) > self::OVERLAP_MM) {
                return $other;
            }
        }

        return null;
    }

    /**
     * Where a board of its size goes on at an edge of another: flush with its front, or with its left, in line with it.
     */
    public static function beside(Section $board, BoardEdge $edge, float $width, float $depth): Placement
    {
        [$x, $y] = match ($edge) {
            BoardEdge::Right => [$board->width, 0.0],
            BoardEdge::Left => [-$width, 0.0],
            BoardEdge::Back => [0.0, $board->depth],
            BoardEdge::Front => [0.0, -$depth],
        };
        $at = $board->placement->toLayout(new Point($x, $y));

        return new Placement($at->x, $at->y, $board->placement->angleDeg);
    }

    /** @return array{float, float, float}|null how far it is brought, and by how much along x and y; null where edges do not nearly meet */
    private static function against(Section $board, BoardEdge $edge, Section $other, BoardEdge $theirs): ?array
    {
        [$a, $b] = self::ends($board, $edge);
        [$c, $d] = self::ends($other, $theirs);
        $length = hypot($d->x - $c->x, $d->y - $c->y);
        [$ux, $uy] = [($d->x - $c->x) / $length, ($d->y - $c->y) / $length];
        [$nx, $ny] = self::outward($other, $theirs);
        [$mx, $my] = self::outward($board, $edge);
        $aside = ($a->x - $c->x) * $nx + ($a->y - $c->y) * $ny;
        // Faces that look at each other, near enough, and beside each other for some way.
        if ($mx * $nx + $my * $ny > -1.0 + self::EXACT_MM || abs($aside) > self::SNAP_MM) {
            return null;
        }
        $along = array_map(fn (Point $p): float => ($p->x - $c->x) * $ux + ($p->y - $c->y) * $uy, [$a, $b]);
        if (min(max($along), $length) - max(min($along), 0.0) < -self::SNAP_MM) {
            return null;
        }
        $slide = null;
        foreach ([min($along), max($along)] as $end) {
            foreach ([0.0, $length] as $corner) {
                $way = $corner - $end;
                $slide = abs($way) <= self::SNAP_MM && ($slide === null || abs($way) < abs($slide)) ? $way : $slide;
            }
        }
        $slide ??= 0.0;

        return [hypot($aside, $slide), $slide * $ux - $aside * $nx, $slide * $uy - $aside * $ny];
    }

    /** @return array{Point, Point} */
    private static function ends(Section $board, BoardEdge $edge): array
    {
        return [$board->onEdge($edge->value, 0.0), $board->onEdge($edge->value, $board->edgeLength($edge->value))];
    }

    /** @return array{float, float} */
    private static function outward(Section $board, BoardEdge $edge): array
    {
        $on = $board->placement->toLayout(new Point(...$edge->place(0.0, $board->width, $board->depth)));
        $off = $board->placement->toLayout(new Point(...$edge->place(0.0, $board->width, $board->depth, 1.0)));

        return [$off->x - $on->x, $off->y - $on->y];
    }

    /**
     * How far two boards reach into each other, mm: the least way out of it. Two rectangles are apart where one of their four directions
     * parts them (separating axes).
     */
    private static function depth(Section $one, Section $other): float
    {
        $least = INF;
        foreach ([$one, $other] as $board) {
            foreach ([BoardEdge::Right, BoardEdge::Back] as $edge) {
                [$nx, $ny] = self::outward($board, $edge);
                $spans = array_map(
                    fn (Section $s): array => array_map(fn (Point $p): float => $p->x * $nx + $p->y * $ny, $s->corners()),
                    [$one, $other],
                );
                $least = min($least, max($spans[0]) - min($spans[1]), max($spans[1]) - min($spans[0]));
            }
        }

        return $least;
    }

    private static function turn(float $deg): float
    {
        $turn = fmod($deg, 360.0);

        return round($turn < 0.0 ? $turn + 360.0 : $turn, 6) + 0.0;
    }
}
