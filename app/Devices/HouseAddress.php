<?php

declare(strict_types=1);

namespace App\Devices;

use IdleRidge\Core\Measure\InvalidValue;
use Illuminate\Http\Client\HttpClientException;
use Illuminate\Support\Facades\Http;
use Psr\Http\Message\ResponseInterface;
use RuntimeException;
use Symfony\Component\HttpFoundation\IpUtils;

/** A thing that answers at an address on this machine or its network, and nowhere else. */
final readonly class HouseAddress
{
    private const MAX_BYTES = 2_000_000;

    /**
     * @param  string  $what it is, as in “a logger”
     * @param  string  $place where a refusal stands
     * @param  int  $seconds an answer is there whole within this, however slowly it drips
     */
    public function __construct(private string $what, private string $example, private string $place, private int $seconds)
    {
    }

    /** @throws InvalidValue when it does not answer */
    public function text(string $address, string $query = ''): string
    {
        $url = $this->allowed($address).($query === '' ? '' : (str_contains($address, '?') ? '&' : '?').$query);
        try {
            $answer = Http::timeout($this->seconds)
                ->connectTimeout($this->seconds)
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
                "Nothing answers at {$address}, or not within {$this->seconds} seconds; what was read before still holds.",
                $this->place,
            );
        }
        if ($answer->redirect()) {
            throw new InvalidValue("{$address} sends on to another address; that is not followed. Give its own.", $this->place);
        }
        if (! $answer->ok()) {
            throw new InvalidValue("Nothing answers at {$address} ({$answer->status()}); what was read before still holds.", $this->place);
        }

        return $answer->body();
    }

    /** @throws InvalidValue for an address that is not in the house */
    public function allowed(string $address): string
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
            throw new InvalidValue("{$this->what} has an address in the house, such as {$this->example}.", $this->place);
        }

        return $address;
    }
}
