<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Polygon;

/** All that work on a section needs to know of its zones: where they are, where they overlap, what of them is left to lay. */
final readonly class SectionSurvey
{
    /** Zones nearer than this lie beside one another, mm. */
    private const BESIDE_MM = 12.0;

    /**
     * @param  array<string, ZoneArea>  $zones
     * @param  array<string, ZoneOverlap>  $overlaps "a|b", a before b, those that count
     * @param  array<string, float>  $gaps "a|b" of the others → how far apart they lie, mm
     * @param  array<string, ZoneArea>  $left "coat/pass" of what was begun → the rest
     */
    private function __construct(
        public array $zones,
        private array $overlaps,
        private array $gaps,
        private array $left,
        public float $bare = 0.0,
    ) {
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
        $overlaps = $gaps = [];
        $uids = array_keys($zones);
        foreach ($uids as $k => $a) {
            foreach (array_slice($uids, $k + 1) as $b) {
                $overlap = $survey->overlap($a, $b);
                if ($overlap->counts()) {
                    $overlaps[self::pair($a, $b)] = $overlap;
                } else {
                    $gaps[self::pair($a, $b)] = Polygon::gap($areas[$a]->rings, $areas[$b]->rings);
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

        return new self($areas, $overlaps, $gaps, $left, $survey->bare());
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

    /** Whether two zones come nearer to each other than so many millimetres. */
    public function liesWithin(string $a, string $b, float $mm): bool
    {
        return ($this->gaps[self::pair($a, $b)] ?? 0.0) < $mm;
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
