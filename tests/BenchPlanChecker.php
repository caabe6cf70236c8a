<?php

declare(strict_types=1);

namespace Tests;

use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\FollowWindow;
use IdleRidge\Core\Coats\Hazard;
use IdleRidge\Core\Cure\Mechanism;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Plan\PlacedMove;

/**
 * Holds a plan of moves against its sessions, hands, tools and what lies under each move. Drying is added up minute by minute
 * from the rates: it shares no code with the tables, the solver or the plan's own reasons.
 */
final class BenchPlanChecker
{
    /** Of the normal distribution: how many deviations lie under a share of the cases. */
    private const DEVIATIONS = ['0.5' => 0.0, '0.8' => 0.841621, '0.9' => 1.281552];

    /** √(0.35² + 0.25²): of a recipe and of single cases together. */
    private const BOTH = 0.430116;

    /** Of single cases alone. */
    private const CASE = 0.25;

    /** @return list<string> what is wrong */
    public static function faults(BenchPlan $plan): array
    {
        $faults = [];
        $starts = $load = $tools = [];
        foreach ($plan->moves as $placed) {
            $starts[$placed->move->id] = $placed->start;
            $name = $placed->move->title();
            $inside = array_filter($plan->work->sessions, fn (array $s): bool => $s[0] <= $placed->start && $placed->end <= $s[1]);
            if ($inside === [] || ! self::lasts($plan, $placed)) {
                $faults[] = "{$name} lies in no session";

                continue;
            }
            $hands = array_values($inside)[0][2];
            for ($minute = $placed->start; $minute < $placed->end; $minute++) {
                $load[$minute] = ($load[$minute] ?? 0) + 1;
                if ($load[$minute] > $hands) {
                    $faults[] = "too many hands at {$minute}";
                }
                foreach ($placed->move->recipe->tools as $tool) {
                    $tools[$minute][$tool] = ($tools[$minute][$tool] ?? 0) + 1;
                    if ($tools[$minute][$tool] > $plan->work->rules()->tools($tool)) {
                        $faults[] = "the {$tool} twice at {$minute}";
                    }
                }
            }
        }
        foreach ($plan->moves as $spark) {
            foreach (in_array(Hazard::Sparks, $spark->move->recipe->hazards, true) ? $plan->moves : [] as $mist) {
                $sameRoom =
                    $plan->work->project->works->room($spark->move->section)->uid ===
                    $plan->work->project->works->room($mist->move->section)->uid;
                if (
                    $sameRoom &&
                    in_array(Hazard::Vapour, $mist->move->recipe->hazards, true) &&
                    $spark->start < $mist->end + 30 &&
                    $spark->end > $mist->start
                ) {
                    $faults[] = "{$spark->move->title()} sparks in the vapour of {$mist->move->title()}";
                }
            }
        }
        $ends = array_column(array_map(fn (PlacedMove $p): array => [$p->move->id, $p->end], $plan->moves), 1, 0);
        foreach ($plan->moves as $placed) {
            foreach ($placed->move->recipe->tools as $tool) {
                $kept = array_filter(
                    $plan->moves,
                    fn (PlacedMove $p): bool => $p !== $placed &&
                        isset($p->move->recipe->holds[$tool]) &&
                        $p->start <= $placed->start &&
                        ! self::isReadyAfter($plan, $p, Milestone::from($p->move->recipe->holds[$tool]), $placed->start),
                );
                if (count($kept) >= $plan->work->rules()->tools($tool)) {
                    $faults[] = "the {$tool} is kept when {$placed->move->title()} begins";
                }
            }
            foreach ($plan->work->bases[$placed->move->id] as $base) {
                $under = $base->under;
                if ($under instanceof Move && ! isset($starts[$under->id])) {
                    $faults[] = "{$placed->move->title()} goes over {$under->title()}, which is not planned";

                    continue;
                }
                $end = $under instanceof CoatApplication ? (int) $under->endedAt : $ends[$under->id];
                $recipe = $under instanceof CoatApplication ? $under->recipe : $under->recipe;
                $mm = $under instanceof CoatApplication ? $under->mm : $under->coat->mm;
                $room = $plan->work->project->works->room($placed->move->section);
                if ($base->window !== null) {
                    $began = $under instanceof CoatApplication ? $under->startedAt : $starts[$under->id];
                    if (
                        ! self::isOpen(
                            self::certain($plan, self::CASE),
                            $base->window,
                            $recipe->cure->minutes,
                            $recipe->cure->mechanism,
                            $began,
                            $end,
                            $placed->start,
                            $room,
                            $plan->work->zone(),
                        )
                    ) {
                        $faults[] = "{$placed->move->title()} misses its window after {$recipe->name}";
                    }

                    continue;
                }
                if (
                    ! self::isReady(
                        self::certain($plan, self::BOTH),
                        $recipe->cure->minutes,
                        $recipe->cure->mechanism,
                        $base->milestone,
                        ($mm / $recipe->cure->referenceMm) ** $recipe->cure->exponent,
                        $end,
                        $placed->start,
                        $room,
                        $plan->work->zone(),
                    )
                ) {
                    $faults[] = "{$placed->move->title()} begins before {$recipe->name} is {$base->milestone->value}";
                }
            }
        }

        return array_values(array_unique($faults));
    }

