<?php

declare(strict_types=1);

namespace Tests\Core\Pots;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Pots\Substitute;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Schedule\BenchTime;
use PHPUnit\Framework\TestCase;
use Tests\Build;

final class SubstituteTest extends TestCase
{
    public function test_another_glue_holds_the_same_with_its_own_days(): void
    {
        $found = Substitute::of($this->work(['earth-paint', 'sifted-soil'], 19.0), Build::library(), 'white glue');
        $names = array_map(fn (Substitute $s): string => $s->recipe->way() ?? '', $found);
        $this->assertNotSame([], $names);
        foreach ($found as $one) {
            $this->assertTrue($one->fits());
            $this->assertNotContains('white glue', $one->recipe->materials());
            $this->assertSame('sifted-soil', $one->recipe->base());
            $this->assertNotSame([], $one->amounts);
        }
        $this->assertTrue((bool) array_filter($names, fn (string $n): bool => str_contains($n, 'ready')));
        // Acrylic medium is ready in 10 h where white glue takes 12: sooner, and so told.
        $isMedium = fn (Substitute $s): bool => in_array('acrylic medium', $s->recipe->materials(), true);
        $medium = array_values(array_filter($found, $isMedium))[0];
        $this->assertLessThan(0.0, $medium->days);
        $this->assertStringEndsWith('sooner', $medium->daysWords());
        $this->assertSame($found, array_values($found));
        $days = array_map(fn (Substitute $s): float => $s->days, $found);
        $this->assertSame($days, (function (array $d): array {
            sort($d);

            return $d;
        })($days));
    }

    public function test_where_it_is_too_cold_no_film_forms(): void
    {
        $cold = Substitute::of($this->work(['earth-paint', 'sifted-soil'], 4.0), Build::library(), 'white glue');
        $why = array_merge(...array_map(fn (Substitute $s): array => $s->against, $cold));
        $this->assertNotSame([], array_filter($why, fn (string $w): bool => str_contains($w, 'and the shed falls to 4 °C')));
    }

    public function test_of_what_one_sees_the_look_is_told(): void
    {
        $found = Substitute::of($this->work(['earth-paint', 'fibre-4mm'], 19.0), Build::library(), 'fibre 4 mm');
        $this->assertNotSame([], $found);
        foreach ($found as $one) {
            $this->assertContains('it looks otherwise', $one->mind);
        }
        $this->assertSame([], Substitute::of($this->work(['earth-paint'], 19.0), Build::library(), 'resin A'));
    }

    /** @param  list<string>  $recipes */
    private function work(array $recipes, float $night): BenchWork
    {
        $coats = array_map(
            fn (int $k): Coat => new Coat(Build::uid(20 + $k), Build::uid(1), Build::library()->laid($recipes[$k], null)),
            array_keys($recipes),
        );
        $times = array_map(fn (int $d): BenchTime => Build::weekly(800 + $d, $d, 1080, 1320), range(1, 7));

        return Build::work(
            new Works([Build::zone(1)], $coats, [], [Room::of(Build::uid(600), 'the shed', 19.0, $night, 55.0, 60.0)], $times),
            '2026-10-14T12:00:00Z',
        );
    }
}
