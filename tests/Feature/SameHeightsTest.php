<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** The compiler that PHP runs under may not change an answer. */
final class SameHeightsTest extends TestCase
{
    /** @return list<array{list<string>}> */
    public static function sections(): array
    {
        return [[['Birch Cutting']], [['Weir Bend', 'Tarnhead']]];
    }

    /** @param  list<string>  $sections */
    #[DataProvider('sections')]
    public function test_land_is_the_same_with_and_without_the_jit(array $sections): void
    {
        $compiled = $this->heights([base_path('bin/php')], $sections);
        $interpreted = $this->heights([PHP_BINARY, '-d', 'opcache.jit=disable', '-d', 'memory_limit=512M'], $sections);
        self::assertGreaterThan(15_000, count($interpreted[0]));
        self::assertTrue($interpreted === $compiled, 'The heights differ.');
    }

    /**
     * @param  list<string>  $php
     * @param  list<string>  $sections
     * @return list<list<float>>
     */
    private function heights(array $php, array $sections): array
    {
        $process = new Process([...$php, base_path('tests/heights.php'), ...$sections], null, ['APP_ENV' => 'local']);

        return json_decode($process->mustRun()->getOutput(), true, flags: JSON_THROW_ON_ERROR);
    }
}
