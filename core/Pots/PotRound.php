<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\PlacedMove;

/**
 * The pots of a session: what keeps is mixed once for all moves that take it; what sets is shared by those that follow each other
 * within its workable time.
 */
final class PotRound
{
    /**
     * @param  list<PlacedMove>  $moves in their order
     * @return list<Mixture> in the order in which they are first needed
     */
    public static function of(BenchWork $work, Mixtures $mixtures, array $moves): array
    {
        $cups = $last = $began = [];
        foreach ($moves as $placed) {
            foreach ($mixtures->ofMove($work, $placed->move) as $mixture) {
                $at = $last[$mixture->key] ?? null;
                if ($at !== null && (! $mixture->kind->sets() || self::follows($mixture, $placed, $began[$at]))) {
                    $cups[$at] = $cups[$at]->and($mixture);
                } else {
                    $at = count($cups);
                    $cups[$at] = $mixture;
                    $began[$at] = $placed->start;
                    $last[$mixture->key] = $at;
                }
            }
        }

        return array_values($cups);
    }

    /** Whether a move ends while what was mixed for one before it can still be worked. */
    private static function follows(Mixture $mixture, PlacedMove $placed, int $began): bool
    {
        return $mixture->workable !== null && $placed->end - $began <= $mixture->workable - $mixture->kind->mixingMinutes();
    }
}
