<?php

declare(strict_types=1);

namespace IdleRidge\Core\Interchange;

use IdleRidge\Core\Geometry\Contour;

/** Contours as GeoJSON (RFC 7946 in form; coordinates are mm on the board, not degrees). */
final class GeoJson
{
    /** @param  list<Contour>  $contours */
    public static function contours(array $contours): string
    {
        $features = [];
        foreach ($contours as $contour) {
            $lines = [];
            foreach ($contour->lines as $line) {
                $points = array_map(fn (array $p): array => [round($p[0], 3), round($p[1], 3)], $line['points']);
                if ($line['closed']) {
                    $points[] = $points[0];
                }
                $lines[] = $points;
            }
            if ($lines !== []) {
                $features[] = [
                    'type' => 'Feature',
                    'properties' => ['level_mm' => $contour->level, 'length_mm' => round($contour->length, 2)],
                    'geometry' => ['type' => 'MultiLineString', 'coordinates' => $lines],
                ];
            }
        }

        return json_encode(['type' => 'FeatureCollection', 'features' => $features], JSON_THROW_ON_ERROR)."\n";
    }
}
