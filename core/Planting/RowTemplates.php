<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Measure\Format;

/** What a row is set out by, at full size: a stick with every station on it, a jig with a slot for each thing, and a profile of a post. */
final class RowTemplates
{
    /** A stick and a jig as one holds them, mm. */
    private const STICK_MM = 15.0;

    private const JIG_MM = 22.0;

    private const JIG_SLOTS = 12;

    private const JIG_LONGEST_MM = 260.0;

    private const SLOT_DEEP_MM = 8.0;

    /** A thing slides into a slot with so much play. */
    private const PLAY_MM = 0.3;

    /** Words under marks nearer than this would run into each other, mm. */
    private const WORDS_APART_MM = 12.0;

    private const WORDS_OVER_MM = 3.0;

    /** Wires are drawn so far to either side of their post, mm. */
    private const WIRE_MM = 6.0;

    /** @return list<Template> a stick for each board the row stands on, its jig, and its post with the wires */
    public static function of(RowLayout $set): array
    {
        $out = [];
        foreach ($set->parts as $k => $part) {
            $stick = self::stick($set, $part, $k + 1);
            if ($stick !== null) {
                $out[] = $stick;
            }
        }

        return [...$out, ...array_filter([self::jig($set), self::profile($set)])];
    }

    /** Every thing of one board at its place along the row, gates as gaps; null where nothing stands. */
    private static function stick(RowLayout $set, RowPart $part, int $number): ?Template
    {
        $things = array_values(array_filter(
            $set->on($part->section),
            fn (RowThing $t): bool => $t->station >= $part->from - 1e-6 && $t->station <= $part->to + 1e-6,
        ));
        if ($things === []) {
            return null;
        }
        $long = $part->length();
        $lines = $words = [];
        $last = -INF;
        foreach ($things as $thing) {
            $at = $thing->station - $part->from;
            $tall = $thing->role === RowRole::Plain ? 0.55 : 1.0;
            $lines[] = [[$at, 0.0], [$at, $tall * self::STICK_MM]];
            if ($at - $last >= self::WORDS_APART_MM) {
                $words[] = [$at + 0.6, $tall * self::STICK_MM - 3.4, Format::cell($at, 1)];
                $last = $at;
            }
        }
        foreach ($set->gaps as [$from, $to]) {
            [$from, $to] = [max(0.0, $from - $part->from), min($long, $to - $part->from)];
            if ($to > $from) {
                $lines[] = [[$from, 0.5 * self::STICK_MM], [$to, 0.5 * self::STICK_MM]];
            }
        }

        return new Template(
            'stick-'.$number,
            sprintf(
                '%s, stick %d: %d %s over %s',
                $set->row->called(), $number, count($things), $set->row->kind->word(count($things)), Format::length($long, 1),
            ),
            [[[0.0, 0.0], [$long, 0.0], [$long, self::STICK_MM], [0.0, self::STICK_MM]]],
            lines: $lines,
            words: $words,
        );
    }

    /** Slots at the pitch that most things stand at; null where pieces lie end to end. */
    private static function jig(RowLayout $set): ?Template
    {
        $spans = $set->spans();
        if ($spans === [] || $set->row->kind->isUnbroken()) {
            return null;
        }
        sort($spans);
        $pitch = $spans[intdiv(count($spans), 2)];
        $slot = $set->wide + self::PLAY_MM;
        $count = min(self::JIG_SLOTS, count($spans) + 1, max(2, (int) floor(self::JIG_LONGEST_MM / $pitch) + 1));
        if ($slot >= 0.8 * $pitch) {
            return null;
        }
        $end = max(6.0, $slot);
        $outline = [[0.0, self::JIG_MM], [0.0, 0.0]];
        for ($k = 0; $k < $count; $k++) {
            $at = $end + $k * $pitch;
            array_push(
                $outline,
                [$at - $slot / 2.0, 0.0],
                [$at - $slot / 2.0, self::SLOT_DEEP_MM],
                [$at + $slot / 2.0, self::SLOT_DEEP_MM],
                [$at + $slot / 2.0, 0.0],
            );
        }
        $long = 2.0 * $end + ($count - 1) * $pitch;
        array_push($outline, [$long, 0.0], [$long, self::JIG_MM]);

        return new Template(
            'jig',
            sprintf('%s, jig: %d slots, %s apart', $set->row->called(), $count, Format::length($pitch, 2)),
            [array_reverse($outline)],
            words: [[$end, self::JIG_MM - 5.0, Format::length($pitch, 2).', slots '.Format::length($slot, 1).' wide']],
        );
    }

    /** A post with its wires at their heights; null where none are strung. */
    private static function profile(RowLayout $set): ?Template
    {
        $wires = $set->row->figures->wires;
        if ($wires === []) {
            return null;
        }
        $half = $set->wide / 2.0;
        $lines = $words = [];
        $last = -INF;
        foreach (array_values(array_unique($wires)) as $wire) {
            $y = ($wire / $set->row->figures->height) * $set->height;
            $lines[] = [[-$half - self::WIRE_MM, $y], [$half + self::WIRE_MM, $y]];
            if ($y - $last >= self::WORDS_OVER_MM) {
                $words[] = [$half + self::WIRE_MM + 1.0, $y - 0.8, Format::cell($y, 1)];
                $last = $y;
            }
        }

        return new Template(
            'profile',
            sprintf('%s, a %s: %s high', $set->row->called(), $set->row->kind->word(), Format::length($set->height, 1)),
            [[[-$half, 0.0], [$half, 0.0], [$half, $set->height], [-$half, $set->height]]],
            lines: $lines,
            words: $words,
        );
    }
}
