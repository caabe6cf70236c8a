<?php

declare(strict_types=1);

namespace Tests\Core\Coats;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatPieces;
use IdleRidge\Core\Coats\FaceWork;
use IdleRidge\Core\Interchange\Record;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Scale;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Build;

final class FaceWorkTest extends TestCase
{
    public function test_a_sieve_for_a_stone_goes_by_the_ratio_forty_in_a_hundred_either_way(): void
    {
        $this->assertEqualsWithDelta(['low' => 1.2, 'mid' => 2.0, 'high' => 2.8], FaceWork::sieve(174.2, Scale::oneTo(87.1)), 1e-9);
    }

    public function test_stripes_take_turns_and_come_to_all_of_the_stone(): void
    {
        $pieces = new CoatPieces([60.0, 150.0, 300.0], 40.0);
        $this->assertEquals(
            [
                ['stone' => 60.0, 'stripes' => 4, 'amount' => 40.0],
                ['stone' => 150.0, 'stripes' => 3, 'amount' => 30.0],
                ['stone' => 300.0, 'stripes' => 3, 'amount' => 30.0],
            ],
            FaceWork::stripes($pieces, 400.0, 100.0),
        );
        $this->assertSame([50.0, 50.0], array_column(FaceWork::stripes(new CoatPieces([60.0, 90.0]), 400.0, 100.0), 'amount'));
        $this->assertSame([], FaceWork::stripes(new CoatPieces(), 400.0, 100.0));
        $random = new Randomizer(new Mt19937(7));
        for ($k = 0; $k < 200; $k++) {
            $grades = array_map(fn (): float => (float) $random->getInt(1, 3000), range(1, $random->getInt(1, 6)));
            $out = FaceWork::stripes(
                new CoatPieces($grades, (float) $random->getInt(3, 500)),
                (float) $random->getInt(1, 3000),
                (float) $random->getInt(0, 900),
            );
            $counts = array_column($out, 'stripes');
            $this->assertCount(count($grades), $out);
            $this->assertLessThanOrEqual(1, max($counts) - min($counts), 'no grade has two more than another');
            $this->assertGreaterThanOrEqual(1, min($counts));
        }
    }

    public function test_a_face_is_tiled_by_whole_castings_and_some_that_break(): void
    {
        $this->assertSame(23, FaceWork::castings(96_000.0, [80.0, 60.0]));
        $this->assertSame(24, FaceWork::castings(96_001.0, [80.0, 60.0]));
        $this->assertSame(0, FaceWork::castings(0.0, [80.0, 60.0]));
    }

    public function test_joints_come_at_their_scale_distance_and_the_stick_has_a_line_for_each(): void
    {
        $scale = Scale::oneTo(100.0);
        $this->assertSame(9, FaceWork::joints(5000.0, $scale, 500.0));
        $this->assertSame(10, FaceWork::joints(5000.0, $scale, 501.0));
        $this->assertSame(0, FaceWork::joints(5000.0, $scale, 50.0));
        $stick = FaceWork::stick(5000.0, $scale);
        $this->assertSame(400.0, $stick->cut[0][1][0]);
        $this->assertCount(7, $stick->lines);
        $this->assertSame([50.0, 350.0], [$stick->lines[0][0][0], $stick->lines[6][0][0]]);
        $this->assertSame('5 m at 1:100: 50 mm', $stick->words[0][2]);
        $this->assertSame([], FaceWork::stick(50_000.0, $scale)->lines);
    }

    public function test_sizes_that_cannot_be_are_said_and_the_rest_is_kept_in_files(): void
    {
        foreach (
            [
                'pieces/stones' => fn () => new CoatPieces([0.9]),
                'pieces/stripe' => fn () => new CoatPieces([], 2.9),
                'pieces/piece' => fn () => new CoatPieces(piece: [4.9, 60.0]),
                'pieces/joint' => fn () => new CoatPieces(joint: 99.0),
            ] as $place => $make
        ) {
            try {
                $make();
                $this->fail($place);
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
        $six = new CoatPieces([1.0, 2.0, 3.0, 4.0, 5.0, 3000.0], 3.0, [5.0, 500.0], 100.0);
        $coat = new Coat(Build::uid(1), Build::uid(2), Build::recipe('stone-streaks'), pieces: $six);
        $values = json_decode((string) json_encode(array_diff_key(WorksFile::fromCoat($coat), ['uid' => 1])), false);
        $this->assertEquals($coat, WorksFile::coat(new Record($values, ''), $coat->uid, Build::library()));
        $this->assertFalse($six->isEmpty());
        $this->expectException(InvalidValue::class);
        new CoatPieces([1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 7.0]);
    }
}
