<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Coats\CoatApplication;

/** Bench times that come of what was begun: its window is waited for, whatever sessions are set. */
final class ExtendedSessions
{
    /**
     * Whoever laid something that has to be followed within a while stays for it: where no session has room in what is left of that while,
     * the bench is lit as long as the follower takes.
     *
     * @param  list<array{int, int, int}>  $sessions
     * @return list<array{int, int, int}>
     */
    public static function among(BenchWork $work, array $sessions): array
    {
        foreach ($work->bases as $id => $bases) {
            foreach ($bases as $base) {
                if ($base->window === null || $base->window->again !== null || ! $base->under instanceof CoatApplication) {
                    continue;
                }
                $gap = $work->windowOf($base, $base->under->section);
                $end = $work->endOf($base->under);
                $minutes = $work->moves[$id]->minutes;
                [$from, $latest] = [max($work->now, $end, $gap->earliest($end)), $gap->latest($base->under->startedAt, $end)];
                $fits = array_filter($sessions, fn (array $s): bool => max($s[0], $from) <= min($latest, $s[1] - $minutes));
                if ($from <= $latest && $fits === []) {
                    $sessions = self::staying($sessions, $from, $from + $minutes);
                }
            }
        }

        return $sessions;
    }

    /**
     * @param  list<array{int, int, int}>  $sessions
     * @return list<array{int, int, int}> with one more, or one that goes on longer
     */
    private static function staying(array $sessions, int $from, int $to): array
    {
        $out = [];
        $stays = false;
        foreach ($sessions as [$begin, $end, $hands]) {
            if ($begin <= $from && $end > $from) {
                [$out[], $stays] = [[$begin, max($end, $to), $hands], true];
            } elseif ($end > $to || $end <= $from) {
                $out[] = [$begin > $from ? max($begin, $to) : $begin, $end, $hands];
            }
        }
        if (! $stays) {
            $out[] = [$from, $to, 1];
        }
        usort($out, fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return $out;
    }
}
