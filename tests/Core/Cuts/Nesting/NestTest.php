<?php

declare(strict_types=1);

namespace Tests\Core\Cuts\Nesting;

use IdleRidge\Core\Cuts\Nesting\Nester;
use IdleRidge\Core\Cuts\Nesting\NestPiece;
use IdleRidge\Core\Cuts\Nesting\NestProblem;
use IdleRidge\Core\Cuts\Nesting\NestResult;
use IdleRidge\Core\Cuts\Nesting\NestSheet;
use IdleRidge\Core\Cuts\Nesting\NestState;
use IdleRidge\Core\Cuts\Nesting\PieceShadow;
use IdleRidge\Core\Interchange\NestFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\StepBudget;
use PHPUnit\Framework\TestCase;
use Tests\Build;
use Tests\Fixtures;
use Tests\NestChecker;

/** Outlines laid on sheets: nothing lies on anything else, and they take less than their boxes would. */
final class NestTest extends TestCase
{
    public function test_the_examples_take_less_than_their_boxes(): void
    {
        // Sheets, and length, that a good packer of bounding boxes needs; what is left out fits no sheet.
        foreach (['hill-06' => [1, 889.9, []], 'long-08' => [3, 2733.2, ['p04']]] as $name => [$sheets, $boxes, $unplaced]) {
            $problem = NestFile::read(Fixtures::text("nest/{$name}.json"));
            $answer = Nester::lay($problem, new StepBudget(120));
            $this->assertSame([], NestChecker::faults($problem, $answer), $name);
            $this->assertSame($unplaced, $answer->unplaced, $name);
            $this->assertLessThanOrEqual($sheets, count($answer->used), $name);
            $this->assertLessThan(0.85 * $boxes, $answer->usedLength(), $name);
        }
    }

    public function test_answers_of_others_hold_the_checker_itself(): void
    {
        foreach (['hill-06', 'long-08'] as $name) {
            $problem = NestFile::read(Fixtures::text("nest/{$name}.json"));
            $given = json_decode(Fixtures::text("nest/{$name}.answer.json"), true);
            $placements = array_map(
                fn (array $p): array => ['rotation' => (float) $p['rotation'], 'dx' => (float) $p['dx'], 'dy' => (float) $p['dy']] + $p,
                $given['placements'],
            );
            $this->assertSame([], NestChecker::faults($problem, new NestResult($placements, [], $given['unplaced'], 0.0)), $name);
            $placements[1]['dx'] = $placements[2]['dx'] - 4000.0;
            $this->assertNotSame(
                [],
                NestChecker::faults($problem, new NestResult($placements, [], $given['unplaced'], 0.0)),
                'a piece pushed aside is seen',
            );
        }
    }

    /** So an order that has cost more than it may already can be given up, and one that is changed goes on from where it parts. */
    public function test_a_piece_more_costs_no_less_and_leaves_what_lay_before_as_it_was(): void
    {
        for ($seed = 1; $seed <= 6; $seed++) {
            mt_srand($seed);
            $pieces = array_map(
                fn (int $k): NestPiece => new NestPiece("p{$k}", self::blob(mt_rand(3, 9), mt_rand(300, 2600) / 10.0, false)),
                range(1, 8),
            );
            $sheets = [new NestSheet('offcut', 420.0, 260.0, 1), new NestSheet('s', 700.0, 400.0, 2)];
            $problem = new NestProblem($sheets, $pieces, 2.0, 5.0);
            $turned = fn (NestPiece $p, float $turn): PieceShadow => PieceShadow::of($p, $turn, 2.0, 2.0);
            $shadows = array_map(fn (NestPiece $p): array => [$turned($p, 0.0), $turned($p, 90.0)], $pieces);
            $states = [NestState::empty($problem, 2.0)];
            foreach ($shadows as $k => $its) {
                $states[] = $states[$k]->with($k, $its, false);
                $this->assertGreaterThanOrEqual($states[$k]->score(), $states[$k + 1]->score(), "seed {$seed}, piece {$k}");
            }
            // Another end put to the first half, and then the same end once more.
            $states[4]->with(7, $shadows[7], true)->with(6, $shadows[6], false);
            $again = $states[4];
            for ($k = 4; $k < 8; $k++) {
                $again = $again->with($k, $shadows[$k], false);
            }
            $this->assertEquals($states[8]->result([]), $again->result([]), "seed {$seed}");
        }
    }

    public function test_random_pieces_never_lie_on_each_other(): void
    {
        for ($seed = 1; $seed <= 12; $seed++) {
            mt_srand($seed);
            $pieces = array_map(
                fn (int $k): NestPiece => new NestPiece("p{$k}", self::blob(mt_rand(3, 9), mt_rand(300, 1600) / 10.0, $k % 4 === 0)),
                range(1, 9),
            );
            $problem = new NestProblem(
                [new NestSheet('offcut', 420.0, 260.0, 1), new NestSheet('s', 900.0, 600.0, 3)],
                $pieces,
                mt_rand(0, 6),
                mt_rand(0, 10),
                mt_rand(0, 1) === 1 ? [0.0, 90.0, 180.0, 270.0] : [0.0, 45.0],
            );
            $answer = Nester::lay($problem, null, $seed);
            $this->assertSame([], NestChecker::faults($problem, $answer), "seed {$seed}");
            $this->assertEqualsWithDelta(
                array_sum(array_map(fn (NestPiece $p): float => in_array($p->id, $answer->unplaced, true) ? 0.0 : $p->area, $pieces)),
                $answer->area,
                1e-6,
            );
            $this->assertLessThan(1.0, $answer->utilisation());
        }
    }

