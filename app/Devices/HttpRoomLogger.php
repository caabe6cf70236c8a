<?php

declare(strict_types=1);

namespace App\Devices;

use IdleRidge\Core\Cure\AirLog;
use IdleRidge\Core\Measure\InvalidValue;
use Illuminate\Http\Client\HttpClientException;
use Illuminate\Support\Facades\Http;
use JsonException;
use Psr\Http\Message\ResponseInterface;
use RuntimeException;
use Symfony\Component\HttpFoundation\IpUtils;

/** A logger that answers `GET address?since=minute` with `{"readings": [[minute, °C, %], …]}`, on this machine or its network. */
final class HttpRoomLogger implements RoomLogger
{
    /** An answer is there whole within this, however slowly it drips, seconds. */
    private const TIMEOUT_SECONDS = 3;

    private const MAX_BYTES = 2_000_000;

    public function since(string $address, int $since): AirLog
    {
        $url = self::allowed($address).(str_contains($address, '?') ? '&' : '?').'since='.$since;
        try {
            $answer = Http::timeout(self::TIMEOUT_SECONDS)
                ->connectTimeout(self::TIMEOUT_SECONDS)
                ->withOptions([
                    'allow_redirects' => false,
                    'proxy' => '',
                    'decode_content' => false,
                    'protocols' => ['http'],
                    'on_headers' => fn (ResponseInterface $r) => (int) $r->getHeaderLine('Content-Length') <= self::MAX_BYTES ?:
                    throw new RuntimeException('too long'),
                    'progress' => fn (int $total, int $sofar) => $sofar <= self::MAX_BYTES ?: throw new RuntimeException('too long'),
                ])
                ->get($url);
        } catch (HttpClientException|RuntimeException) {
            throw new InvalidValue(
                "Nothing answers at {$address}, or not within ".self::TIMEOUT_SECONDS.' seconds; what was read before still holds.',
                'logger',
            );
        }
        if ($answer->redirect()) {
            throw new InvalidValue("{$address} sends on to another address; that is not followed. Give the logger’s own.", 'logger');
        }
        if (! $answer->ok()) {
            throw new InvalidValue("Nothing answers at {$address} ({$answer->status()}); what was read before still holds.", 'logger');
        }

        return self::read($answer->body());
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

    /** @throws InvalidValue for an address that is not in the house */
    public static function allowed(string $address): string
    {
        $parts = parse_url($address);
        $host = is_array($parts) ? trim((string) ($parts['host'] ?? ''), '[]') : '';
        // An IPv4 address in IPv6 dress would be taken for a private one whatever it is.
        $near =
            $host === 'localhost' ||
            (filter_var($host, FILTER_VALIDATE_IP) !== false && IpUtils::isPrivateIp($host) && ! str_contains(strtolower($host), 'ffff:'));
        if (
            ! is_array($parts) ||
            ($parts['scheme'] ?? '') !== 'http' ||
            ! $near ||
            isset($parts['user']) ||
            preg_match('/[^\x21-\x7E]/', $address) === 1
        ) {
            throw new InvalidValue('A logger has an address in the house, such as http://127.0.0.1:8090/workroom.', 'logger');
        }

        return $address;
    }
}
