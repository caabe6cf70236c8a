<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\PotLife;
use IdleRidge\Core\Cure\Mechanism;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Pots\Mixture;
use IdleRidge\Core\Pots\Mixtures;
use IdleRidge\Core\Pots\Portion;
use IdleRidge\Core\Pots\PotKind;
use IdleRidge\Core\Pots\PotPlan;

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
            $pot = self::cup($plan->work, $move);
            if (PotPlan::of($pot)->count > 1) {
                $grams = (float) $pot->grams();
                $life = PotLife::minutes($grams) * $pot->pace;
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

    /** All of a move in one cup. The library knows densities; a mix of two parts weighs a little more than water. */
    private static function cup(BenchWork $work, Move $move): Mixture
    {
        $portions = [];
        foreach ($move->amounts as $one) {
            if (in_array($one->unit, ['g', 'ml'], true)) {
                $portions[] = new Portion($one->material, $one->amount, $one->unit, $one->amount, PotLife::DENSITY_G_PER_ML);
            }
        }
        $cups = (new Mixtures([]))->ofMove($work, $move);

        return $cups === [] || $portions === []
            ? new Mixture('', '', '', PotKind::Keeps, [new Portion('', 0.0, 'ml', 0.0, 1.0)])
            : $cups[0]->but(kind: PotKind::TwoPart, portions: $portions);
    }
}
