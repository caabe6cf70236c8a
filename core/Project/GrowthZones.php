<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Coats\Standing;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Planting\RowLayout;
use IdleRidge\Core\Planting\RowPart;
use IdleRidge\Core\Planting\RowThing;

/** Zones that follow what grows: under the crowns of stands, along rows; and what stands within each zone. */
final class GrowthZones
{
    /** A strip for a row is no narrower than glue is put on, mm. */
    private const NARROWEST_MM = 6.0;

    private const CORNERS_ALONG = 60;

    private const OFF_BEND_MM = 0.1;

    /** @var array<string, RowLayout|null> uid → the row set out, null where it cannot be */
    private array $sets = [];

    public function __construct(private readonly Project $project)
    {
    }

    /** @return list<Zone> the layout's, those that follow growth as it has them now */
    public function zones(): array
    {
        return array_map(function (Zone $zone): Zone {
            if ($zone->under !== []) {
                $crowns = [];
                foreach ($zone->under as $uid) {
                    array_push($crowns, ...$this->project->works->growth->stand($uid)?->crowns() ?? []);
                }
                $zone = $zone->shadedBy($crowns);
            }
            if ($zone->along !== null) {
                $strip = $this->strip($zone->along, $zone->section);
                // A zone along a row that is nowhere has nothing in it.
                $zone = $strip === [] ? $zone->shadedBy([]) : $zone->lyingOn($strip);
            }

            return $zone;
        }, $this->project->works->zones);
    }

    /**
     * What stands on a section and may be in its zones: of a zone along a row its things and wires, of all others the trees.
     *
     * @return array<string, Standing> uid of the zone → what stands there, also outside the zone; none where nothing does
     */
    public function standing(Section $section): array
    {
        $trees = [];
        foreach ($this->project->works->growth->standsOn($section->uid) as $stand) {
            foreach ($stand->treesOn($section->placement) as $tree) {
                $trees[] = [$tree->x, $tree->y];
            }
        }
        $out = [];
        foreach ($this->project->works->zonesOf($section->uid) as $zone) {
            $set = $zone->along === null ? null : $this->set($zone->along);
            if ($set !== null) {
                $out[$zone->uid] = new Standing($this->placesOf($set, $section), $set->wire($section->uid));
            } elseif ($zone->along === null && $trees !== []) {
                $out[$zone->uid] = new Standing($trees);
            }
        }

        return $out;
    }

    /** @return list<array{float, float}> */
    private function placesOf(RowLayout $set, Section $section): array
    {
        return array_map(function (RowThing $thing) use ($section): array {
            $here = $section->placement->toSection(new Point($thing->x, $thing->y));

            return [$here->x, $here->y];
        }, $set->on($section->uid));
    }

    /** @return list<array{float, float}> the ground along the longest part of a row on a board, layout coordinates; none where it is not */
    private function strip(string $row, string $section): array
    {
        $set = $this->set($row);
        $parts = array_filter($set->parts ?? [], fn (RowPart $p): bool => $p->section === $section);
        usort($parts, fn (RowPart $a, RowPart $b): int => $b->length() <=> $a->length());
        if ($set === null || $parts === []) {
            return [];
        }
        $half = max(self::NARROWEST_MM, $set->wide) / 2.0;
        $stations = $this->stations($set, $parts[0]);
        // At a sharp bend the strip would cross itself: then its corners are cut, and at worst its longest straight is taken.
        $off = array_values(array_filter($stations, fn (float $at): bool => $this->isOffBends($set, $at, 2.0 * $half)));
        foreach ([$stations, $off, $this->straight($set, $parts[0])] as $some) {
            $ring = count($some) < 2 ? [] : $this->around($set, $some, $half);
            if ($ring !== [] && ! Polygon::crossesItself($ring)) {
                return $ring;
            }
        }

        return [];
    }

    /**
     * @param  list<float>  $stations
     * @return list<array{float, float}>
     */
    private function around(RowLayout $set, array $stations, float $half): array
    {
        $left = $right = [];
        foreach ($stations as $station) {
            [$x, $y, $heading] = $set->line->at($station);
            $left[] = [$x - $half * sin($heading), $y + $half * cos($heading)];
            $right[] = [$x + $half * sin($heading), $y - $half * cos($heading)];
        }

        return [...$right, ...array_reverse($left)];
    }

    private function isOffBends(RowLayout $set, float $station, float $by): bool
    {
        foreach ($set->line->bends as $bend) {
            if (abs($bend - $station) < $by) {
                return false;
            }
        }

        return true;
    }

    /** @return list<float> both ends of the longest piece of a part between two bends */
    private function straight(RowLayout $set, RowPart $part): array
    {
        $ends = [$part->from, ...array_filter($set->line->bends, fn (float $b): bool => $b > $part->from && $b < $part->to), $part->to];
        $best = [];
        for ($k = 1; $k < count($ends); $k++) {
            if ($best === [] || $ends[$k] - $ends[$k - 1] > $best[1] - $best[0]) {
                $best = [$ends[$k - 1] + self::OFF_BEND_MM, $ends[$k] - self::OFF_BEND_MM];
            }
        }

        return $best;
    }

    /** @return list<float> evenly along it, and at its corners */
    private function stations(RowLayout $set, RowPart $part): array
    {
        $count = min(self::CORNERS_ALONG, max(1, (int) ceil($part->length() / 10.0)));
        $out = $set->line->bends === [] ? [] : array_filter(
            array_slice($set->line->bends, 0, self::CORNERS_ALONG),
            fn (float $bend): bool => $bend > $part->from && $bend < $part->to,
        );
        for ($k = 0; $k <= $count; $k++) {
            $out[] = $part->from + ($part->length() * $k) / $count;
        }
        sort($out);

        return $out;
    }

    private function set(string $uid): ?RowLayout
    {
        if (! array_key_exists($uid, $this->sets)) {
            $this->sets[$uid] = null;
            foreach ($this->project->works->growth->rows as $row) {
                if ($row->uid === $uid) {
                    try {
                        $this->sets[$uid] = (new GrowthStudy($this->project))->set($row);
                    } catch (InvalidValue) {
                        $this->sets[$uid] = null;
                    }
                }
            }
        }

        return $this->sets[$uid];
    }
}
