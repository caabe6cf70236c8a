<?php

declare(strict_types=1);

namespace App\Devices;

use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Measure\InvalidValue;
use JsonException;

/** A logger that answers `GET address?since=minute` with `{"readings": [[minute, °C, %], …]}`, on this machine or its network. */
final class HttpRoomLogger implements RoomLogger
{
    public function since(string $address, int $since): AirLog
    {
        return self::read(self::house()->text($address, "since={$since}"));
    }

    /** @throws InvalidValue for an address that is not in the house */
    public static function allowed(string $address): string
    {
        return self::house()->allowed($address);
    }

    private static function house(): HouseAddress
    {
        return new HouseAddress('A logger', 'http://127.0.0.1:8090/workroom', 'logger', 3);
    }

    private static function read(string $body): AirLog
    {
        try {
            $answer = json_decode($body, true, 8, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            throw new InvalidValue('Its answer cannot be read.', 'logger');
        }
        $readings = [];
        foreach (
            is_array($answer) && is_array($answer['readings'] ?? null)
                ? $answer['readings']
                : throw new InvalidValue('Its answer has no readings.', 'logger') as $one
        ) {
            if (
                ! is_array($one) ||
                ! array_is_list($one) ||
                count($one) !== 3 ||
                array_filter($one, fn (mixed $v): bool => ! is_int($v) && ! is_float($v)) !== []
            ) {
                throw new InvalidValue('One of its readings cannot be read.', 'logger');
            }
            // A minute beyond all counting is none.
            $readings[] = [is_int($one[0]) || abs($one[0]) < 1e15 ? (int) $one[0] : PHP_INT_MAX, (float) $one[1], (float) $one[2]];
        }

        return AirLog::sound($readings);
    }
}
