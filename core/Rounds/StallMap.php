<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rounds;

use IdleRidge\Core\Journal\Mishap;
use IdleRidge\Core\Journal\Stall;

/** Where along the runs something goes wrong again and again. */
final class StallMap
{
    /** On so many passes within so many mm it is the place, and not chance. */
    public const PASSES = 3;

    public const WITHIN_MM = 40.0;

    /**
     * Places of a run where something went wrong on several passes, from its beginning on; none lies in another.
     *
     * @param  list<Stall>  $stalls of any runs
     * @return list<array{run: string, from: float, to: float, passes: int, stalls: list<Stall>, told: string}>
     */
    public static function repeats(array $stalls): array
    {
        $byRun = [];
        foreach ($stalls as $one) {
            $byRun[$one->run][] = $one;
        }
        $out = [];
        foreach ($byRun as $run => $here) {
            usort($here, fn (Stall $a, Stall $b): int => [$a->station, $a->uid] <=> [$b->station, $b->uid]);
            while (($place = self::worst($here)) !== null) {
                $out[] = ['run' => (string) $run] + $place + ['told' => self::told($place['stalls'])];
                $here = array_values(array_filter(
                    $here,
                    fn (Stall $s): bool => $s->station < $place['from'] || $s->station > $place['to'],
                ));
            }
        }
        usort($out, fn (array $a, array $b): int => [$a['run'], $a['from']] <=> [$b['run'], $b['from']]);

        return $out;
    }

    /**
     * @param  list<Stall>  $here of one run by station
     * @return array{from: float, to: float, passes: int, stalls: list<Stall>}|null where most passes met it
     */
    private static function worst(array $here): ?array
    {
        $best = null;
        foreach ($here as $k => $first) {
            $within = array_values(array_filter(
                array_slice($here, $k),
                fn (Stall $s): bool => $s->station - $first->station <= self::WITHIN_MM,
            ));
            $passes = count(array_unique(array_map(fn (Stall $s): int => $s->pass, $within)));
            if ($passes >= self::PASSES && $passes > ($best['passes'] ?? 0)) {
                $best = [
                    'from' => $first->station,
                    'to' => $within[count($within) - 1]->station,
                    'passes' => $passes,
                    'stalls' => $within,
                ];
            }
        }

        return $best;
    }

    /**
     * What it points to: dirt goes with cleaning, one vehicle’s fault stays with that vehicle.
     *
     * @param  list<Stall>  $stalls
     */
    private static function told(array $stalls): string
    {
        $vehicles = array_unique(array_map(fn (Stall $s): string => $s->vehicle, $stalls));
        $cleaned = array_filter($stalls, fn (Stall $s): bool => $s->cleaned);
        $stalled = array_filter($stalls, fn (Stall $s): bool => $s->what === Mishap::Stalled);
        $who = count($vehicles) === 1 && reset($vehicles) !== '' ? 'only the '.reset($vehicles) : 'several vehicles';

        return match (true) {
            $stalled === [] => "{$who}: gauge, a lip or something that stands too near",
            $cleaned === [] => "{$who}, on uncleaned rails: clean them and drive again",
            count($cleaned) < count($stalled) => "{$who}, cleaned or not: a dip, a dead frog or a loose feed",
            default => "{$who}, on cleaned rails: not dirt; a dip, a dead frog or a loose feed",
        };
    }
}
