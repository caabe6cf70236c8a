<?php

declare(strict_types=1);

namespace Tests;

use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Coats\Laid;
use IdleRidge\Core\Cure\Mechanism;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\Move;

/**
 * Holds a plan of moves against its sessions, hands, tools and what lies under each move. Drying is added up minute by minute
 * from the rates: it shares no code with the tables, the solver or the plan's own reasons.
 */
final class BenchPlanChecker
{
    /** exp(0.841621 · √(0.35² + 0.25²)) */
    private const P80 = 1.43618;

    /** @return list<string> what is wrong */
    public static function faults(BenchPlan $plan): array
    {
        $faults = [];
        $starts = $load = $tools = [];
        foreach ($plan->moves as $placed) {
            $starts[$placed->move->id] = $placed->start;
            $name = $placed->move->title();
            $inside = array_filter($plan->work->sessions, fn (array $s): bool => $s[0] <= $placed->start && $placed->end <= $s[1]);
            if ($inside === [] || $placed->end - $placed->start !== $placed->move->minutes) {
                $faults[] = "{$name} lies in no session";

                continue;
            }
            $hands = array_values($inside)[0][2];
            for ($minute = $placed->start; $minute < $placed->end; $minute++) {
                $load[$minute] = ($load[$minute] ?? 0) + 1;
                if ($load[$minute] > $hands) {
                    $faults[] = "too many hands at {$minute}";
                }
                foreach ($placed->move->coat->recipe->tools as $tool) {
                    $tools[$minute][$tool] = ($tools[$minute][$tool] ?? 0) + 1;
                    if ($tools[$minute][$tool] > 1) {
                        $faults[] = "the {$tool} twice at {$minute}";
                    }
                }
            }
        }
        foreach ($plan->moves as $placed) {
            foreach ($plan->work->bases[$placed->move->id] as $base) {
                $under = $base->under;
                if ($under instanceof Move && ! isset($starts[$under->id])) {
                    $faults[] = "{$placed->move->title()} goes over {$under->title()}, which is not planned";

                    continue;
                }
                $end = $under instanceof Laid ? (int) $under->endedAt : $starts[$under->id] + $under->minutes;
                $recipe = $under instanceof Laid ? $under->recipe : $under->coat->recipe;
                $mm = $under instanceof Laid ? $under->mm : $under->coat->mm;
                $room = $plan->work->project->works->room($placed->move->section);
                if (! self::isReady($recipe->cure->minutes, $recipe->cure->mechanism, $base->milestone, ($mm / $recipe->cure->referenceMm) ** $recipe->cure->exponent, $end, $placed->start, $room, $plan->work->zone())) {
                    $faults[] = "{$placed->move->title()} begins before {$recipe->name} is {$base->milestone->value}";
                }
            }
        }

        return array_values(array_unique($faults));
    }

    /** @param  array<string, float>  $minutes */
    private static function isReady(array $minutes, Mechanism $mechanism, Milestone $milestone, float $thickness, int $end, int $start, Room $room, DateTimeZone $zone): bool
    {
        $set = $mechanism === Mechanism::Hydration ? $minutes['touch_dry'] * self::P80 : 0.0;
        $first = $mechanism === Mechanism::Hydration ? $set : $minutes[$milestone->value] * self::P80 * (in_array($milestone, [Milestone::NextCoat, Milestone::DryThrough], true) ? $thickness : 1.0);
        $then = $mechanism === Mechanism::Hydration ? ($minutes[$milestone->value] - $minutes['touch_dry']) * self::P80 * $thickness : 0.0;
        $local = (new DateTimeImmutable('@'.$end * 60))->setTimezone($zone);
        for ($minute = $end; $minute < $start && $first + $then > 1e-6; $minute++) {
            // Clocks change at night, between day and night airs: the offset of the minute itself counts.
            $at = $local->setTimestamp($minute * 60);
            $clock = 60 * (int) $at->format('G') + (int) $at->format('i');
            $air = $clock >= $room->dayFrom && $clock < $room->dayTo ? $room->day : $room->night;
            if ($first > 1e-6) {
                $first -= $mechanism->rate($air);
            } else {
                $then -= Mechanism::Evaporation->rate($air);
            }
        }

        // A part of a minute is lost where one way of drying hands over to the next.
        return $first + $then < 2.0;
    }
}
