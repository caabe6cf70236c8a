<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Measure\Day;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * When there are hands at the bench, local wall time: every week on a day, once on a date, or on every day of a visit; dates
 * without, and hours that are taken by other things. `from` and `to` are minutes of the day.
 */
final readonly class BenchTime
{
    public const DAYS = [1 => 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

    private const MAX_VISIT_DAYS = 60;

    public ?int $weekday;

    public ?string $date;

    public int $from;

    public int $to;

    public ?string $until;

    public string $who;

    /**
     * @param  array<string, mixed>  $extra
     * @param  string|null  $until last date of a visit or of closed days
     * @param  string  $who is there, or what takes the hours
     *
     * @throws InvalidValue naming the field
     */
    public function __construct(
        public string $uid,
        public BenchTimeKind $kind,
        ?int $weekday,
        ?string $date,
        int $from,
        int $to,
        public int $hands = 1,
        public array $extra = [],
        ?string $until = null,
        string $who = '',
    ) {
        if ($kind === BenchTimeKind::Weekly && ! isset(self::DAYS[$weekday ?? 0])) {
            throw new InvalidValue('Choose a day of the week.', 'weekday');
        }
        if ($kind !== BenchTimeKind::Weekly) {
            $first = Day::of((string) $date, 'date');
            $days = $until === null ? 0 : (int) $first->diff(Day::of($until, 'until'))->format('%r%a');
            if ($days < 0 || $days > self::MAX_VISIT_DAYS) {
                throw new InvalidValue($days < 0 ? 'It ends before it begins.' : 'At most '.self::MAX_VISIT_DAYS.' days.', 'until');
            }
        }
        if ($kind !== BenchTimeKind::Closed) {
            InvalidValue::unlessBetween($from, 0, 1439, 'The beginning', 'min', 'from');
            if ($to <= $from || $to > 1440) {
                throw new InvalidValue('The session ends before it begins; one over midnight is two sessions.', 'to');
            }
        }
        InvalidValue::unlessBetween($hands, 1, 20, 'The hands', '', 'hands');
        if (mb_strlen($who) > 80) {
            throw new InvalidValue('At most 80 characters.', 'who');
        }
        $through = $kind->lasts() && $until !== $date ? $until : null;
        $this->weekday = $kind === BenchTimeKind::Weekly ? $weekday : null;
        $this->date = $kind === BenchTimeKind::Weekly ? null : $date;
        $this->from = $kind === BenchTimeKind::Closed ? 0 : $from;
        $this->to = $kind === BenchTimeKind::Closed ? 0 : $to;
        $this->until = $through;
        $this->who = trim($who);
    }

    /** Whether it is about a day. */
    public function isOn(DateTimeImmutable $day): bool
    {
        $date = $day->format('Y-m-d');

        return $this->kind === BenchTimeKind::Weekly
            ? (int) $day->format('N') === $this->weekday
            : $date >= $this->date && $date <= ($this->until ?? $this->date);
    }

    /** "19:30", "7.30" or "19" as minutes of the day. */
    public static function minute(string $text, string $place): int
    {
        if (preg_match('/^(\d{1,2})(?:[:.h](\d{2}))?$/', trim($text), $m) !== 1 || (int) $m[1] > 24 || (int) ($m[2] ?? 0) > 59) {
            throw new InvalidValue(
                $text === '' ? 'A time of day is missing.' : "“{$text}” is not a time of day; type it as 19:30.",
                $place,
            );
        }

        return 60 * (int) $m[1] + (int) ($m[2] ?? 0);
    }

    /** @return string "19:30" */
    public static function clock(int $minute): string
    {
        return sprintf('%02d:%02d', intdiv($minute, 60), $minute % 60);
    }

    /**
     * Sessions that end after a moment, in order, those that overlap or touch as one; minutes of Unix time.
     *
     * @param  list<self>  $times
     * @return list<array{int, int, int}> from, to, the most hands
     */
    public static function sessions(array $times, DateTimeZone $zone, int $from, int $days): array
    {
        $out = [];
        foreach (self::pieces($times, $zone, $from, $days) as [$begin, $end, $hands]) {
            $last = count($out) - 1;
            if ($last >= 0 && $begin <= $out[$last][1]) {
                $out[$last] = [$out[$last][0], $end, max($hands, $out[$last][2])];
            } else {
                $out[] = [$begin, $end, $hands];
            }
        }

        return array_values(array_filter($out, fn (array $s): bool => $s[1] > $from));
    }

    /**
     * From when on how many hands there are, within a session.
     *
     * @param  list<self>  $times
     * @param  array{int, int, int}  $session
     * @return list<array{int, int}>
     */
    public static function hands(array $times, DateTimeZone $zone, array $session): array
    {
        $steps = [];
        foreach (self::pieces($times, $zone, $session[0], intdiv($session[1] - $session[0], 1440) + 2) as [$begin, $end, $hands]) {
            if ($begin < $session[1] && $end > $session[0] && ($steps === [] || $steps[count($steps) - 1][1] !== $hands)) {
                $steps[] = [max($begin, $session[0]), $hands];
            }
        }

        return $steps === [] ? [[$session[0], $session[2]]] : $steps;
    }

    /**
     * Bench times at whose beginning or end the clocks change, and what becomes of them.
     *
     * @param  list<self>  $times
     * @return list<string>
     */
    public static function clockChanges(array $times, DateTimeZone $zone, int $from, int $days): array
    {
        $said = [];
        foreach ($zone->getTransitions($from * 60, ($from + 1440 * $days) * 60) ?: [] as $k => $change) {
            $day = (new DateTimeImmutable('@'.$change['ts']))->setTimezone($zone)->setTime(0, 0);
            foreach ($k === 0 ? [] : $times as $time) {
                foreach ($time->isOn($day) && $time->kind !== BenchTimeKind::Closed ? [$time->from, $time->to] : [] as $minute) {
                    $at = $day->setTime(intdiv($minute, 60), $minute % 60);
                    $words = $day->format('D j M').', '.self::clock($minute);
                    if ($at->format('H:i') !== self::clock($minute % 1440)) {
                        $said[] = "{$words}: the clocks skip that hour; ".$at->format('H:i').' is taken.';
                    } elseif ($at->setTimestamp($at->getTimestamp() + 3600)->format('H:i') === $at->format('H:i')) {
                        $said[] = "{$words}: the clocks have that hour twice; the second is taken.";
                    }
                }
            }
        }

        return array_values(array_unique($said));
    }

    /**
     * Stretches with the same hands all along, in order; where several overlap the most hands count, and what is closed or
     * busy is taken out.
     *
     * @param  list<self>  $times
     * @return list<array{int, int, int}>
     */
    private static function pieces(array $times, DateTimeZone $zone, int $from, int $days): array
    {
        $open = $busy = [];
        $day = (new DateTimeImmutable('@'.$from * 60))->setTimezone($zone)->setTime(0, 0);
        for ($k = 0; $k < $days; $k++) {
            $here = array_values(array_filter($times, fn (self $time): bool => $time->isOn($day)));
            $closed = array_filter($here, fn (self $time): bool => $time->kind === BenchTimeKind::Closed) !== [];
            foreach ($closed ? [] : $here as $time) {
                $stretch = [self::moment($day, $time->from), self::moment($day, $time->to), $time->hands];
                if ($time->kind === BenchTimeKind::Busy) {
                    $busy[] = $stretch;
                } elseif ($stretch[1] > $stretch[0]) {
                    $open[] = $stretch;
                }
            }
            $day = $day->modify('+1 day');
        }
        $edges = array_merge(...array_map(fn (array $s): array => [$s[0], $s[1]], [...$open, ...$busy]), ...[[]]);
        $edges = array_values(array_unique($edges));
        sort($edges);
        sort($open);
        $out = [];
        $first = 0;
        for ($k = 0; $k < count($edges) - 1; $k++) {
            [$begin, $end] = [$edges[$k], $edges[$k + 1]];
            while ($first < count($open) && $open[$first][1] <= $begin && $open[$first][0] < $begin) {
                $first++;
            }
            $hands = 0;
            for ($s = $first; $s < count($open) && $open[$s][0] <= $begin; $s++) {
                $hands = $open[$s][1] >= $end ? max($hands, $open[$s][2]) : $hands;
            }
            foreach ($busy as [$from2, $to2]) {
                $hands = $from2 <= $begin && $to2 >= $end ? 0 : $hands;
            }
            if ($hands > 0) {
                $out[] = [$begin, $end, $hands];
            }
        }

        return $out;
    }

    /** A wall time as a moment; an hour that the clocks repeat counts the second time. */
    private static function moment(DateTimeImmutable $day, int $minute): int
    {
        $at = $day->setTime(intdiv($minute, 60), $minute % 60);
        $again = $at->setTimestamp($at->getTimestamp() + 3600);

        return intdiv(($again->format('Hi') === $at->format('Hi') ? $again : $at)->getTimestamp(), 60);
    }
}
