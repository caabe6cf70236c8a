<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cure;

use DateTimeImmutable;
use DateTimeZone;

/**
 * The air of a room through time: what was read where it was read; elsewhere, and for what is to come, the usual air of the
 * hour, or by day and by night as the room is set.
 */
final class RoomAir
{
    /** @var array<int, array{float, float}> */
    private readonly array $usual;

    public function __construct(public readonly Room $room, private readonly DateTimeZone $zone, private readonly ?AirLog $log = null)
    {
        $this->usual = $log?->usual($zone) ?? [];
    }

    public function at(int $minute): Climate
    {
        $read = $this->log?->at($minute);
        if ($read !== null) {
            return Climate::of($read[0], $read[1], $this->room->day->airflow);
        }
        $usual = $this->usual === [] ? null : ($this->usual[$this->hour($minute)] ?? null);

        return $usual === null ? $this->room->at($minute, $this->zone) : Climate::of($usual[0], $usual[1], $this->room->day->airflow);
    }

    /** The first minute after this one at which the air may be another. */
    public function nextChange(int $minute): int
    {
        $read = $this->log?->at($minute);
        if ($read !== null) {
            return $read[2];
        }
        $next = $this->room->nextChange($minute, $this->zone);
        if ($this->usual !== []) {
            $next = min($next, $minute + 60 - (int) (new DateTimeImmutable('@'.$minute * 60))->setTimezone($this->zone)->format('i'));
        }

        return min($next, $this->log?->nextAfter($minute) ?? $next);
    }

    /** @return non-empty-list<Climate> every air that may come, as far as is known */
    public function toCome(): array
    {
        $all = count($this->usual) === 24 ? [] : [$this->room->day, $this->room->night];
        foreach ($this->usual as [$temperature, $humidity]) {
            $all[] = Climate::of($temperature, $humidity, $this->room->day->airflow);
        }

        return $all === [] ? [$this->room->day] : $all;
    }

    /** The coldest that is usual, °C. */
    public function coldest(): float
    {
        $usual = array_column($this->usual, 0);

        return $usual === [] ? min($this->room->day->temperature, $this->room->night->temperature) : min($usual);
    }

    /** Whether what is to come is what was read, not what was set. */
    public function isRead(): bool
    {
        return $this->usual !== [];
    }

    private function hour(int $minute): int
    {
        return (int) (new DateTimeImmutable('@'.$minute * 60))->setTimezone($this->zone)->format('G');
    }
}
