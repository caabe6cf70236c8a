<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;

/** One coat laid over another that was not dry through, where it has to be: told for each application that began too early. */
abstract class LaidTooSoon implements WorkRule
{
    public function check(BenchPlan $plan): array
    {
        $work = $plan->work;
        $found = [];
        foreach (CoatPair::all($plan) as $pair) {
            $asks = $pair->isOver() && $pair->other->recipe->asksDryThrough($pair->one->recipe) && $this->isAbout($pair);
            foreach ($asks ? $pair->laid($pair->one) : [] as $under) {
                foreach ($pair->laid($pair->other) as $over) {
                    $dry = $work->reached($under, BenchPlan::through($under->recipe->cure->minutes), $work->certainty());
                    if ($under->endedAt !== null && $under->endedAt <= $over->startedAt && $over->startedAt < $dry) {
                        $early = new Quantity(
                            ($dry - $over->startedAt) / 60.0,
                            'h',
                            'when the coat below is dry through (as surely as the layout asks) less when the next was begun',
                            decimals: 1,
                        );
                        $subject = "{$over->title} over {$under->title} that was not ".$this->wanted();
                        [$why, $do] = $this->words();
                        $found[$over->uid] = $pair->finding($this->ids()[0], Severity::Care, $subject, ['too_early' => $early], $why, $do);
                    }
                }
            }
        }

        return array_values($found);
    }

    abstract protected function isAbout(CoatPair $pair): bool;

    /** What it was not yet. */
    abstract protected function wanted(): string;

    /** @return array{string, string} why it matters, and what to do */
    abstract protected function words(): array;
}
