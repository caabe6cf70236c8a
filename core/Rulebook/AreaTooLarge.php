<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook;

use IdleRidge\Core\Cure\CureClock;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Figure;
use IdleRidge\Core\Plan\BenchPlan;

/** An area that cannot be worked before the material stops being workable. */
final class AreaTooLarge implements WorkRule
{
    public function ids(): array
    {
        return ['area-too-large-for-open-time'];
    }

    public function check(BenchPlan $plan): array
    {
        $work = $plan->work;
        $found = [];
        foreach ($work->moves as $move) {
            $open = $move->coat->recipe->labour->openPerDm2;
            $workable = $move->coat->recipe->cure->minutes[Milestone::WorkableUntil->value] ?? null;
            if ($open === null || $workable === null) {
                continue;
            }
            $there = (CureClock::medians($move->coat->recipe->cure, $work->project->works->room($move->section)->day, $move->coat->mm)[Milestone::WorkableUntil->value] ?? INF) * CureClock::factor(0.2);
            $needed = $open * $move->area / 1e4;
            if ($needed > $there) {
                $found[$move->coat->uid] ??= CoatPair::on($plan, $move->section->uid, $move->zone->uid, 'area-too-large-for-open-time', Severity::Care, "{$move->coat->title()} skins before it is done", ['needed' => new Figure($needed, 'min', 'open work a dm² × area of the strip', decimals: 0), 'workable' => new Figure($there, 'min', 'workable time in this room, one time in five shorter', decimals: 0)], 'What comes last lies on glue that has skinned, and brushes off when it is dry.', 'Work in smaller strips, from back to front, or slow the glue.');
            }
        }

        return array_values($found);
    }
}
