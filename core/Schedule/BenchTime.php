<?php

declare(strict_types=1);

namespace IdleRidge\Core\Schedule;

use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Measure\Refusal;

/**
 * When there are hands at the bench, local wall time: every week on a day, once on a date, or a date without. `from` and
 * `to` are minutes of the day.
 */
final readonly class BenchTime
{
    public const DAYS = [1 => 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

    /** @param  array<string, mixed>  $extra */
    private function __construct(
        public string $uid,
        public string $kind,
        public ?int $weekday,
        public ?string $date,
        public int $from,
        public int $to,
        public int $hands,
        public array $extra,
    ) {
    }

    /**
     * @param array<string, mixed> $extra
     *
     * @throws Refusal naming the field
     */
    public static function of(string $uid, string $kind, ?int $weekday, ?string $date, int $from, int $to, int $hands = 1, array $extra = []): self
    {
        if (! in_array($kind, ['weekly', 'single', 'closed'], true)) {
            throw new Refusal('A session is weekly, single or closed.', 'kind');
        }
        if ($kind === 'weekly' && ! isset(self::DAYS[$weekday ?? 0])) {
            throw new Refusal('Choose a day of the week.', 'weekday');
        }
        if ($kind !== 'weekly') {
            $read = DateTimeImmutable::createFromFormat('!Y-m-d', (string) $date);
            if ($read === false || $read->format('Y-m-d') !== $date) {
                throw new Refusal("“{$date}” is not a date; type it as 2026-10-14.", 'date');
            }
        }
        if ($kind !== 'closed') {
            Refusal::unlessBetween($from, 0, 1439, 'The beginning', 'min', 'from');
            if ($to <= $from || $to > 1440) {
                throw new Refusal('The session ends before it begins; one over midnight is two sessions.', 'to');
            }
        }
        Refusal::unlessBetween($hands, 1, 20, 'The hands', '', 'hands');

        return new self($uid, $kind, $kind === 'weekly' ? $weekday : null, $kind === 'weekly' ? null : $date, $kind === 'closed' ? 0 : $from, $kind === 'closed' ? 0 : $to, $hands, $extra);
    }

    /** "19:30", "7.30" or "19" as minutes of the day. */
    public static function minute(string $text, string $place): int
    {
        if (preg_match('/^(\d{1,2})(?:[:.h](\d{2}))?$/', trim($text), $m) !== 1 || (int) $m[1] > 24 || (int) ($m[2] ?? 0) > 59) {
            throw new Refusal($text === '' ? 'A time of day is missing.' : "“{$text}” is not a time of day; type it as 19:30.", $place);
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
     * @param list<self> $times
     * @return list<array{int, int, int}> from, to, hands
     */
    public static function sessions(array $times, DateTimeZone $zone, int $from, int $days): array
    {
        $closed = [];
        foreach ($times as $time) {
            if ($time->kind === 'closed') {
                $closed[$time->date] = true;
            }
        }
        $out = [];
        $day = (new DateTimeImmutable('@'.$from * 60))->setTimezone($zone)->setTime(0, 0);
        for ($k = 0; $k < $days; $k++) {
            $date = $day->format('Y-m-d');
            foreach ($times as $time) {
                $here = $time->kind === 'weekly' ? (int) $day->format('N') === $time->weekday : $time->kind === 'single' && $time->date === $date;
                if ($here && ! isset($closed[$date])) {
                    $out[] = [self::moment($day, $time->from), self::moment($day, $time->to), $time->hands];
                }
            }
            $day = $day->modify('+1 day');
        }
        sort($out);
        $joined = [];
        foreach ($out as [$begin, $end, $hands]) {
            $last = count($joined) - 1;
            if ($last >= 0 && $begin <= $joined[$last][1]) {
                $joined[$last] = [$joined[$last][0], max($end, $joined[$last][1]), max($hands, $joined[$last][2])];
            } elseif ($end > $begin) {
                $joined[] = [$begin, $end, $hands];
            }
        }

        return array_values(array_filter($joined, fn (array $s): bool => $s[1] > $from));
    }

    /** A wall time as a moment; an hour that the clocks repeat counts the second time. */
    private static function moment(DateTimeImmutable $day, int $minute): int
    {
        $at = $day->setTime(intdiv($minute, 60), $minute % 60);
        $again = $at->setTimestamp($at->getTimestamp() + 3600);

        return intdiv(($again->format('Hi') === $at->format('Hi') ? $again : $at)->getTimestamp(), 60);
    }
}
