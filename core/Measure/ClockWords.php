<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

use DateTimeImmutable;
use DateTimeZone;

/** Moments and spans in words, on the layout's wall clock. Moments are minutes of Unix time. */
final readonly class ClockWords
{
    /** A range that goes further is not said in minutes, or in hours. */
    private const MOST_IN_MINUTES = 600.0;

    private const MOST_IN_HOURS = 7200.0;

    public function __construct(private DateTimeZone $zone, public int $now)
    {
    }

    public function at(int $minute): DateTimeImmutable
    {
        return (new DateTimeImmutable('@'.$minute * 60))->setTimezone($this->zone);
    }

    /** "19:30" */
    public function clock(int $minute): string
    {
        return $this->at($minute)->format('H:i');
    }

    /** "Wed 14 Oct" */
    public function day(int $minute): string
    {
        return $this->at($minute)->format('D j M');
    }

    /** "tonight" for what comes this evening, "today", or "14 Oct" */
    public function shortDay(int $minute): string
    {
        return $this->isToday($minute)
            ? ($minute > $this->now && (int) $this->at($minute)->format('G') >= 17
                ? 'tonight'
                : 'today')
            : $this->at($minute)->format('j M');
    }

    /** "20:40" today, "Thu 07:40", further off "Thu 22 Oct" */
    public function moment(int $minute): string
    {
        return match (true) {
            $this->isToday($minute) => $this->clock($minute),
            abs($minute - $this->now) < 6 * 1440 => $this->at($minute)->format('D H:i'),
            default => $this->day($minute),
        };
    }

    /** "19:30" today, "Thu 19:30" in the days that follow, "Thu 22 Oct 19:30" further off. */
    public function exactly(int $minute): string
    {
        return abs($minute - $this->now) < 6 * 1440 ? $this->moment($minute) : $this->at($minute)->format('D j M H:i');
    }

    public function isToday(int $minute): bool
    {
        return $this->at($minute)->format('Ymd') === $this->at($this->now)->format('Ymd');
    }

    /** "20 min", "2 h 20", "14 h", "3 d" */
    public static function span(float $minutes): string
    {
        return self::in(self::unit($minutes), $minutes);
    }

    /** "2 h 20–6 h 40", "36–62 h": both ends in the unit of what lies between them, which is said once where it ends both. */
    public static function range(float $from, float $to): string
    {
        [$from, $to] = [max(0.0, $from), max(0.0, $to)];
        // Ends that lie apart by factors have their middle where the factors are alike.
        $unit = match (self::unit($from < 1.0 ? $to : sqrt($from * $to))) {
            'min' => $to < self::MOST_IN_MINUTES ? 'min' : 'h',
            'h' => $to < self::MOST_IN_HOURS ? 'h' : 'd',
            default => 'd',
        };
        [$a, $b] = [self::in($unit, $from), self::in($unit, $to)];
        if ($a === $b) {
            return $a;
        }

        return (str_ends_with($a, " {$unit}") && str_ends_with($b, " {$unit}") ? substr($a, 0, -strlen(" {$unit}")) : $a)."–{$b}";
    }

    private static function unit(float $minutes): string
    {
        return match (true) {
            round($minutes) < 90.0 => 'min',
            round($minutes) < 2880.0 => 'h',
            default => 'd',
        };
    }

    private static function in(string $unit, float $minutes): string
    {
        $whole = (int) round($minutes);

        return match (true) {
            $unit === 'min' => "{$whole} min",
            $unit === 'd' => round($whole / 1440, $whole < 10 * 1440 ? 1 : 0).' d',
            $whole < 600 => intdiv($whole, 60).' h'.($whole % 60 >= 10 ? sprintf(' %02d', $whole % 60) : ''),
            default => round($whole / 60).' h',
        };
    }
}
