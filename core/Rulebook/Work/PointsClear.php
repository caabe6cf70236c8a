<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\Stage;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\TurnoutToes;

/** Loose material and glue round turnouts. */
final class PointsClear implements WorkRule
{
    public function ids(): array
    {
        return ['points-clear'];
    }

    public function check(BenchPlan $plan): array
    {
        $work = $plan->work;
        $toes = new TurnoutToes();
        $found = [];
        foreach ($work->moves as $move) {
            if (
                $move->recipe->stage !== Stage::Track ||
                ! $move->recipe->is(RecipeTrait::Loose, RecipeTrait::Wet) ||
                $move->track <= 0.0
            ) {
                continue;
            }
            $here = array_filter(
                $toes->of($work->project, $move->section),
                fn (array $p): bool => $p[0] >= 0.0 && $p[1] >= 0.0 && $p[0] <= $move->section->width && $p[1] <= $move->section->depth,
            );
            if ($here !== []) {
                $found[$move->coat->uid] ??= CoatPair::on(
                    $plan,
                    $move->section->uid,
                    $move->zone->uid,
                    'points-clear',
                    Severity::Hint,
                    "{$move->coat->title()} round ".count($here).(count($here) === 1 ? ' turnout' : ' turnouts'),
                    [],
                    'One stone in a blade, or glue under it, and the turnout is found dead at the show.',
                    'Blades, check rails and crossing clear before the glue; move the blades before, while it is wet, and after.',
                );
            }
        }

        return array_values($found);
    }
}
