<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;

/** A solvent on foam that nothing covers. */
final class SolventOnFoam implements WorkRule
{
    public function ids(): array
    {
        return ['solvent-on-foam'];
    }

    public function check(BenchPlan $plan): array
    {
        return BareFoam::found(
            $plan,
            RecipeTrait::Solvent,
            'solvent-on-foam',
            Severity::Stop,
            'dissolves bare foam',
            'Propellants and solvents eat foam: the surface sinks as you watch.',
            'Skin or paint all of the foam first.',
        );
    }
}
