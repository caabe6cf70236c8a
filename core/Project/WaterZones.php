<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Coats\Standing;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Land\LandModel;

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
        $curves = [];
        foreach ($study->bodies() as $body) {
            $curves[$body->uid] = $body->curve;
        }
        foreach ($beds as $uid => $zone) {
            $has = $standing[$uid] ?? new Standing();
            $standing[$uid] = new Standing($has->places, $has->wire, $curves[$zone->water ?? ''] ?? null);
        }

        return $standing;
    }
}
