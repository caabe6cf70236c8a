<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;

/** Wet coats straight on foam that may still carry its film. */
final class FilmOnFoam implements WorkRule
{
    public function ids(): array
    {
        return ['substrate-film-on-foam'];
    }

    public function check(BenchPlan $plan): array
    {
        return BareFoam::found(
            $plan,
            RecipeTrait::Messy,
            'substrate-film-on-foam',
            Severity::Hint,
            'goes straight on foam',
            'Some sheets carry a film on both faces: nothing that is wet holds on it.',
            'Pull the film off, rasp the face, or begin with a glue coat.',
            [RecipeTrait::Stack],
        );
    }
}
