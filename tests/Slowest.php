<?php

declare(strict_types=1);

namespace Tests;

use PHPUnit\Event\Test\Finished;
use PHPUnit\Event\Test\FinishedSubscriber;
use PHPUnit\Event\Test\Prepared;
use PHPUnit\Event\Test\PreparedSubscriber;
use PHPUnit\Event\TestRunner\ExecutionFinished;
use PHPUnit\Event\TestRunner\ExecutionFinishedSubscriber;
use PHPUnit\Runner\Extension\Extension;
use PHPUnit\Runner\Extension\Facade;
use PHPUnit\Runner\Extension\ParameterCollection;
use PHPUnit\TextUI\Configuration\Configuration;

/** Says at the end of a run which ten tests took longest. */
final class Slowest implements Extension
{
    private const MANY = 10;

    /** Of a run with fewer tests nobody asks. */
    private const MIN_TESTS = 100;

    /** @var array<string, float> test → seconds */
    private array $seconds = [];

    private ?float $began = null;

    public function bootstrap(Configuration $configuration, Facade $facade, ParameterCollection $parameters): void
    {
        $facade->registerSubscribers(
            new class($this) implements PreparedSubscriber
            {
                public function __construct(private readonly Slowest $slowest)
                {
                }

                public function notify(Prepared $event): void
                {
                    $this->slowest->begin(self::now($event));
                }

                private static function now(Prepared $event): float
                {
                    return $event->telemetryInfo()->durationSinceStart()->asFloat();
                }
            },
            new class($this) implements FinishedSubscriber
            {
                public function __construct(private readonly Slowest $slowest)
                {
                }

                public function notify(Finished $event): void
                {
                    $this->slowest->end($event->test()->id(), $event->telemetryInfo()->durationSinceStart()->asFloat());
                }
            },
            new class($this) implements ExecutionFinishedSubscriber
            {
                public function __construct(private readonly Slowest $slowest)
                {
                }

                public function notify(ExecutionFinished $event): void
                {
                    $this->slowest->say();
                }
            },
        );
    }

    public function begin(float $now): void
    {
        $this->began = $now;
    }

    public function end(string $test, float $now): void
    {
        $this->seconds[$test] = $now - ($this->began ?? $now);
    }

    public function say(): void
    {
        if (count($this->seconds) < self::MIN_TESTS) {
            return;
        }
        arsort($this->seconds);
        echo "\n\nSlowest:\n";
        foreach (array_slice($this->seconds, 0, self::MANY) as $test => $seconds) {
            printf("%6.1f s  %s\n", $seconds, $test);
        }
    }
}
