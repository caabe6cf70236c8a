<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use DateTimeZone;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\School;
use IdleRidge\Core\Cure\Climate;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Schedule\BenchTime;

/** The same layout with one thing changed: a warmer room, moving air, one more session, more hands, another school, a coat fewer. */
final class WhatIf
{
    /**
     * A room that is held at a temperature at least from a moment on; the water in its air stays, so the air gets drier.
     *
     * @throws InvalidValue when there is no such room
     */
    public static function warmer(Project $project, string $uid, float $celsius, int $from): Project
    {
        InvalidValue::unlessBetween($celsius, 5.0, 35.0, 'The temperature', '°C', 'heater');
        $heat = function (Climate $air) use ($celsius): Climate {
            $warm = new Climate(max($air->temperature, $celsius), $air->humidity, $air->airflow);

            return new Climate($warm->temperature, min(100.0, ($air->humidity * $air->saturation()) / $warm->saturation()), $air->airflow);
        };

        return self::withRoom($project, $uid, $from, function (Room $room) use ($project, $heat): Room {
            [$day, $night] = array_map($heat, self::asRead($project, $room));

            return Room::of(
                $room->uid,
                $room->name,
                $day->temperature,
                $night->temperature,
                $day->humidity,
                $night->humidity,
                $room->day->airflow,
                $room->dayFrom,
                $room->dayTo,
                $room->extra,
                $room->volume,
                $room->airChanges,
                $room->logger,
            );
        });
    }

    /** Air that moves otherwise in a room from a moment on. */
    public static function airflow(Project $project, string $uid, float $airflow, int $from): Project
    {
        return self::withRoom(
            $project,
            $uid,
            $from,
            fn (Room $room): Room => Room::of(
                $room->uid,
                $room->name,
                $room->day->temperature,
                $room->night->temperature,
                $room->day->humidity,
                $room->night->humidity,
                $airflow,
                $room->dayFrom,
                $room->dayTo,
                $room->extra,
                $room->volume,
                $room->airChanges,
                $room->logger,
            ),
        );
    }

    public static function session(Project $project, BenchTime $time): Project
    {
        return $project->working($project->works->with(['times' => [...$project->works->times, $time]]));
    }

    /** So many pairs of hands in every session that has fewer. */
    public static function hands(Project $project, int $hands): Project
    {
        return $project->working(
            $project->works->with([
                'times' => array_map(
                    fn (BenchTime $t): BenchTime => ! $t->kind->opens()
                        ? $t
                        : new BenchTime(
                            $t->uid,
                            $t->kind,
                            $t->weekday,
                            $t->date,
                            $t->from,
                            $t->to,
                            max($hands, $t->hands),
                            $t->extra,
                            $t->until,
                            $t->who,
                        ),
                    $project->works->times,
                ),
            ]),
        );
    }

    /**
     * Another school on a zone, in the place of what was not begun there.
     *
     * @param  callable(): string  $uid
     */
    public static function school(Project $project, string $zone, School $school, callable $uid, Library $library): Project
    {
        $begun = self::begun($project);
        $kept = array_values(array_filter($project->works->coats, fn (Coat $c): bool => $c->zone !== $zone || isset($begun[$c->uid])));

        return $project->working($project->works->with(['coats' => [...$kept, ...$school->coats($zone, $uid, $library)]]));
    }

    /**
     * A coat left out, or with one pass fewer.
     *
     * @throws InvalidValue when it was begun and has one pass
     */
    public static function fewer(Project $project, string $coat): Project
    {
        $laid = array_map(fn (CoatApplication $l): int => $l->coat === $coat ? $l->pass : 0, $project->works->laid);
        $coats = [];
        foreach ($project->works->coats as $one) {
            if ($one->uid !== $coat) {
                $coats[] = $one;
            } elseif ($one->passes > 1 && $one->applications() - count($one->recipe->turns()) >= max([0, ...$laid])) {
                $coats[] = $one->but(passes: $one->passes - 1);
            } elseif (max([0, ...$laid]) > 0) {
                throw new InvalidValue("“{$one->title()}” is laid already.", 'fewer');
            }
        }

        return $project->working($project->works->with(['coats' => $coats]));
    }

    /** @return array<string, true> coats that were begun */
    private static function begun(Project $project): array
    {
        return array_fill_keys(array_map(fn (CoatApplication $l): string => $l->coat, $project->works->laid), true);
    }

    /** @return array{Climate, Climate} the air by day and by night, as it is usual where it was read */
    private static function asRead(Project $project, Room $room): array
    {
        $usual = ($project->works->logs[$room->uid] ?? null)?->usual(new DateTimeZone($project->layout->zone)) ?? [];
        $mean = function (bool $day) use ($usual, $room): Climate {
            $hours = array_filter(
                $usual,
                fn (int $hour): bool => (60 * $hour >= $room->dayFrom && 60 * $hour < $room->dayTo) === $day,
                ARRAY_FILTER_USE_KEY,
            );
            $set = $day ? $room->day : $room->night;

            return $hours === []
                ? $set
                : new Climate(
                    array_sum(array_column($hours, 0)) / count($hours),
                    array_sum(array_column($hours, 1)) / count($hours),
                    $set->airflow,
                );
        };

        return [$mean(true), $mean(false)];
    }

    /** @param  callable(Room): Room  $change */
    private static function withRoom(Project $project, string $uid, int $from, callable $change): Project
    {
        $works = $project->works;
        $rooms = $works->rooms === [] ? [Room::standard($uid)] : $works->rooms;
        if (! in_array($uid, array_map(fn (Room $r): string => $r->uid, $rooms), true)) {
            throw new InvalidValue('There is no such room.', 'room');
        }

        return $project->working(
            $works->with(['rooms' => array_map(fn (Room $r): Room => $r->uid === $uid ? $change($r)->after($r, $from) : $r, $rooms)]),
        );
    }
}
