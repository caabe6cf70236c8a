<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

/**
 * Moves that are done in one go, one pot and one set-up for several zones of a board: the same recipe as thick, none waiting
 * for another, all free in the same session, short enough together.
 */
final class MoveBatches
{
    /**
     * @param  list<string>  $without moves that stay alone
     * @return array<string, list<string>> the first move of a group → all its moves, in order; single ones stand alone
     */
    public static function of(BenchWork $work, array $without = []): array
    {
        $longest = max([0, ...array_map(fn (array $s): int => $s[1] - $s[0], $work->sessions)]);
        $free = self::free($work);
        $above = self::above($work);
        $without = [...$without, ...self::inWindows($work), ...array_map('strval', array_keys($work->short() + $work->mending->heldBack))];
        $groups = [];
        $open = [];
        foreach ($work->moves as $id => $move) {
            $key = self::key($move);
            $stays = $key === null || in_array($id, $without, true);
            foreach ($stays ? [] : $open[$key] ?? [] as $first) {
                if (self::fits($work, $groups[$first], $move, $longest, $free, $above)) {
                    $groups[$first][] = (string) $id;

                    continue 2;
                }
            }
            $groups[$id] = [(string) $id];
            if (! $stays) {
                $open[$key][] = (string) $id;
            }
        }

        return self::withoutCircles($work, $groups);
    }

    /**
     * Minutes of each move of a group: only the first sets up.
     *
     * @param  list<string>  $group
     * @return array<string, int>
     */
    public static function minutes(BenchWork $work, array $group): array
    {
        $out = [];
        foreach ($group as $k => $id) {
            $move = $work->moves[$id];
            $out[$id] = $k === 0 ? $move->minutes : max(1, $move->minutes - (int) floor($move->recipe->labour->setUp));
        }

        return $out;
    }

    /** @return list<string> both ends of every window: a group's start and end are not those of each of its moves */
    private static function inWindows(BenchWork $work): array
    {
        $out = [];
        foreach ($work->bases as $id => $bases) {
            foreach (array_filter($bases, fn (Underlayer $b): bool => $b->window !== null) as $base) {
                array_push($out, (string) $id, ...$base->under instanceof Move ? [$base->under->id] : []);
            }
        }

        return $out;
    }

    /**
     * What moves have in common that can be joined; null for one that stays alone, as one that keeps a tool: its clamps are not there for
     * the next.
     */
    private static function key(Move $move): ?string
    {
        $recipe = $move->recipe;

        return $move->strips > 1 ||
            $recipe->window !== null ||
            $recipe->holds !== [] ||
            $move->coat->minutes !== null ||
            $recipe->labour->setUp < 1.0
            ? null
            : implode('/', [$move->section->uid, $recipe->id, $move->coat->mm, $move->pass]);
    }

    /**
     * @param  list<string>  $group
     * @param  array<string, float>  $free
     * @param  array<string, array<string, true>>  $above
     */
    private static function fits(BenchWork $work, array $group, Move $move, int $longest, array $free, array $above): bool
    {
        $minutes = array_sum(self::minutes($work, [...$group, $move->id]));
        $area = array_sum(array_map(fn (string $id): float => $work->moves[$id]->area, [...$group, $move->id]));
        $open = $move->coat->openMinutesOf($area, $move->pass) ?? 0.0;
        if ($minutes > $longest || ($open > 0.0 && $open > $work->workable($move->section, $move->coat, $move->pass))) {
            return false;
        }
        foreach ($group as $id) {
            if (
                isset($above[$id][$move->id]) ||
                isset($above[$move->id][$id]) ||
                self::sessionFrom($work, $free[$id]) !== self::sessionFrom($work, $free[$move->id])
            ) {
                return false;
            }
        }

        return true;
    }

    /** The first session that is not over at a moment. */
    private static function sessionFrom(BenchWork $work, float $moment): ?int
    {
        foreach ($work->sessions as $k => $session) {
            if ($session[1] > $moment) {
                return $k;
            }
        }

        return null;
    }

    /** @return array<string, float> when each move is free at the earliest, sessions left aside */
    public static function free(BenchWork $work): array
    {
        $free = [];
        foreach (array_keys($work->moves) as $id) {
            self::freeAt($work, (string) $id, $free);
        }

        return $free;
    }

    /** @param  array<string, float>  $free those that are known, its own and those under it put among them */
    private static function freeAt(BenchWork $work, string $id, array &$free): float
    {
        if (isset($free[$id])) {
            return $free[$id];
        }
        $free[$id] = $at = (float) $work->now;
        foreach ($work->bases[$id] as $base) {
            if ($base->under instanceof Move) {
                $cure = $base->cure();
                $wait = $work
                    ->drying($base->under->section)
                    ->least($cure['figures'], $base->milestone, $cure['mm'], $work->certainty());
                $at = max($at, self::freeAt($work, $base->under->id, $free) + $base->under->minutes + $wait);
            } else {
                $at = max($at, $work->reached($base->under, $base->milestone, $work->certainty()));
            }
        }

        return $free[$id] = $at;
    }

    /** @return array<string, array<string, true>> move → all that it waits for, near and far */
    private static function above(BenchWork $work): array
    {
        $known = [];
        foreach (array_keys($work->moves) as $id) {
            self::allAbove($work, (string) $id, $known);
        }

        return $known;
    }

    /**
     * @param  array<string, array<string, true>>  $known
     * @return array<string, true>
     */
    private static function allAbove(BenchWork $work, string $id, array &$known): array
    {
        if (isset($known[$id])) {
            return $known[$id];
        }
        $known[$id] = [];
        $all = [];
        foreach ($work->bases[$id] as $base) {
            if ($base->under instanceof Move) {
                $all += [$base->under->id => true] + self::allAbove($work, $base->under->id, $known);
            }
        }

        return $known[$id] = $all;
    }

    /**
     * Two groups that each wait for a part of the other would never begin: such are taken apart again.
     *
     * @param  array<string, list<string>>  $groups
     * @return array<string, list<string>>
     */
    private static function withoutCircles(BenchWork $work, array $groups): array
    {
        $of = [];
        foreach ($groups as $first => $members) {
            $of += array_fill_keys($members, (string) $first);
        }
        $waits = [];
        foreach ($work->bases as $id => $bases) {
            foreach ($bases as $base) {
                if ($base->under instanceof Move && $of[$base->under->id] !== $of[$id]) {
                    $waits[$of[$id]][$of[$base->under->id]] = true;
                }
            }
        }
        do {
            $before = count($waits);
            $waits = array_filter(array_map(fn (array $on): array => array_intersect_key($on, $waits), $waits));
        } while (count($waits) < $before);
        $out = [];
        foreach ($groups as $first => $members) {
            foreach (isset($waits[$first]) ? array_chunk($members, 1) : [$members] as $part) {
                $out[$part[0]] = $part;
            }
        }

        return $out;
    }
}
