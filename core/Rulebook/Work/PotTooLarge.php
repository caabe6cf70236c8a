<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\PotLife;
use IdleRidge\Core\Cure\Mechanism;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;

/** A pot of two parts that sets before it is used up. */
final class PotTooLarge implements WorkRule
{
    public function ids(): array
    {
        return ['pot-too-large'];
    }

    public function check(BenchPlan $plan): array
    {
        $found = [];
        foreach ($plan->work->moves as $move) {
            if ($move->recipe->cure->mechanism !== Mechanism::TwoPart) {
                continue;
            }
            // The library knows densities; a pot of two parts weighs about what water does.
            $grams = array_sum(
                array_map(
                    fn (MaterialAmount $a): float => in_array($a->unit, ['g', 'ml'], true)
                        ? $a->amount * ($a->unit === 'ml' ? PotLife::DENSITY_G_PER_ML : 1.0)
                        : 0.0,
                    $move->amounts,
                ),
            );
            $life = PotLife::minutes($grams);
            if ($life < $move->minutes) {
                $found[$move->coat->uid] ??= CoatPair::on(
                    $plan,
                    $move->section->uid,
                    $move->zone->uid,
                    'pot-too-large',
                    Severity::Care,
                    "One pot of {$move->coat->title()} would set in the cup",
                    [
                        'mass' => new Quantity($grams, 'g', 'parts of the mix by their density', decimals: 0),
                        'pot_life' => new Quantity($life, 'min', 'pot life by mass: 30 min at 200 g, 18 at 500, 10 at 1000', decimals: 0),
                    ],
                    'A large pot heats itself: it gels while you pour, and can smoke.',
                    'Mix several pots, each as the one before is poured.',
                );
            }
        }

        return array_values($found);
    }
}
