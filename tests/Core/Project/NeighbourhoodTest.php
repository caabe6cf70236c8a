<?php

declare(strict_types=1);

namespace Tests\Core\Project;

use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Neighbourhood;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Track\Run;
use PHPUnit\Framework\TestCase;
use Tests\Build;

final class NeighbourhoodTest extends TestCase
{
    /** What is passed over because it lies far off is what would not have reached the board anyway. */
    public function test_what_lies_far_off_is_left_out_and_nothing_else(): void
    {
        mt_srand(11);
        for ($n = 0; $n < 25; $n++) {
            $place = fn (): float => (float) mt_rand(-1500, 1500);
            $boards = $runs = [];
            for ($k = 1; $k <= 7; $k++) {
                $boards[] = Section::of(
                    Build::uid($k),
                    "Board {$k}",
                    (float) mt_rand(200, 1300),
                    (float) mt_rand(150, 700),
                    $place(),
                    $place(),
                    (float) mt_rand(0, 359),
                );
                $runs[] = Build::straight(20 + $k, 0.0, 0.0, 0.0, length: (float) mt_rand(100, 900))
                    ->but(start: new Point($place(), $place()), headingDeg: (float) mt_rand(0, 359));
            }
            $project = Project::of(new LayoutSheet(Build::uid(900), 'Trial', 87.1, 16.5), $boards, $runs);
            foreach ($boards as $board) {
                $near = [];
                foreach ($runs as $run) {
                    if ($run->seenFrom($board->placement)->alignment->reaches(0.0, 0.0, $board->width, $board->depth, 300.0)) {
                        $near[] = $run->uid;
                    }
                }
                $this->assertSame($near, array_map(fn (Run $r): string => $r->uid, $project->runsNear($board)), "{$n}, {$board->name}");
            }
        }
    }

    public function test_boards_that_touch_by_a_corner_meet_and_hang_together_beyond_their_neighbours(): void
    {
        $row = array_map(
            fn (int $k): Section => Section::of(Build::uid($k), "Board {$k}", 600.0, 300.0, 600.0 * $k, 300.0 * $k, edges: [
                'left' => [[0.0, 10.0]],
            ]),
            range(1, 4),
        );
        $apart = Section::of(Build::uid(9), 'Apart', 600.0, 300.0, 3001.1, 1500.0, edges: ['left' => [[0.0, 10.0]]]);
        $around = Neighbourhood::of(Project::of(new LayoutSheet(Build::uid(900), 'Trial', 87.1, 16.5), [...$row, $apart]));
        $names = fn (array $boards): array => array_map(fn (Section $s): string => $s->name, $boards);

        $this->assertSame(['Board 1', 'Board 3'], $names($around->meeting($row[1])));
        $this->assertSame(['Board 1', 'Board 2', 'Board 3', 'Board 4'], $names($around->together($row[0])));
        $this->assertSame([], $around->meeting($apart));
        $this->assertSame(['Apart'], $names($around->together($apart)));
    }
}
