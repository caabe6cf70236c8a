<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;

/** Air so dry that dust clings to everything. */
final class HumidityLowStatic implements WorkRule
{
    public const MIN_HUMIDITY = 30.0;

    public function ids(): array
    {
        return ['humidity-low-static'];
    }

    public function check(BenchPlan $plan): array
    {
        $work = $plan->work;
        $found = [];
        foreach ($work->moves as $move) {
            $room = $work->project->works->room($move->section);
            if ($move->recipe->family === Family::Fibre && $room->day->humidity < self::MIN_HUMIDITY) {
                $found[$room->uid] ??= CoatPair::on(
                    $plan,
                    $move->section->uid,
                    $move->zone->uid,
                    'humidity-low-static',
                    Severity::Hint,
                    "{$room->name} is dry enough for static",
                    ['humidity' => new Quantity($room->day->humidity, '%', 'relative humidity by day', decimals: 0)],
                    'Fibre flies well, and so does dust: it clings to all that is bare.',
                    'Wipe down first, and cover finished water.',
                );
            }
        }

        return array_values($found);
    }
}
