<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Cuts;

use IdleRidge\Core\Cuts\GlueJoint;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Project\CutStudy;

/** Joints between closed cells in which water-borne glue would not dry in two weeks. */
final class GlueConfined implements CutRule
{
    /** Days. */
    public const MAX_DRYING_DAYS = 14.0;

    public function ids(): array
    {
        return ['glue-confined-between-foam'];
    }

    public function check(CutStudy $study): array
    {
        $shut = array_values(
            array_filter($study->gluing->joints ?? [], fn (GlueJoint $j): bool => $j->on !== 'board' && $j->days > self::MAX_DRYING_DAYS),
        );
        if ($shut === []) {
            return [];
        }
        $worst = max(array_map(fn (GlueJoint $j): float => $j->days, $shut));
        $names =
            implode(', ', array_map(fn (GlueJoint $j): string => "{$j->piece} on {$j->on}", array_slice($shut, 0, 6))).
            (count($shut) > 6 ? ' and '.(count($shut) - 6).' more' : '');

        return [
            new Finding(
                'glue-confined-between-foam',
                Severity::Stop,
                'Water-borne glue would never dry between these',
                $study->section->uid,
                Place::at($study->section->width / 2.0, $study->section->depth / 2.0),
                [
                    'longest' => new Quantity(
                        $worst,
                        'days',
                        'min(3 d · (half-width / 25)², 6 d · thinner sheet / 25) in the reference air',
                        ['joints' => (string) count($shut)],
                        decimals: 0,
                    ),
                ],
                "{$names}: the moisture has nowhere to go, and the layers creep apart months later.",
                'Contact glue, as the glue-up says, or smaller pieces.',
            ),
        ];
    }
}
