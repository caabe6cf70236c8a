<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Water;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\WaterSurvey;

/** Water over a tunnel: what leaks lands on the track, where no hand reaches. */
final class WaterOverTunnel implements WaterRule
{
    /** So much between bed and lining holds a seam tight: a starting value, mm. */
    public const SAFE_LID_MM = 10.0;

    public function ids(): array
    {
        return ['water-over-tunnel'];
    }

    public function check(Project $project, WaterSurvey $survey): array
    {
        $found = [];
        foreach ($survey->bodies as $body) {
            foreach ($survey->tunnels[$body->uid] ?? [] as $under) {
                $thin = $under['lid'] < self::SAFE_LID_MM;
                $found[] = new Finding(
                    'water-over-tunnel',
                    $thin ? Severity::Stop : Severity::Care,
                    "{$body->called()} lies over the tunnel of {$under['run']}",
                    $survey->section,
                    Place::at(...$under['at']),
                    [
                        'lid' => new Quantity(
                            $under['lid'],
                            'mm',
                            'land from the bed down to the lining, at its thinnest',
                            ['wanted' => Format::length(self::SAFE_LID_MM)],
                            decimals: 1,
                        ),
                    ],
                    'A leak there drips onto the track where nobody sees it.',
                    $thin
                        ? 'Draw the bank clear of the tunnel, make the bed shallower there, or raise the land.'
                        : 'Seal the bed twice, and look into the tunnel while the leak test stands.',
                );
            }
        }

        return $found;
    }
}
