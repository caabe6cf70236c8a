<?php

declare(strict_types=1);

namespace Tests\Core\Pots;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Pots\Portion;
use IdleRidge\Core\Pots\PotLine;
use IdleRidge\Core\Pots\Weighing;
use PHPUnit\Framework\TestCase;

final class WeighingTest extends TestCase
{
    public function test_it_steps_on_by_itself_once_the_scale_rests_within_tolerance(): void
    {
        $at = fn (float $reading, ?float $before, array $done = []): ?int => Weighing::of(self::lines(), $done, $reading, $before)->line;
        // 100 g, right to 2 g.
        $this->assertSame([0, 0, 1, 1], [$at(97.9, 97.9), $at(98.0, null), $at(98.0, 97.7), $at(102.0, 102.0)]);
        $this->assertSame(0, $at(98.0, 97.6), 'it still moves');
        $half = Weighing::of(self::lines(), [], 50.0);
        $this->assertEqualsWithDelta([0.5, 50.0, 100.0], [$half->share(), $half->left(), $half->target], 1e-9);
        // The next counts from what stood there.
        $next = Weighing::of(self::lines(), [[0, 101.0]], 101.0);
        $this->assertEqualsWithDelta([1, 401.0, 0.0], [$next->line, $next->target, $next->share()], 1e-9);
        $done = Weighing::of(self::lines(), [[0, 100.0], [1, 400.0], [2, 405.0]], 405.0);
        $this->assertNull($done->line);
        $this->assertSame(1.0, $done->share());
    }

    public function test_what_was_overshot_makes_more_of_the_others(): void
    {
        // Half as much again of the second: a pot and a half, and 50 g more of the first.
        $over = Weighing::of(self::lines(), [[0, 100.0]], 550.0, 540.0);
        $this->assertTrue($over->over);
        $this->assertEqualsWithDelta([1.5, -150.0], [$over->factor, $over->left()], 1e-9);
        $this->assertEqualsWithDelta([0 => 50.0], $over->more, 1e-9);
        $this->assertSame(1, Weighing::of(self::lines(), [[0, 100.0]], 550.0, 550.0)->line, 'an untared cup steps on by no means');
        // Left so, it steps on: the third at one and a half, then the first again.
        $third = Weighing::of(self::lines(), [[0, 100.0]], 550.0, 550.0, true);
        $this->assertSame(2, $third->line);
        $this->assertEqualsWithDelta(557.5, $third->target, 1e-9);
        $again = Weighing::of(self::lines(), $third->done, 557.5, 557.5);
        $this->assertSame(0, $again->line);
        $this->assertEqualsWithDelta(607.5, $again->target, 1e-9);
        $this->assertNull(Weighing::of(self::lines(), $again->done, 607.5, 607.5)->line);
        // Within tolerance nothing is overshot: 300 g are right to 6.
        $this->assertFalse(Weighing::of(self::lines(), [[0, 100.0]], 406.0)->over);
        $this->assertTrue(Weighing::of(self::lines(), [[0, 100.0]], 406.1)->over);
    }

    public function test_parts_are_right_whatever_was_poured(): void
    {
        mt_srand(8);
        for ($case = 0; $case < 200; $case++) {
            $lines = self::lines();
            $now = Weighing::of($lines, [], 0.0);
            $reading = 0.0;
            $added = [0.0, 0.0, 0.0];
            for ($step = 0; $now->line !== null && $step < 40; $step++) {
                $line = $now->line;
                $poured = $now->left() * (mt_rand(0, 3) === 0 ? mt_rand(100, 200) / 100.0 : 1.0);
                $added[$line] += $poured;
                $reading += $poured;
                $now = Weighing::of($lines, $now->done, $reading, $reading, true);
            }
            $this->assertNull($now->line, "case {$case}");
            foreach ([100.0, 300.0, 5.0] as $k => $planned) {
                $this->assertEqualsWithDelta(1.0, $added[$k] / $planned / $now->factor, 0.11, "case {$case}");
            }
        }
    }

    public function test_of_a_little_a_tenth_is_near_enough_and_of_much_a_fiftieth(): void
    {
        // 5 g are right to half a gram, 20 g to one, 100 g to two.
        foreach ([5.0 => 0.5, 20.0 => 1.0, 100.0 => 2.0] as $grams => $within) {
            $line = [new PotLine(new Portion('a', (float) $grams, 'g', (float) $grams, 1.0), null, null)];
            $this->assertNull(Weighing::of($line, [], $grams - $within, $grams - $within)->line, "{$grams} g");
            $this->assertSame(0, Weighing::of($line, [], $grams - $within - 0.01, $grams - $within - 0.01)->line, "{$grams} g");
        }
        // What the first lacks within that is not asked for again.
        $lines = self::lines();
        $this->assertNull(Weighing::of($lines, [[0, 98.0], [1, 398.0], [2, 403.0]], 403.0)->line);
        $this->assertSame(0, Weighing::of($lines, [[0, 97.9], [1, 397.9], [2, 402.9]], 402.9)->line);
    }

    public function test_what_is_no_pot_or_no_reading_is_refused(): void
    {
        foreach ([[[[3, 5.0]], 6.0, 'done'], [[], NAN, 'scale'], [[], 60_000.0, 'scale']] as [$done, $reading, $place]) {
            try {
                Weighing::of(self::lines(), $done, $reading);
                $this->fail('It was taken.');
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
    }

    /** @return list<PotLine> 100 g of glue, 300 of water, 5 of pigment */
    private static function lines(): array
    {
        return array_map(
            fn (array $p): PotLine => new PotLine(new Portion($p[0], $p[1], 'g', $p[1], 1.0), null, null),
            [['glue', 100.0], ['water', 300.0], ['pigment', 5.0]],
        );
    }
}
