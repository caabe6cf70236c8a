<?php

declare(strict_types=1);

namespace Tests\Core\Water;

use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\WaterStudy;
use IdleRidge\Core\Project\WaterSurvey;
use Tests\Build;

/** Waters to try: level ponds and streams on a board, and what is worked out of them. */
final class Ponds
{
    /** @param  list<array{float, float}>  $ring */
    public static function pond(array $ring, float $level, float $depth = 10.0, float $shore = 30.0, int $n = 5): LandFeature
    {
        return new LandFeature(
            Build::uid($n),
            FeatureKind::Water,
            array_map(fn (array $p): Spot => new Spot($p[0], $p[1], $level), $ring),
            'Pond',
            figures: ['depth_mm' => $depth, 'shore_mm' => $shore],
        );
    }

    /** @param  list<array{float, float}>  $line */
    public static function stream(array $line, float $width = 18.0, float $depth = 3.0): LandFeature
    {
        $points = array_map(fn (array $p): Spot => new Spot($p[0], $p[1], 0.0), $line);

        return new LandFeature(Build::uid(6), FeatureKind::Stream, $points, 'Beck', figures: ['width_mm' => $width, 'depth_mm' => $depth]);
    }

    public static function survey(Project $project): WaterSurvey
    {
        return WaterSurvey::of(WaterStudy::of(Build::study($project)));
    }
}
