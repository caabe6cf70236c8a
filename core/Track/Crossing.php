<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Measure\Side;

/** Where the centrelines of two runs cross in plan: stations on both, the lesser angle between them in degrees. */
final readonly class Crossing
{
    private function __construct(
        public Run $one,
        public Run $other,
        public float $station,
        public float $otherStation,
        public float $angleDeg,
        public Point $at,
    ) {
    }

    /**
     * Touching ends count as no crossing: one run leaves or meets the other there.
     *
     * @return list<self> along the first
     */
    public static function between(Run $one, Run $other): array
    {
        $found = [];
        $line = $one->alignment->polyline(0.0, $one->alignment->length, 0.0, 0.2);
        $across = $other->alignment->polyline(0.0, $other->alignment->length, 0.0, 0.2);
        for ($i = 1; $i < count($line); $i++) {
            for ($j = 1; $j < count($across); $j++) {
                $at = self::meet($line[$i - 1], $line[$i], $across[$j - 1], $across[$j]);
                if ($at === null) {
                    continue;
                }
                $station = $one->alignment->nearest($at)['station'];
                $there = $other->alignment->nearest($at)['station'];
                $turn = fmod(abs($one->alignment->headingAt($station) - $other->alignment->headingAt($there)), M_PI);
                $found[(string) round($station)] = new self($one, $other, $station, $there, rad2deg(min($turn, M_PI - $turn)), $at);
            }
        }
        ksort($found, SORT_NUMERIC);

        return array_values($found);
    }

    /**
     * The grade points that bring a road to the rails wherever it crosses tracks on the level, and keep it there over the
     * tracks' width.
     *
     * @param  list<Run>  $tracks
     * @return list<array{station_mm: float, height_mm: float}> by station
     */
    public static function levelsOf(Run $road, array $tracks): array
    {
        $crossings = [];
        foreach ($tracks as $track) {
            foreach ($track->kind === RunKind::Track ? self::between($track, $road) : [] as $crossing) {
                if ($crossing->onTheLevel()) {
                    $crossings[] = $crossing;
                }
            }
        }
        usort($crossings, fn (self $a, self $b): int => $a->otherStation <=> $b->otherStation);
        $points = [];
        foreach ($crossings as $k => $crossing) {
            $height = round(
                $crossing->one->grade->heightAt($crossing->station) + $crossing->one->profile->railTop() - $road->profile->railTop(),
                2,
            );
            $half = $crossing->width() / 2.0;
            $before = $crossings[$k - 1] ?? null;
            $after = $crossings[$k + 1] ?? null;
            // Where crossings run together, only what lies before the first and after the last is added.
            $apart = fn (?self $other): bool => $other === null ||
                abs($other->otherStation - $crossing->otherStation) > $half + $other->width() / 2.0 + 2.0;
            $stations = [
                ...$apart($before) ? [$crossing->otherStation - $half] : [],
                ...$apart($before) && $apart($after) ? [] : [$crossing->otherStation],
                ...$apart($after) ? [$crossing->otherStation + $half] : [],
            ];
            foreach ($stations as $station) {
                if ($station > 1.0 && $station < $road->alignment->length - 1.0) {
                    $points[] = ['station_mm' => round($station, 1), 'height_mm' => $height];
                }
            }
        }

        return $points;
    }

    /** How much of the road lies over the track's formation and a little more, mm. */
    private function width(): float
    {
        return (2.0 * max($this->one->profile->halfWidth(Side::Left), $this->one->profile->halfWidth(Side::Right)) + 12.0) /
            max(0.2, sin(deg2rad($this->angleDeg)));
    }

    /** Top of the second over top of the first, mm. */
    public function over(): float
    {
        return $this->other->grade->heightAt($this->otherStation) +
            $this->other->profile->railTop() -
            $this->one->grade->heightAt($this->station) -
            $this->one->profile->railTop();
    }

    /** Whether neither goes over or under the other on a bridge or in a tunnel. */
    public function onTheLevel(): bool
    {
        return $this->one->structureAt($this->station) === null && $this->other->structureAt($this->otherStation) === null;
    }

    private static function meet(Point $a, Point $b, Point $c, Point $d): ?Point
    {
        [$ux, $uy, $vx, $vy] = [$b->x - $a->x, $b->y - $a->y, $d->x - $c->x, $d->y - $c->y];
        $cross = $ux * $vy - $uy * $vx;
        if (abs($cross) < 1e-9 || max($a->x, $b->x) < min($c->x, $d->x) || max($c->x, $d->x) < min($a->x, $b->x)) {
            return null;
        }
        $t = (($c->x - $a->x) * $vy - ($c->y - $a->y) * $vx) / $cross;
        $s = (($c->x - $a->x) * $uy - ($c->y - $a->y) * $ux) / $cross;

        return $t > 0.0 && $t <= 1.0 && $s > 0.0 && $s <= 1.0 ? new Point($a->x + $t * $ux, $a->y + $t * $uy) : null;
    }
}
