<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use DateTimeZone;
use IdleRidge\Core\Measure\InvalidValue;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;

/**
 * Busy hours from somebody's calendar, read in a process of its own: a rule that never comes true, or a million that do, can
 * then hold up nobody.
 */
final readonly class ImportCalendar
{
    private const MAX_BYTES = 5_000_000;

    public function __construct(private float $seconds = 8.0)
    {
    }

    /**
     * @param  int  $now minutes of Unix time
     * @return list<array{date: string, from: int, to: int}> local wall time
     *
     * @throws InvalidValue
     */
    public function busy(string $text, DateTimeZone $zone, int $now, int $days): array
    {
        if (strlen($text) > self::MAX_BYTES) {
            throw new InvalidValue('It is over five megabytes: export the coming months only.', 'calendar');
        }
        $reader = new Process(
            [
                (string) (new PhpExecutableFinder())->find(),
                '-d',
                'memory_limit=256M',
                base_path('artisan'),
                'ridge:busy',
                "--zone={$zone->getName()}",
                "--from={$now}",
                "--days={$days}",
            ],
            base_path(),
            input: $text,
            timeout: $this->seconds,
        );
        try {
            $reader->run();
        } catch (ProcessTimedOutException) {
            throw new InvalidValue(
                'It takes too long to read: one of its rules repeats without end or never comes true. Export the coming months only.',
                'calendar',
            );
        }
        $answer = json_decode($reader->getOutput(), true);

        return $answer['hours'] ??
            throw new InvalidValue($answer['fault'] ?? 'It is too large to be read here: export the coming months only.', 'calendar');
    }
}
