<?php

declare(strict_types=1);

namespace Tests\Core\Rounds;

use IdleRidge\Core\Journal\Mishap;
use IdleRidge\Core\Journal\Stall;
use IdleRidge\Core\Rounds\StallMap;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Build;

final class StallMapTest extends TestCase
{
    private int $n = 0;

    public function test_three_passes_within_forty_mm_are_a_place(): void
    {
        $this->assertSame([[100.0, 140.0, 3]], $this->places([[100.0, 1], [120.0, 2], [140.0, 3]]));
        $this->assertSame([], $this->places([[100.0, 1], [120.0, 2], [140.1, 3]]), 'just too far');
        $this->assertSame([], $this->places([[100.0, 1], [120.0, 2], [130.0, 2]]), 'two passes');
        $this->assertSame([], $this->places([]));
    }

    public function test_runs_are_apart_and_places_do_not_overlap(): void
    {
        $stalls = [
            ...array_map(fn (int $p): Stall => $this->stall(500.0 + $p, $p), [1, 2, 3]),
            ...array_map(fn (int $p): Stall => $this->stall(500.0 + $p, $p, run: 8), [1, 2]),
        ];
        $this->assertCount(1, StallMap::repeats($stalls));
        $random = new Randomizer(new Xoshiro256StarStar(3));
        for ($n = 0; $n < 40; $n++) {
            $many = [];
            for ($k = 0; $k < 30; $k++) {
                $many[] = $this->stall((float) $random->getInt(0, 1200), $random->getInt(1, 6));
            }
            $end = -1.0;
            foreach (StallMap::repeats($many) as $place) {
                $this->assertGreaterThan($end, $place['from']);
                $this->assertLessThanOrEqual(StallMap::WITHIN_MM, $place['to'] - $place['from']);
                $this->assertGreaterThanOrEqual(StallMap::PASSES, $place['passes']);
                $end = $place['to'];
            }
            // The order in which they were noted tells nothing.
            $this->assertEquals(StallMap::repeats($many), StallMap::repeats($random->shuffleArray($many)));
        }
    }

    public function test_what_repeats_says_what_it_points_to(): void
    {
        $told = fn (array $stalls): string => StallMap::repeats($stalls)[0]['told'];
        $dirty = array_map(fn (int $p): Stall => $this->stall(10.0, $p), [1, 2, 3]);
        $clean = array_map(fn (int $p): Stall => $this->stall(10.0, $p, cleaned: true), [1, 2, 3]);
        $scraped = array_map(fn (int $p): Stall => $this->stall(10.0, $p, what: Mishap::Scraped), [1, 2, 3]);
        $this->assertSame('only the coach, on uncleaned rails: clean them and drive again', $told($dirty));
        $this->assertStringContainsString('not dirt', $told($clean));
        $this->assertStringContainsString('cleaned or not', $told([...$dirty, $clean[0]]));
        $this->assertStringContainsString('gauge', $told($scraped));
        $this->assertStringContainsString('several vehicles', $told([...$dirty, $this->stall(10.0, 4, vehicle: 'railbus')]));
    }

    /**
     * @param  list<array{float, int}>  $stalls station, pass
     * @return list<array{float, float, int}>
     */
    private function places(array $stalls): array
    {
        return array_map(
            fn (array $p): array => [$p['from'], $p['to'], $p['passes']],
            StallMap::repeats(array_map(fn (array $s): Stall => $this->stall(...$s), $stalls)),
        );
    }

    private function stall(
        float $station,
        int $pass,
        int $run = 7,
        bool $cleaned = false,
        Mishap $what = Mishap::Stalled,
        string $vehicle = 'coach',
    ): Stall {
        return new Stall(Build::uid(++$this->n), 0, Build::uid($run), $station, $vehicle, $what, $cleaned, $pass);
    }
}
