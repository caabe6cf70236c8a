<?php

declare(strict_types=1);

namespace App\Devices;

use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Measure\Refusal;
use JsonException;
use Symfony\Component\HttpFoundation\IpUtils;

/** A logger that answers `GET address?since=minute` with `{"readings": [[minute, °C, %], …]}`, on this machine or its network. */
final class HttpRoomLogger implements RoomLogger
{
    private const PATIENCE = 3;

    private const MOST_BYTES = 2_000_000;

    public function since(string $address, int $since): AirLog
    {
        $url = self::allowed($address).(str_contains($address, '?') ? '&' : '?').'since='.$since;
        $context = stream_context_create(['http' => ['timeout' => self::PATIENCE, 'follow_location' => 0, 'ignore_errors' => false]]);
        $body = @file_get_contents($url, false, $context, 0, self::MOST_BYTES);
        if ($body === false) {
            throw new Refusal("Nothing answers at {$address}; what was read before still holds.", 'logger');
        }
        try {
            $answer = json_decode($body, true, 8, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            throw new Refusal('Its answer cannot be read.', 'logger');
        }
        $readings = [];
        foreach (is_array($answer) && is_array($answer['readings'] ?? null) ? $answer['readings'] : throw new Refusal('Its answer has no readings.', 'logger') as $one) {
            if (! is_array($one) || count($one) !== 3 || array_filter($one, fn (mixed $v): bool => ! is_int($v) && ! is_float($v)) !== []) {
                throw new Refusal('One of its readings cannot be read.', 'logger');
            }
            $readings[] = [(int) $one[0], (float) $one[1], (float) $one[2]];
        }

        return AirLog::of($readings);
    }

    /** @throws Refusal for an address that is not in the house */
    public static function allowed(string $address): string
    {
        $parts = parse_url($address);
        $host = is_array($parts) ? trim((string) ($parts['host'] ?? ''), '[]') : '';
        $near = $host === 'localhost' || (filter_var($host, FILTER_VALIDATE_IP) !== false && IpUtils::isPrivateIp($host));
        if (! is_array($parts) || ($parts['scheme'] ?? '') !== 'http' || ! $near || isset($parts['user'])) {
            throw new Refusal('A logger has an address in the house, such as http://127.0.0.1:8090/workroom.', 'logger');
        }

        return $address;
    }
}
