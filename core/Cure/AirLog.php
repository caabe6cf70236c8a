<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cure;

use DateTimeImmutable;
use DateTimeZone;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Sorted;

/** What a thermometer and hygrometer in a room have shown: °C and % at moments (minutes of Unix time), in order. */
final readonly class AirLog
{
    /** Between two readings further apart than this nothing is known, minutes. */
    public const MAX_READING_AGE_MINUTES = 180;

    /** Of how many last days the usual air of an hour is the mean. */
    private const USUAL_AIR_DAYS = 14;

    /** @var list<int> */
    private array $moments;

    /** @param  list<array{int, float, float}>  $readings */
    private function __construct(public array $readings)
    {
        $this->moments = array_column($readings, 0);
    }

    /**
     * @param  list<array{int, float, float}>  $readings moment, °C, %
     *
     * @throws InvalidValue naming the reading: out of order, doubled, impossible
     */
    public static function of(array $readings): self
    {
        $last = null;
        foreach ($readings as $k => [$at, $temperature, $humidity]) {
            try {
                new Climate($temperature, $humidity);
            } catch (InvalidValue $refusal) {
                throw new InvalidValue($refusal->getMessage(), "readings/{$k}");
            }
            if ($last !== null && $at <= $last) {
                throw new InvalidValue(
                    $at === $last ? 'Two readings of one moment.' : 'A reading stands after a later one: they have to be in order.',
                    "readings/{$k}",
                );
            }
            $last = $at;
        }

        return new self($readings);
    }

    /**
     * What of some readings can be true: impossible ones, doubled ones and those out of order are left out.
     *
     * @param  list<array{int, float, float}>  $readings
     */
    public static function sound(array $readings): self
    {
        $all = [];
        foreach ($readings as $reading) {
            if (Climate::isPossible($reading[1], $reading[2])) {
                $all[$reading[0]] = $reading;
            }
        }
        ksort($all);

        return new self(array_values($all));
    }

    /** Only those from one moment to another, both included. */
    public function between(int $from, int $to): self
    {
        return new self(array_values(array_filter($this->readings, fn (array $r): bool => $r[0] >= $from && $r[0] <= $to)));
    }

    /** These and later ones, or earlier ones that come in now; where both have a moment the new one stands. */
    public function with(self $more): self
    {
        $all = array_column($this->readings, null, 0);
        foreach ($more->readings as $reading) {
            $all[$reading[0]] = $reading;
        }
        ksort($all);

        return new self(array_values($all));
    }

    /** Only the readings from a moment on. */
    public function since(int $minute): self
    {
        return new self(array_values(array_filter($this->readings, fn (array $r): bool => $r[0] >= $minute)));
    }

    /** Only the readings of the last days before the newest. */
    public function lately(int $days): self
    {
        $from = ($this->last()[0] ?? 0) - 1440 * $days;

        return new self(array_values(array_filter($this->readings, fn (array $r): bool => $r[0] >= $from)));
    }

    /** @return array{int, float, float}|null the newest reading */
    public function last(): ?array
    {
        return $this->readings[count($this->readings) - 1] ?? null;
    }

    /** @return list<array{int, int, int}> number of the reading after which nothing is known, and from when to when */
    public function gaps(): array
    {
        $gaps = [];
        for ($k = 1; $k < count($this->readings); $k++) {
            if ($this->readings[$k][0] - $this->readings[$k - 1][0] > self::MAX_READING_AGE_MINUTES) {
                $gaps[] = [$k - 1, $this->readings[$k - 1][0], $this->readings[$k][0]];
            }
        }

        return $gaps;
    }

    /**
     * The air between two readings: their mean, up to the later one; null where nothing is known.
     *
     * @return array{float, float, int}|null °C, %, until when
     */
    public function at(int $minute): ?array
    {
        $count = count($this->readings);
        if ($count < 2 || $minute < $this->readings[0][0] || $minute >= $this->readings[$count - 1][0]) {
            return null;
        }
        $k = Sorted::gap($this->moments, $minute);
        [[$from, $c, $rh], [$to, $nextC, $nextRh]] = [$this->readings[$k], $this->readings[$k + 1]];

        return $to - $from > self::MAX_READING_AGE_MINUTES ? null : [($c + $nextC) / 2.0, ($rh + $nextRh) / 2.0, $to];
    }

    /** The first reading after a moment. */
    public function nextAfter(int $minute): ?int
    {
        if ($this->moments === [] || $minute < $this->moments[0]) {
            return $this->moments[0] ?? null;
        }

        return $minute >= $this->moments[count($this->moments) - 1] ? null : $this->moments[Sorted::gap($this->moments, $minute) + 1];
    }

    /**
     * The usual air of each hour of the day, local time: the mean of its readings in the last two weeks.
     *
     * @return array<int, array{float, float}> hour → °C, %; hours without a reading are left out
     */
    public function usual(DateTimeZone $zone): array
    {
        $sums = [];
        foreach ($this->lately(self::USUAL_AIR_DAYS)->readings as [$at, $temperature, $humidity]) {
            $hour = (int) (new DateTimeImmutable('@'.$at * 60))->setTimezone($zone)->format('G');
            [$n, $c, $rh] = $sums[$hour] ?? [0, 0.0, 0.0];
            $sums[$hour] = [$n + 1, $c + $temperature, $rh + $humidity];
        }

        return array_map(fn (array $s): array => [$s[1] / $s[0], $s[2] / $s[0]], $sums);
    }
}
