<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;

/** A layer of water that is deeper than what it is poured of allows, the more so a large one, which heats itself. */
final class PourTooDeep implements WorkRule
{
    /** Over by less than this is rounding, mm. */
    private const ROUNDING_MM = 0.01;

    public function ids(): array
    {
        return ['pour-too-deep'];
    }

    public function check(BenchPlan $plan): array
    {
        $found = [];
        foreach ($plan->work->moves as $move) {
            $limits = $move->recipe->pour;
            if ($limits === null || ! $move->recipe->is(RecipeTrait::Pour)) {
                continue;
            }
            $ml = array_sum(array_map(fn (MaterialAmount $a): float => $a->unit === 'ml' ? $a->amount : 0.0, $move->amounts));
            if ($move->coat->mm <= $limits->deepest($ml) + self::ROUNDING_MM) {
                continue;
            }
            $found[$move->coat->uid] ??= CoatPair::on(
                $plan,
                $move->section->uid,
                $move->zone->uid,
                'pour-too-deep',
                Severity::Stop,
                "{$move->coat->title()} is too deep for one layer",
                [
                    'poured' => new Quantity(
                        $limits->poured($move->coat->mm),
                        'mm',
                        'depth of the layer with what it loses as it dries',
                        ['may be' => Format::length($limits->poured($limits->deepest($ml)), 1), 'takes' => Format::text($ml, 'ml')],
                        decimals: 1,
                    ),
                ],
                $limits->isLarge($ml)
                    ? 'So much at once heats itself: it cracks, smokes, and may not be touched.'
                    : 'Thicker than that it heats and cracks, or never clears.',
                'Pour it in more layers, each as deep as it allows.',
            );
        }

        return array_values($found);
    }
}
