<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Cure\Mechanism;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\Move;

/** Air too damp for what dries by evaporation. */
final class TooDampToDry implements WorkRule
{
    /** A quarter of the drying that figures are given for. */
    public const MIN_DRYING_RATE = 0.25;

    public function ids(): array
    {
        return ['too-damp-to-dry'];
    }

    public function check(BenchPlan $plan): array
    {
        $work = $plan->work;
        $found = [];
        foreach ($work->project->sections as $section) {
            $room = $work->project->works->room($section);
            $share = ($room->dayTo - $room->dayFrom) / 1440.0;
            $rate = $share * Mechanism::Evaporation->rate($room->day) + (1.0 - $share) * Mechanism::Evaporation->rate($room->night);
            $move =
                array_values(
                    array_filter(
                        $work->moves,
                        fn (Move $m): bool => $m->section->uid === $section->uid &&
                            $m->recipe->cure->mechanism === Mechanism::Evaporation,
                    ),
                )[0] ?? null;
            if ($rate < self::MIN_DRYING_RATE && $move !== null) {
                $found[] = CoatPair::on(
                    $plan,
                    $section->uid,
                    $move->zone->uid,
                    'too-damp-to-dry',
                    Severity::Care,
                    "{$room->name} is too damp to dry in",
                    ['rate' => new Quantity(100.0 * $rate, '%', 'drying over a day against 20 °C, 50 %, still air', decimals: 0)],
                    'Wet coats stand so long that mould comes before they are dry.',
                    'Warm the room, dry its air or move it; open the board on all sides.',
                );
            }
        }

        return $found;
    }
}
