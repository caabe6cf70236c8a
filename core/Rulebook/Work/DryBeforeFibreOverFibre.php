<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;

/** Fibre laid over fibre before that was dry through: what stands is flattened and pulled out. */
final class DryBeforeFibreOverFibre implements WorkRule
{
    public function ids(): array
    {
        return ['dry-before-fibre-over-fibre'];
    }

    public function check(BenchPlan $plan): array
    {
        $work = $plan->work;
        $fibre = array_values(
            array_filter($work->project->works->laid, fn (CoatApplication $l): bool => $l->recipe->family === Family::Fibre),
        );
        $found = [];
        foreach ($fibre as $over) {
            foreach ($fibre as $under) {
                if (
                    $under->endedAt === null ||
                    $under->endedAt > $over->startedAt ||
                    $over->recipe->parts === [] ||
                    $over->recipe->is(RecipeTrait::Sprayed) ||
                    [$under->coat, $under->pass] === [$over->coat, $over->pass] ||
                    ! $this->overlap($plan, $under, $over)
                ) {
                    continue;
                }
                $dry = $work->reached($under, BenchPlan::through($under->recipe->cure->minutes), $work->certainty());
                if ($over->startedAt < $dry) {
                    $area = $work->surveys[$over->section]->zones[$over->zone] ?? null;
                    [$x, $y] = $area?->middle() ?? [0.0, 0.0];
                    $found[] = new Finding(
                        'dry-before-fibre-over-fibre',
                        Severity::Care,
                        "{$over->title} over {$under->title} that was not dry",
                        $over->section,
                        Place::inZone($over->zone, $x, $y),
                        [
                            'too_early' => new Quantity(
                                ($dry - $over->startedAt) / 60.0,
                                'h',
                                'when the fibre below is dry through (as surely as the layout asks) less when the next was begun',
                                decimals: 1,
                            ),
                        ],
                        'The glue below still gave: standing fibres lie flat or come out.',
                        'Brush it up when all is dry, and lay a thin pass where it stays bare.',
                    );
                }
            }
        }

        return $found;
    }

    private function overlap(BenchPlan $plan, CoatApplication $a, CoatApplication $b): bool
    {
        return $a->section === $b->section &&
            ($a->zone === $b->zone || ($plan->work->surveys[$a->section] ?? null)?->overlap($a->zone, $b->zone) !== null);
    }
}
