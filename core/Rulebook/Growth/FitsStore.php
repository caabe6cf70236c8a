<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Growth;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\GrowthSurvey;

/** A board with its trees goes onto the shelf and through the opening, once what lifts off is off. */
final class FitsStore implements GrowthRule
{
    public function ids(): array
    {
        return ['over-shelf', 'over-opening'];
    }

    public function check(GrowthSurvey $survey): array
    {
        $found = [];
        $lifted = $survey->tall($survey->section->base)['lifted'];
        $shelf = $survey->project->layout->growth->shelf;
        if ($shelf !== null && $lifted > $shelf) {
            $found[] = $this->finding($survey, 'over-shelf', 'stands higher than the shelf', $lifted, $lifted - $shelf);
        }
        $passes = $survey->project->layout->cuts->board->passes([$survey->section->width, $survey->section->depth, $lifted]);
        if ($passes !== null && ! $passes['fits']) {
            $found[] = $this->finding($survey, 'over-opening', 'does not go through the opening', $lifted, $passes['short']);
        }

        return $found;
    }

    private function finding(GrowthSurvey $survey, string $id, string $word, float $tall, float $short): Finding
    {
        return new Finding(
            $id,
            Severity::Care,
            "{$survey->section->name} {$word} with what stands on it",
            $survey->section->uid,
            Place::at($survey->section->width / 2.0, $survey->section->depth / 2.0),
            [
                'height' => new Quantity($tall, 'mm', 'from under the frame to the highest that stays on', decimals: 0),
                'short' => new Quantity($short, 'mm', 'what is missing', decimals: 0),
            ],
            'It is found when the van is loaded.',
            'Give its tall trees sockets, so that they lift off.',
        );
    }
}
