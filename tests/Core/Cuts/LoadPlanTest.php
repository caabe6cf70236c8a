<?php

declare(strict_types=1);

namespace Tests\Core\Cuts;

use IdleRidge\Core\Cuts\CarriedBoard;
use IdleRidge\Core\Cuts\LoadedBoard;
use IdleRidge\Core\Cuts\LoadPlan;
use IdleRidge\Core\Cuts\LoadSpace;
use IdleRidge\Core\Measure\InvalidValue;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Build;

final class LoadPlanTest extends TestCase
{
    private static function board(float $width, float $depth, float $height, float $weight = 8.0, string $uid = 'a'): CarriedBoard
    {
        return new CarriedBoard($uid, "Board {$uid}", $width, $depth, $height, $weight);
    }

    /** With 10 around each: two of 990 × 590 along 2000, two across 1200, and shelves of 300 + 12. */
    #[TestWith([2000.0, 1200.0, 300.0, 4])]
    #[TestWith([1999.0, 1200.0, 300.0, 3])]
    #[TestWith([1000.0, 600.0, 300.0, 1])]
    #[TestWith([600.0, 1000.0, 300.0, 1])]
    #[TestWith([999.0, 600.0, 300.0, 0])]
    #[TestWith([1000.0, 599.0, 300.0, 0])]
    #[TestWith([1000.0, 600.0, 299.0, 0])]
    #[TestWith([1000.0, 600.0, 611.0, 1])]
    #[TestWith([1000.0, 600.0, 612.0, 2])]
    public function test_so_many_of_one_size_go_in(float $length, float $width, float $height, int $most): void
    {
        $this->assertSame($most, LoadPlan::most(new LoadSpace($length, $width, $height), self::board(990.0, 590.0, 300.0)));
    }

    public function test_a_load_is_no_heavier_than_may_be(): void
    {
        $boards = array_map(fn (int $k): CarriedBoard => self::board(500.0, 300.0, 100.0, 10.0, "b{$k}"), range(1, 5));
        $plan = LoadPlan::of(new LoadSpace(3000.0, 1000.0, 1000.0, 20.0), $boards);
        $this->assertSame([3, 2, 2, 1], [$plan->loads(), count($plan->load(1)), count($plan->load(2)), count($plan->load(3))]);
        $this->assertSame(2, LoadPlan::most(new LoadSpace(3000.0, 1000.0, 1000.0, 20.0), $boards[0]));
        $this->assertSame(['b1' => 1.0], LoadPlan::of(new LoadSpace(3000.0, 1000.0, 1000.0, 9.0), [$boards[0]])->never);
    }

    public function test_what_has_no_room_even_alone_is_told_with_what_is_missing(): void
    {
        $plan = LoadPlan::of(
            new LoadSpace(1000.0, 600.0, 300.0),
            [
                self::board(1200.0, 500.0, 200.0, uid: 'long'),
                self::board(900.0, 500.0, 325.0, uid: 'high'),
                self::board(500.0, 900.0, 300.0),
            ],
        );
        $this->assertEqualsWithDelta(['long' => 210.0, 'high' => 25.0], $plan->never, 1e-9);
        $this->assertSame(['a'], array_map(fn (LoadedBoard $b): string => $b->board->uid, $plan->boards));
        $this->assertSame([0, []], [LoadPlan::of(new LoadSpace(1000.0, 600.0, 300.0), [])->loads(), $plan->load(2)]);
    }

    public function test_any_boards_lie_apart_within_the_space_and_all_of_them_go(): void
    {
        $random = new Randomizer(new Mt19937(23));
        for ($case = 0; $case < 60; $case++) {
            $space = new LoadSpace(
                Build::between($random, 800.0, 3000.0),
                Build::between($random, 700.0, 1600.0),
                Build::between($random, 300.0, 1500.0),
                $case % 3 === 0 ? Build::between($random, 20.0, 80.0) : null,
            );
            $boards = [];
            for ($k = 0; $k < $random->getInt(1, 14); $k++) {
                $boards[] = self::board(
                    Build::between($random, 300.0, 1300.0),
                    Build::between($random, 250.0, 700.0),
                    Build::between($random, 80.0, 420.0),
                    Build::between($random, 3.0, 22.0),
                    "b{$k}",
                );
            }
            $plan = LoadPlan::of($space, $boards);
            $this->assertCount(count($boards), array_unique([
                ...array_keys($plan->never),
                ...array_map(fn (LoadedBoard $b): string => $b->board->uid, $plan->boards),
            ]));
            $this->assertCount(count($boards), [...$plan->never, ...$plan->boards], 'once each');
            for ($load = 1; $load <= $plan->loads(); $load++) {
                $this->holds($space, $plan->load($load));
            }
            // No fewer loads than floor, height and weight allow in all.
            $volume = array_sum(array_map(fn (LoadedBoard $b): float => $b->along * $b->across * $b->board->height, $plan->boards));
            $this->assertGreaterThanOrEqual($volume / ($space->length * $space->width * $space->height), $plan->loads());
        }
    }

    /** @param  list<LoadedBoard>  $load */
    private function holds(LoadSpace $space, array $load): void
    {
        $this->assertNotSame([], $load);
        $weighs = array_sum(array_map(fn (LoadedBoard $b): float => $b->board->weight, $load));
        $this->assertLessThanOrEqual(($space->limit ?? INF) + 1e-6, $weighs);
        foreach ($load as $k => $one) {
            $this->assertEqualsWithDelta(
                [min($one->board->width, $one->board->depth) + 10.0, max($one->board->width, $one->board->depth) + 10.0],
                [min($one->along, $one->across), max($one->along, $one->across)],
                1e-9,
            );
            $this->assertTrue($one->x >= 0.0 && $one->x + $one->along <= $space->length + 1e-3);
            $this->assertTrue($one->y >= 0.0 && $one->y + $one->across <= $space->width + 1e-3);
            $this->assertLessThanOrEqual($space->height + 1e-3, $one->z + $one->board->height);
            foreach (array_slice($load, $k + 1) as $other) {
                $apart =
                    $one->shelf !== $other->shelf
                        ? ($one->z < $other->z ? $one->z + $one->board->height + 12.0 <= $other->z + 1e-3
                            : $other->z + $other->board->height + 12.0 <= $one->z + 1e-3)
                        : $one->x + $one->along <= $other->x + 1e-3 || $other->x + $other->along <= $one->x + 1e-3
                            || $one->y + $one->across <= $other->y + 1e-3 || $other->y + $other->across <= $one->y + 1e-3;
                $this->assertTrue($apart, "{$one->board->uid} and {$other->board->uid}");
            }
        }
    }

    public function test_a_space_that_cannot_be_is_refused_at_its_field(): void
    {
        foreach (
            [
                'cuts/board/load_length_mm' => [99.0, 600.0, 300.0, null],
                'cuts/board/load_width_mm' => [1000.0, 5001.0, 300.0, null],
                'cuts/board/load_height_mm' => [1000.0, 600.0, 49.0, null],
                'cuts/board/load_limit_kg' => [1000.0, 600.0, 300.0, 0.9],
            ] as $place => $values
        ) {
            try {
                new LoadSpace(...$values);
                $this->fail("{$place} accepted");
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
    }
}
