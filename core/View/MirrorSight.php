<?php

declare(strict_types=1);

namespace IdleRidge\Core\View;

use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Water\Mirror;

/**
 * What a mirror shows to those who look at a board. From every eye to places on its face that it sees, the line is thrown back as a
 * plane throws it (angle in, angle out), and followed until it meets land, a crown or a backdrop: the scene; or leaves the board, where it
 * meets the viewer, or what stands beyond. Section coordinates, mm.
 */
final readonly class MirrorSight
{
    /** Places on the face across and up. */
    private const ACROSS = 5;

    private const UP = 3;

    /** Lines are followed in such steps, mm. */
    private const STEP_MM = 8.0;

    /** Who looks is so wide about the eye, reaches so far over it, and stands so far below it, mm: starting values. */
    private const BODY_MM = 230.0;

    private const OVER_EYE_MM = 120.0;

    private const BELOW_EYE_MM = 1600.0;

    /** Angles that are tried for a better one, degrees apart. */
    private const TURN_DEG = 5.0;

    /**
     * @param  non-empty-list<array{float, float, float}>  $eyes
     * @param  list<Crown>  $crowns trees, and decks of bridges
     * @param  array<string, float>  $backdrops edge → height of its top over the datum
     */
    public function __construct(
        private HeightGrid $land,
        private float $width,
        private float $depth,
        private array $eyes,
        private array $crowns = [],
        private array $backdrops = [],
    ) {
    }

    /** @param  Mirror  $mirror in the section's coordinates */
    public function shows(Mirror $mirror, float $foot): MirrorView
    {
        [$nx, $ny] = [cos(deg2rad($mirror->facingDeg)), sin(deg2rad($mirror->facingDeg))];
        $counts = ['viewer' => 0, 'beyond' => 0, 'scene' => 0];
        $edges = $lines = [];
        $faced = 0;
        foreach ($this->eyes as $k => $eye) {
            if (($eye[0] - $mirror->x) * $nx + ($eye[1] - $mirror->y) * $ny <= 1.0) {
                continue;
            }
            $faced++;
            $sight = new Sight($this->land, [$eye], $this->crowns);
            foreach ($this->places($mirror, $foot) as [$x, $y, $z]) {
                // Just before the face: what stands behind it hides nothing.
                if (! $sight->sees($x + $nx, $y + $ny, $z)) {
                    continue;
                }
                [$what, $edge, $toX, $toY] = $this->thrown($this->eyes[$k], [$x, $y, $z], [$nx, $ny]);
                $counts[$what]++;
                $lines[] = [$x, $y, $toX, $toY, $what];
                if ($what === 'beyond') {
                    $edges[$edge] = ($edges[$edge] ?? 0) + 1;
                }
            }
        }
        arsort($edges);

        return new MirrorView($faced, $counts['scene'], $counts['viewer'], $counts['beyond'], array_key_first($edges), $lines);
    }

    /** The turn nearest to a mirror's own in which it shows the scene alone; if none does, the one that shows least else. */
    public function better(Mirror $mirror, float $foot): ?float
    {
        $best = null;
        for ($turn = 0.0; $turn < 180.0; $turn += self::TURN_DEG) {
            foreach ($turn > 0.0 ? [$turn, -$turn] : [0.0] as $by) {
                $view = $this->shows($mirror->but(facingDeg: $mirror->facingDeg + $by), $foot);
                if ($view->seen() === 0) {
                    continue;
                }
                if ($view->isGood()) {
                    return $mirror->facingDeg + $by;
                }
                if ($best === null || $view->badShare() < $best[1] - 1e-9) {
                    $best = [$mirror->facingDeg + $by, $view->badShare()];
                }
            }
        }

        return $best[0] ?? null;
    }

    /** @return list<array{float, float, float}> places on the face */
    private function places(Mirror $mirror, float $foot): array
    {
        [[$ax, $ay], [$bx, $by]] = $mirror->ends();
        $out = [];
        for ($k = 0; $k < self::ACROSS * self::UP; $k++) {
            $t = (($k % self::ACROSS) + 0.5) / self::ACROSS;
            $out[] = [
                $ax + $t * ($bx - $ax),
                $ay + $t * ($by - $ay),
                $foot + ((intdiv($k, self::ACROSS) + 0.5) / self::UP) * $mirror->height,
            ];
        }

        return $out;
    }

    /**
     * @param  array{float, float, float}  $eye
     * @param  array{float, float, float}  $at
     * @param  array{float, float}  $normal
     * @return array{'scene'|'viewer'|'beyond', string, float, float} what the line meets, the edge it leaves by, where it ends
     */
    private function thrown(array $eye, array $at, array $normal): array
    {
        [$dx, $dy, $dz] = [$at[0] - $eye[0], $at[1] - $eye[1], $at[2] - $eye[2]];
        $along = $dx * $normal[0] + $dy * $normal[1];
        [$rx, $ry] = [$dx - 2.0 * $along * $normal[0], $dy - 2.0 * $along * $normal[1]];
        $flat = hypot($rx, $ry);
        if ($flat < 1e-9) {
            return ['scene', '', $at[0], $at[1]];
        }
        [$ux, $uy, $uz] = [$rx / $flat, $ry / $flat, $dz / $flat];
        [$x, $y, $z] = $at;
        for ($far = self::STEP_MM; ; $far += self::STEP_MM) {
            [$x, $y, $z] = [$at[0] + $far * $ux, $at[1] + $far * $uy, $at[2] + $far * $uz];
            if ($x < 0.0 || $y < 0.0 || $x > $this->width || $y > $this->depth) {
                break;
            }
            if ($this->heightAt($x, $y) >= $z) {
                return ['scene', '', $x, $y];
            }
        }
        foreach ($this->crowns as $crown) {
            if ($crown->blocks(...$at, ...[$x, $y, $z])) {
                return ['scene', '', $crown->x, $crown->y];
            }
        }
        $edge = BoardEdge::beyond($x, $y, $this->depth)->value;
        if ($z <= ($this->backdrops[$edge] ?? -INF)) {
            return ['scene', '', $x, $y];
        }

        return [$this->meetsBody($eye, $at, [$ux, $uy, $uz]) ? 'viewer' : 'beyond', $edge, $x, $y];
    }

    /**
     * @param  array{float, float, float}  $eye
     * @param  array{float, float, float}  $at
     * @param  array{float, float, float}  $way
     */
    private function meetsBody(array $eye, array $at, array $way): bool
    {
        $far = ($eye[0] - $at[0]) * $way[0] + ($eye[1] - $at[1]) * $way[1];
        $aside = hypot($at[0] + $far * $way[0] - $eye[0], $at[1] + $far * $way[1] - $eye[1]);
        $z = $at[2] + $far * $way[2];

        return $far > 0.0 && $aside < self::BODY_MM && $z < $eye[2] + self::OVER_EYE_MM && $z > $eye[2] - self::BELOW_EYE_MM;
    }

    private function heightAt(float $x, float $y): float
    {
        $off = $this->land->onNodes ? 0.0 : 0.5;
        $i = max(0, min($this->land->cols - 1, (int) round(($x - $this->land->x0) / $this->land->cell - $off)));
        $j = max(0, min($this->land->rows - 1, (int) round(($y - $this->land->y0) / $this->land->cell - $off)));

        return $this->land->values[$j * $this->land->cols + $i];
    }
}