    public function test_a_piece_lies_in_the_hole_of_another(): void
    {
        $frame = new NestPiece('frame', [Build::square(0, 0, 400, 400), array_reverse(Build::square(60, 60, 340, 340))]);
        $inner = new NestPiece('inner', [Build::square(0, 0, 250, 250)]);
        $problem = new NestProblem([new NestSheet('s', 410.0, 410.0, 1)], [$frame, $inner], 3.0, 5.0);
        $answer = Nester::lay($problem);
        $this->assertSame([], $answer->unplaced);
        $this->assertSame([], NestChecker::faults($problem, $answer));
        $this->assertEqualsWithDelta((400.0 ** 2 - 280.0 ** 2 + 250.0 ** 2) / 410.0 ** 2, $answer->utilisation(), 1e-9);
    }

    public function test_what_fits_no_sheet_is_left_out_and_all_else_laid(): void
    {
        $pieces = [
            new NestPiece('long', [Build::square(0, 0, 1300, 40)]),
            new NestPiece('turned', [Build::square(0, 0, 80, 1200)]),
            new NestPiece('small', [Build::square(-50, -50, 50, 50)]),
        ];
        $sheets = [new NestSheet('s', 1250.0, 600.0, 1)];
        $answer = Nester::lay(new NestProblem($sheets, $pieces, 3.0, 5.0));
        $this->assertSame(['long'], $answer->unplaced);
        $this->assertSame(
            ['long', 'turned'],
            Nester::lay(new NestProblem($sheets, $pieces, 3.0, 5.0, [0.0]))->unplaced,
            'not turned, it is too tall',
        );
        $this->assertSame(
            ['b'],
            Nester::lay(
                new NestProblem(
                    [new NestSheet('s', 100.0, 100.0, 1)],
                    [new NestPiece('a', [Build::square(0, 0, 90, 90)]), new NestPiece('b', [Build::square(0, 0, 80, 80)])],
                    0.0,
                    0.0,
                ),
            )->unplaced,
            'no sheet is left',
        );
    }

    public function test_the_same_seed_lays_the_same_and_looking_longer_is_never_worse(): void
    {
        $problem = NestFile::read(Fixtures::text('nest/hill-06.json'));
        $this->assertEquals(Nester::lay($problem, null, 5), Nester::lay($problem, null, 5));
        $this->assertLessThanOrEqual(Nester::lay($problem)->usedLength(), Nester::lay($problem, new StepBudget(60))->usedLength());
        $told = [];
        Nester::lay($problem, new StepBudget(200), 1, function (float $share) use (&$told): bool {
            $told[] = $share;

            return count($told) < 3;
        });
        $this->assertCount(3, $told, 'it ends when it is told to');
    }

    public function test_problems_that_cannot_be_are_refused_at_their_place(): void
    {
        $file = fn (array $with): string => (string) json_encode(
            $with + [
                'format' => 'idle-ridge/nest',
                'version' => 1,
                'kerf' => 3,
                'margin' => 5,
                'sheets' => [['id' => 's', 'w' => 100, 'h' => 100, 'count' => 1]],
                'pieces' => [['id' => 'a', 'rings' => [Build::square(0, 0, 9, 9)]]],
            ],
        );
        foreach (
            [
                '/kerf' => ['kerf' => -1],
                '/sheets/0/w' => ['sheets' => [['id' => 's', 'w' => 0, 'h' => 9, 'count' => 1]]],
                '/pieces/0/rings/0' => ['pieces' => [['id' => 'a', 'rings' => [[[0, 0], [1, 1]]]]]],
                '/pieces/0/rings/1' => ['pieces' => [['id' => 'a', 'rings' => [Build::square(0, 0, 9, 9), [[0, 0], [9, 'x'], [9, 9]]]]]],
                '/pieces/1/id' => [
                    'pieces' => [
                        ['id' => 'a', 'rings' => [Build::square(0, 0, 9, 9)]],
                        ['id' => 'a', 'rings' => [Build::square(0, 0, 9, 9)]],
                    ],
                ],
                '/rotations/0' => ['rotations' => ['up']],
                '/format' => ['format' => 'other'],
            ] as $place => $with
        ) {
            try {
                NestFile::read($file($with));
                $this->fail($place);
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
        $this->expectExceptionMessage('no sheet to cut from');
        Nester::lay(NestFile::read($file(['sheets' => []])));
    }

    /** @return list<list<array{float, float}>> */
    private static function blob(int $corners, float $size, bool $hollow): array
    {
        $ring = fn (float $share): array => array_map(
            fn (int $k): array => [
                $share * $size * (0.6 + 0.4 * ($k % 2)) * cos((2.0 * M_PI * $k) / (2 * $corners)),
                $share * $size * (0.6 + 0.4 * ($k % 2)) * sin((2.0 * M_PI * $k) / (2 * $corners)),
            ],
            range(0, 2 * $corners - 1),
        );

        return $hollow ? [$ring(1.0), array_reverse($ring(0.5))] : [$ring(1.0)];
    }
}
