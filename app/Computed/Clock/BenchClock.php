<?php

declare(strict_types=1);

namespace App\Computed\Clock;

use DateTimeImmutable;
use DateTimeZone;
use Psr\Clock\ClockInterface;
use Symfony\Component\Clock\NativeClock;

/**
 * The one clock of web, queue, console and devices. A file that holds a moment (ISO 8601) rules over a fixed moment, and
 * that over the real time.
 */
final readonly class BenchClock implements ClockInterface
{
    public function __construct(private ?string $fixed, private ?string $file)
    {
    }

    public function now(): DateTimeImmutable
    {
        $moment = $this->file !== null && is_file($this->file) ? trim((string) file_get_contents($this->file)) : (string) $this->fixed;
        $utc = new DateTimeZone('UTC');

        return $moment === '' ? (new NativeClock($utc))->now() : (new DateTimeImmutable($moment, $utc))->setTimezone($utc);
    }
}
