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

    /**
     * @param  self|null  $before the air of another room in which things stood until `$since`
     */
    public function __construct(
        public readonly Room $room,
        private readonly DateTimeZone $zone,
        private readonly ?AirLog $log = null,
        private readonly ?self $before = null,
        private readonly int $since = PHP_INT_MIN,
    ) {
        // What was read before the room was set otherwise says nothing of what is to come.
        $this->usual = $log?->since($room->airSince() ?? PHP_INT_MIN)->usual($zone) ?? [];
    }

    /**
     * The air of rooms in which something stood one after the other; one that is no more is taken as any.
     *
     * @param  array<array-key, array{int, string}>  $stood until when (minutes of Unix time) in which room
     * @param  list<Room>  $rooms
     * @param  array<string, AirLog>  $logs
     */
    public static function before(array $stood, array $rooms, array $logs, DateTimeZone $zone): ?self
    {
        $air = null;
        $since = PHP_INT_MIN;
        $byUid = array_column(array_map(fn (Room $r): array => [$r->uid, $r], $rooms), 1, 0);
        foreach ($stood as [$until, $uid]) {
            $air = new self($byUid[$uid] ?? Room::standard($uid), $zone, $logs[$uid] ?? null, $air, $since);
            $since = $until;
        }

        return $air;
    }

    public function at(int $minute): Climate
    {
        if ($this->before !== null && $minute < $this->since) {
            return $this->before->at($minute);
        }
        $airflow = $this->room->settingAt($minute)->day->airflow;
        $read = $this->log?->at($minute);
        if ($read !== null) {
            return new Climate($read[0], $read[1], $airflow);
        }
        $usual =
            $this->usual === [] || $minute < ($this->room->airSince() ?? PHP_INT_MIN) ? null : $this->usual[$this->hour($minute)] ?? null;

        return $usual === null ? $this->room->at($minute, $this->zone) : new Climate($usual[0], $usual[1], $airflow);
    }

    /** The first minute after this one at which the air may be another. */
    public function nextChange(int $minute): int
    {
        if ($this->before !== null && $minute < $this->since) {
            return min($this->since, $this->before->nextChange($minute));
        }
        $setting = $this->room->settingAt($minute);
        $until = $setting === $this->room ? PHP_INT_MAX : $this->room->nextSetting($minute);
        $read = $this->log?->at($minute);
        if ($read !== null) {
            return min($read[2], $until);
        }
        $next = min($until, $this->room->nextChange($minute, $this->zone));
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
            $all[] = new Climate($temperature, $humidity, $this->room->day->airflow);
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
