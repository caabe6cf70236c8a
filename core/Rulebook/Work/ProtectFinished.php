<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\Stage;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Plan\BenchPlan;

/** What is finished beside wet or messy work. */
final class ProtectFinished implements WorkRule
{
    public function ids(): array
    {
        return ['protect'];
    }

    public function check(BenchPlan $plan): array
    {
        $works = $plan->work->project->works;
        $found = [];
        foreach ($plan->work->surveys as $section => $survey) {
            $finished = [];
            foreach ($works->laid as $laid) {
                if (
                    $laid->section === (string) $section &&
                    (in_array($laid->recipe->family, [Family::Gloss, Family::Resin, Family::Ballast], true) ||
                        $laid->recipe->stage === Stage::Hard ||
                        $laid->recipe->stage === Stage::Rock)
                ) {
                    $finished[$laid->zone] = $laid->title;
                }
            }
            foreach ($works->zonesOf((string) $section) as $zone) {
                foreach ($works->coatsOf($zone->uid) as $coat) {
                    $masked = array_filter($works->coatsOf($zone->uid), fn (Coat $c): bool => $c->recipe->is(RecipeTrait::Mask));
                    foreach (
                        $masked === [] &&
                        $coat->recipe->is(RecipeTrait::Messy, RecipeTrait::Solvent, RecipeTrait::Wash) &&
                        ! $survey->isWhole($coat, $coat->applications())
                            ? $finished
                            : [] as $uid => $title
                    ) {
                        if ($uid !== $zone->uid && $survey->touches($uid, $zone->uid)) {
                            $found[$coat->uid] ??= CoatPair::on(
                                $plan,
                                (string) $section,
                                $zone->uid,
                                'protect',
                                Severity::Hint,
                                "Cover {$title} before {$coat->title()}",
                                [],
                                'It splashes, drifts or runs, and what is finished beside it cannot be cleaned.',
                                'Film and tape over it, edges pressed down; lift them while the coat is soft.',
                            );
                        }
                    }
                }
            }
        }

        return array_values($found);
    }
}