    /** Whether it takes its time; less where it goes on with the set-up of the same work that ended just then. */
    private static function lasts(BenchPlan $plan, PlacedMove $placed): bool
    {
        $minutes = $placed->end - $placed->start;
        $joined = array_filter(
            $plan->moves,
            fn (PlacedMove $p): bool => $p->end === $placed->start &&
                $p->move->recipe->id === $placed->move->recipe->id &&
                $p->move->section === $placed->move->section,
        );

        return $minutes === $placed->move->minutes ||
            ($joined !== [] && $minutes === max(1, $placed->move->minutes - (int) $placed->move->recipe->labour->setUp));
    }

    /** How much longer than usual a wait is taken to be, so sure as this plan has to be. */
    private static function certain(BenchPlan $plan, float $deviation): float
    {
        return exp(self::DEVIATIONS[(string) $plan->work->rules()->certainty] * $deviation);
    }

    private static function isReadyAfter(BenchPlan $plan, PlacedMove $placed, Milestone $milestone, int $start): bool
    {
        $cure = $placed->move->recipe->cure;

        return $placed->end <= $start &&
            self::isReady(
                self::certain($plan, self::BOTH),
                $cure->minutes,
                $cure->mechanism,
                $milestone,
                ($placed->move->coat->mm / $cure->referenceMm) ** $cure->exponent,
                $placed->end,
                $start,
                $plan->work->project->works->room($placed->move->section),
                $plan->work->zone(),
            );
    }

    /** @param  array<string, float>  $minutes */
    private static function isOpen(
        float $case,
        FollowWindow $window,
        array $minutes,
        Mechanism $mechanism,
        int $began,
        int $end,
        int $start,
        Room $room,
        DateTimeZone $zone,
    ): bool {
        if ($window->again !== null && $start >= $end + $window->again) {
            return true;
        }
        if (is_float($window->opens) && is_float($window->closes)) {
            return $start >= $end + $window->opens && $start <= max($end + $window->opens, $began + $window->closes);
        }
        $after = fn (Milestone|float $of, float $factor, int $moment): float => self::elapsed(
            $minutes[$of instanceof Milestone ? $of->value : ''] * $factor,
            $mechanism,
            $moment,
            $room,
            $zone,
        );
        $bounds = function (int $moment) use ($after, $case, $window): array {
            [$early, $late] = [$after($window->opens, $case, $moment), $after($window->closes, 1.0 / $case, $moment)];
            if ($early > $late) {
                $middle = sqrt($after($window->opens, 1.0, $moment) * $after($window->closes, 1.0, $moment));
                [$early, $late] = [$middle - 15.0, $middle + 15.0];
            }

            return [$moment + $early, $moment + $late];
        };
        [$opens, $byEnd] = $bounds($end);
        $byStart = $bounds($began)[1];

        // A part of a minute may be lost on either side.
        return $start >= $opens - 2.0 && $start <= ($byStart >= $opens - 2.0 ? $byStart : $byEnd) + 2.0;
    }

    private static function elapsed(float $dose, Mechanism $mechanism, int $from, Room $room, DateTimeZone $zone): float
    {
        for ($minute = $from; $dose > 0.0; $minute++) {
            $rate = $mechanism->rate($room->at($minute, $zone));
            if ($dose <= $rate) {
                return $minute - $from + $dose / $rate;
            }
            $dose -= $rate;
        }

        return (float) ($minute - $from);
    }

    /** @param  array<string, float>  $minutes */
    private static function isReady(
        float $late,
        array $minutes,
        Mechanism $mechanism,
        Milestone $milestone,
        float $thickness,
        int $end,
        int $start,
        Room $room,
        DateTimeZone $zone,
    ): bool {
        $set = $mechanism === Mechanism::Hydration ? $minutes['touch_dry'] * $late : 0.0;
        $first =
            $mechanism === Mechanism::Hydration
                ? $set
                : $minutes[$milestone->value] *
                    $late *
                    (in_array($milestone, [Milestone::NextCoat, Milestone::DryThrough], true) ? $thickness : 1.0);
        $then = $mechanism === Mechanism::Hydration ? ($minutes[$milestone->value] - $minutes['touch_dry']) * $late * $thickness : 0.0;
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
