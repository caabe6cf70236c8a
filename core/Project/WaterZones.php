<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Coats\Standing;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Water\Dam;
use IdleRidge\Core\Water\WaterBody;

/** How deep the water is that lies on the zones which are its bed: what is poured there goes by that, not by thickness times area. */
final class WaterZones
{
    /**
     * @param  array<string, Zone>  $zones
     * @param  array<string, Standing>  $standing what is known of them already
     * @return array<string, Standing>
     */
    public static function filled(Project $project, Section $section, LandModel $model, float $cell, array $zones, array $standing): array
    {
        $beds = array_filter($zones, fn (Zone $z): bool => $z->isBed());
        if ($beds === []) {
            return $standing;
        }
        $study = new WaterStudy($project, $section, $model, $model->terrain($cell)->mesh());
        $bodies = [];
        foreach ($study->bodies() as $body) {
            $bodies[$body->uid] = $body;
        }
        foreach ($beds as $uid => $zone) {
            $body = $bodies[$zone->water ?? ''] ?? null;
            $dams = array_sum(array_map(fn (Dam $d): float => $d->length(), $body->dams ?? []));
            $standing[$uid] = new Standing(self::strips($body) ?: $standing[$uid]->places ?? [], $dams, $body?->curve);
        }

        return $standing;
    }

    /** @return list<array{float, float}> where the strips of a stream’s falls are laid */
    private static function strips(?WaterBody $body): array
    {
        $out = [];
        foreach ($body->falls ?? [] as $fall) {
            array_push($out, ...array_fill(0, $fall->strips(), $fall->at));
        }

        return $out;
    }
}
