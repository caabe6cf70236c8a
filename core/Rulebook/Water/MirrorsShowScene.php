<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Water;

use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\MirrorFit;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\WaterSurvey;

/** A mirror shows the scene, and neither who looks nor what lies beyond the board. */
final class MirrorsShowScene implements WaterRule
{
    public function ids(): array
    {
        return ['mirror-faces-no-edge', 'mirror-shows-viewer', 'mirror-shows-beyond'];
    }

    public function check(Project $project, WaterSurvey $survey): array
    {
        return array_values(array_filter(array_map(fn (MirrorFit $fit): ?Finding => $this->of($survey, $fit), $survey->mirrors)));
    }

    private function of(WaterSurvey $survey, MirrorFit $fit): ?Finding
    {
        [$view, $name] = [$fit->view, $fit->mirror->name];
        if ($view->isGood()) {
            return null;
        }
        $turn = $fit->betterDeg === null ? null : $fit->betterDeg - $fit->mirror->facingDeg;
        $do = match (true) {
            $turn === null => 'Move it to where it is seen, or take it out.',
            abs($turn) < 0.5 => 'No other angle does better here: make it lower, or set trees and a bridge before it.',
            default => sprintf('Turn it %d° to the %s.', (int) round(abs($turn)), $turn > 0.0 ? 'left' : 'right'),
        };
        $figures = [
            'bad' => new Quantity(
                100.0 * $view->badShare(),
                '%',
                'of what is seen in it: lines from the eyes, thrown back, that meet no land, tree or backdrop',
                ['lines' => (string) $view->seen()],
                'starting value',
                0,
            ),
        ];
        $make = fn (string $id, Severity $severity, string $subject, string $why): Finding => new Finding(
            $id,
            $severity,
            $subject,
            $survey->section,
            Place::at($fit->mirror->x, $fit->mirror->y),
            $figures,
            $why,
            $do,
        );

        return match (true) {
            $view->seen() === 0 => $make(
                'mirror-faces-no-edge',
                Severity::Care,
                "{$name} faces no one",
                'From none of the edges that people look from is any of its face seen.',
            ),
            $view->viewer > 0 => $make(
                'mirror-shows-viewer',
                Severity::Care,
                "Who looks into {$name} sees himself",
                'A face in the water’s end ends the scene.',
            ),
            default => $make(
                'mirror-shows-beyond',
                Severity::Care,
                "{$name} shows what lies beyond the {$view->edge}",
                'What is seen in it is the room, not the scene.',
            ),
        };
    }
}
