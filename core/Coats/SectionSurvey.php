<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Geometry\Box;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Polygon;

/** All that work on a section needs to know of its zones: where they are, where they overlap, what of them is left to lay. */
final readonly class SectionSurvey
{
    /** Zones no further apart than this lie beside one another, mm; outlines are looked at in steps of this to twice as much. */
    private const BESIDE_MM = 12.0;

    private const APART_MM = 8.0;

    /**
     * @param  array<string, ZoneArea>  $zones
     * @param  array<string, ZoneOverlap>  $overlaps "a|b", a before b, those that count
     * @param  array<string, ZoneArea>  $left "coat/pass" of what was begun → the rest
     */
    private function __construct(public array $zones, private array $overlaps, private array $left, public float $bare = 0.0)
    {
    }

    /**
     * @param  array<string, Zone>  $zones
     * @param  list<Coat>  $coats
     * @param  list<CoatApplication>  $laid
     */
    public static function of(ZoneSurvey $survey, Placement $placement, array $zones, array $coats, array $laid): self
    {
        return self::ofPasses($survey, $placement, $zones, array_map(CoatPasses::of(...), $coats), array_map(LaidPatch::of(...), $laid));
    }

    /**
     * @param  array<string, Zone>  $zones
     * @param  list<CoatPasses>  $coats
     * @param  list<LaidPatch>  $laid
     */
    public static function ofPasses(ZoneSurvey $survey, Placement $placement, array $zones, array $coats, array $laid): self
    {
        $areas = array_map(fn (Zone $zone): ZoneArea => $survey->zone($zone->uid), $zones);
        $overlaps = [];
        $uids = array_keys($zones);
        foreach ($uids as $k => $a) {
            foreach (array_slice($uids, $k + 1) as $b) {
                $overlap = $survey->overlap($a, $b);
                if ($overlap->counts()) {
                    $overlaps[self::pair($a, $b)] = $overlap;
                }
            }
        }
        $left = [];
        foreach ($coats as $coat) {
            for ($pass = 1; $pass <= $coat->passes; $pass++) {
                $patches = [];
                foreach ($laid as $one) {
                    if ($one->coat === $coat->coat && $one->pass === $pass) {
                        $patches[] = $one->ringsOn($placement);
                    }
                }
                if ($patches !== [] && isset($zones[$coat->zone])) {
                    $left["{$coat->coat}/{$pass}"] = $survey->left($coat->zone, $patches);
                }
            }
        }

        return new self($areas, $overlaps, $left, $survey->bare());
    }

    public function overlap(string $a, string $b): ?ZoneOverlap
    {
        return $this->overlaps[self::pair($a, $b)] ?? null;
    }

    /** @return array<string, float> of other zones that lie over a zone: uid → true surface of what they share, mm² */
    public function over(string $zone): array
    {
        $out = [];
        foreach (array_keys($this->zones) as $other) {
            $shared = $other === $zone ? null : $this->overlap($zone, (string) $other);
            if ($shared !== null) {
                $out[(string) $other] = $shared->area;
            }
        }

        return $out;
    }

    /** Whether two zones overlap or lie beside one another. */
    public function touches(string $a, string $b): bool
    {
        return $this->overlap($a, $b) !== null || $this->liesWithin($a, $b, self::BESIDE_MM);
    }

    /** Whether two zones come as near to each other as so many millimetres. */
    public function liesWithin(string $a, string $b, float $mm): bool
    {
        foreach (array_filter($this->zones[$a]->rings) as $ring) {
            [$x1, $y1, $x2, $y2] = Box::around($ring, $mm);
            $points = null;
            foreach (array_filter($this->zones[$b]->rings) as $other) {
                [$u1, $v1, $u2, $v2] = Box::around($other);
                if ($x1 > $u2 || $u1 > $x2 || $y1 > $v2 || $v1 > $y2) {
                    continue;
                }
                $points ??= self::along($ring);
                foreach ($points as $p) {
                    if (Polygon::depth($other, ...$p) > -$mm) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    /**
     * @param  list<array{float, float}>  $ring
     * @return list<array{float, float}> places along it, at most so far apart where its corners are
     */
    private static function along(array $ring): array
    {
        $out = [];
        $last = null;
        foreach ([...$ring, $ring[0]] as [$x, $y]) {
            if ($last === null || hypot($x - $last[0], $y - $last[1]) >= self::APART_MM) {
                $parts = $last === null ? 1 : (int) ceil(hypot($x - $last[0], $y - $last[1]) / (2.0 * self::APART_MM));
                for ($k = 1; $k <= $parts; $k++) {
                    $out[] =
                        $last === null
                            ? [$x, $y]
                            : [$last[0] + (($x - $last[0]) * $k) / $parts, $last[1] + (($y - $last[1]) * $k) / $parts];
                }
                $last = [$x, $y];
            }
        }

        return $out;
    }

    /** What of a coat's pass is not begun yet. */
    public function left(Coat $coat, int $pass): ZoneArea
    {
        return $this->left["{$coat->uid}/{$pass}"] ?? $this->zones[$coat->zone];
    }

    /** Whether a pass was begun and next to nothing is left of it: less than a hundredth of the zone. */
    public function isWhole(Coat $coat, int $pass): bool
    {
        $left = $this->left["{$coat->uid}/{$pass}"] ?? null;

        return $left !== null && $left->surface < max(100.0, 0.01 * $this->zones[$coat->zone]->surface);
    }

    private static function pair(string $a, string $b): string
    {
        return $a < $b ? "{$a}|{$b}" : "{$b}|{$a}";
    }
}
