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
use IdleRidge\Core\Water\WaterBody;

/** Water stays where it is poured: it does not run over its bank, and stands a little under it. */
final class WaterHolds implements WaterRule
{
    /** Lower by less than this is the raster, mm. */
    private const RASTER_TOLERANCE_MM = 0.5;

    public function ids(): array
    {
        return ['water-spills', 'water-margin'];
    }

    public function check(Project $project, WaterSurvey $survey): array
    {
        $found = [];
        foreach ($survey->bodies as $body) {
            $margin = $body->margin();
            if ($body->spill === null || $margin === null || $margin >= WaterBody::LEAST_MARGIN_MM) {
                continue;
            }
            [$x, $y] = $body->spill->at();
            $runs = $margin < -self::RASTER_TOLERANCE_MM;
            $way = $survey->ways[$body->uid];
            $found[] = new Finding(
                $runs ? 'water-spills' : 'water-margin',
                $runs ? Severity::Stop : Severity::Hint,
                $runs ? "{$body->called()} runs out" : "{$body->called()} stands at the brim",
                $survey->section,
                Place::at($x, $y),
                [
                    'margin' => new Quantity(
                        $margin,
                        'mm',
                        'lowest way out over the land, or the lower bank of a stream, less the water',
                        ['water at' => Format::length($body->level, 1)],
                        decimals: 1,
                    ),
                ],
                $runs ? "It would run {$way}." : "A pour that swells or is tipped runs {$way}.",
                $runs
                    ? 'Lower the level, raise the bank there, or draw it further in.'
                    : 'Leave '.Format::length(1.0, 1).' under the bank, or raise the bank there with a bead of filler.',
            );
        }

        return $found;
    }
}
