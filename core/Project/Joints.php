<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\HeightLine;
use IdleRidge\Core\Land\Spot;

/** Where boards lie against each other, and what their edges are fixed at there. */
final class Joints
{
    /** Edges so near count as one, mm. */
    private const SAME_EDGE_MM = 1.5;

    /** A neighbour is looked for so far beyond an edge, mm. */
    private const BEYOND_MM = 1.0;

    /**
     * The edges of a section along most of which a neighbour goes on.
     *
     * @param  list<Section>  $boards
     * @return array<string, Section> front, back, left, right → the neighbour that lies along most of it
     */
    public static function of(Section $section, array $boards): array
    {
        $joined = [];
        $middle = $section->middle();
        $reach = hypot($section->width, $section->depth) / 2.0 + 2.0 * self::BEYOND_MM;
        $boards = array_filter($boards, fn (Section $s): bool => $s->uid !== $section->uid &&
            $s->middle()->distanceTo($middle) <= $reach + hypot($s->width, $s->depth) / 2.0 + 2.0);
        foreach (BoardEdge::cases() as $edge) {
            $met = [];
            foreach ([0.1, 0.3, 0.5, 0.7, 0.9] as $t) {
                $along = $t * $edge->length($section->width, $section->depth);
                $p = $section->placement->toLayout(new Point(...$edge->place($along, $section->width, $section->depth, self::BEYOND_MM)));
                foreach ($boards as $k => $other) {
                    if ($other->holds($p->x, $p->y, 1.0)) {
                        $met[] = $k;
                        break;
                    }
                }
            }
            if (count($met) >= 3) {
                $counts = array_count_values($met);
                arsort($counts);
                $joined[$edge->value] = $boards[array_key_first($counts)];
            }
        }

        return $joined;
    }

    /**
     * The edge of a neighbour that lies against one of this board's, and what of this one's it covers.
     *
     * @return array{string, float, float}|null the neighbour's edge, from and to along this board's
     */
    public static function against(Section $section, string $edge, Section $other): ?array
    {
        $length = $section->edgeLength($edge);
        foreach (array_column(BoardEdge::cases(), 'value') as $theirs) {
            $along = [];
            foreach ([$other->onEdge($theirs, 0.0), $other->onEdge($theirs, $other->edgeLength($theirs))] as $end) {
                [$at, $aside] = self::onto($section, $edge, $end);
                if (abs($aside) > self::SAME_EDGE_MM) {
                    continue 2;
                }
                $along[] = $at;
            }
            [$from, $to] = [max(0.0, min($along)), min($length, max($along))];
            if ($to - $from > 5.0) {
                return [$theirs, $from, $to];
            }
        }

        return null;
    }

    /**
     * A place told along another board's edge.
     *
     * @return array{float, float} along the edge, and aside of it, mm
     */
    public static function onto(Section $section, string $edge, Point $p): array
    {
        $a = $section->onEdge($edge, 0.0);
        $b = $section->onEdge($edge, 1.0);

        return [
            ($p->x - $a->x) * ($b->x - $a->x) + ($p->y - $a->y) * ($b->y - $a->y),
            ($p->y - $a->y) * ($b->x - $a->x) - ($p->x - $a->x) * ($b->y - $a->y),
        ];
    }

    /**
     * An edge's profile as the board beyond sees it.
     *
     * @return list<array{float, float}> along the other's edge, height
     */
    public static function copied(Section $from, string $edge, Section $onto, string $theirs): array
    {
        $out = [];
        foreach ($from->edges[$edge] ?? [] as [$at, $z]) {
            [$there] = self::onto($onto, $theirs, $from->onEdge($edge, $at));
            if ($there > -0.5 && $there < $onto->edgeLength($theirs) + 0.5) {
                $out[] = [round(max(0.0, min($onto->edgeLength($theirs), $there)), 3), $z];
            }
        }
        usort($out, fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return $out;
    }

    /**
     * The edges that are fixed, as lines of heights. Where two boards fix the edge between them, the one whose land is asked
     * for keeps its own; otherwise the first.
     *
     * @param  list<Section>  $group boards that hang together
     * @return list<HeightLine> in layout coordinates
     */
    public static function fixedLines(Section $section, array $group): array
    {
        usort($group, fn (Section $a, Section $b): int => [$a->uid !== $section->uid, $a->uid] <=> [$b->uid !== $section->uid, $b->uid]);
        $taken = $lines = [];
        foreach ($group as $board) {
            foreach (array_keys($board->edges) as $edge) {
                foreach ($taken as [$other, $fixed]) {
                    if ((self::against($other, $fixed, $board)[0] ?? null) === $edge) {
                        continue 2;
                    }
                }
                $taken[] = [$board, $edge];
                $lines[] = self::line($board, $edge);
            }
        }

        return $lines;
    }

    private static function line(Section $board, string $edge): HeightLine
    {
        $length = $board->edgeLength($edge);
        $spots = [];
        foreach ([0.0, ...array_column($board->edges[$edge], 0), $length] as $at) {
            $p = $board->onEdge($edge, $at);
            $last = $spots === [] ? null : $spots[count($spots) - 1];
            if ($last === null || hypot($p->x - $last->x, $p->y - $last->y) >= 0.5) {
                $spots[] = new Spot($p->x, $p->y, $board->edgeHeight($edge, $at) ?? 0.0);
            }
        }

        return HeightLine::through($spots);
    }
}
