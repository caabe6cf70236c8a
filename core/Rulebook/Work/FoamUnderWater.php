<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;

/** Water poured on foam that nothing seals. */
final class FoamUnderWater implements WorkRule
{
    public function ids(): array
    {
        return ['substrate-foam-under-water'];
    }

    public function check(BenchPlan $plan): array
    {
        return BareFoam::found(
            $plan,
            RecipeTrait::Pour,
            'substrate-foam-under-water',
            Severity::Stop,
            'on bare foam',
            'Foam gives gas off under a pour, which stands in it as bubbles; and it runs out at every seam.',
            'Plaster the bed, close every gap and paint it before you pour.',
        );
    }
}
