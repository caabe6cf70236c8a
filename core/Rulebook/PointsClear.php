<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook;

use IdleRidge\Core\Coats\Stage;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Track\Turnout;

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
        $found = [];
        foreach ($work->moves as $move) {
            if ($move->coat->recipe->stage !== Stage::Track || ! $move->coat->recipe->is('loose', 'wet') || $move->track <= 0.0) {
                continue;
            }
            $layout = $work->project->layout;
            $turnouts = Turnout::among($work->project->runsNear($move->section), $layout->vehicles, $layout->clearanceMargin);
            $here = array_filter($turnouts, function (Turnout $t) use ($move): bool {
                $p = $t->main->alignment->pointAt($t->toe);

                return $p->x >= 0.0 && $p->y >= 0.0 && $p->x <= $move->section->width && $p->y <= $move->section->depth;
            });
            if ($here !== []) {
                $found[$move->coat->uid] ??= CoatPair::on($plan, $move->section->uid, $move->zone->uid, 'points-clear', Severity::Hint, "{$move->coat->title()} round ".count($here).(count($here) === 1 ? ' turnout' : ' turnouts'), [], 'One stone in a blade, or glue under it, and the turnout is found dead at the show.', 'Blades, check rails and crossing clear before the glue; move the blades before, while it is wet, and after.');
            }
        }

        return array_values($found);
    }
}
