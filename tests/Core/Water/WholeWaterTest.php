<?php

declare(strict_types=1);

namespace Tests\Core\Water;

use IdleRidge\Core\Land\AngleOfRepose;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Rulebook\Rulebook;
use IdleRidge\Core\Water\BedColours;
use IdleRidge\Core\Water\BedOutlines;
use IdleRidge\Core\Water\Dam;
use IdleRidge\Core\Water\Mirror;
use IdleRidge\Core\Water\WaterBody;
use IdleRidge\Core\Water\Waters;
use IdleRidge\Core\Water\WaterSheet;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Build;
use Tests\Whole;

/** Waters of whole layouts and of random boards, to the last digit as they were when they were looked at with care. */
final class WholeWaterTest extends TestCase
{
    #[DataProvider('sections')]
    public function test_waters_of_a_section_are_as_they_were(string $layout, string $section): void
    {
        $study = Whole::study($layout, $section);
        $name = strtolower(str_replace(' ', '-', $section));
        $this->assertNull(Whole::difference("{$layout}-water-{$name}", $this->told($study)));
    }

    /** @return array<string, array{string, string}> */
    public static function sections(): array
    {
        return Whole::sections();
    }

    #[TestWith([1])]
    #[TestWith([2])]
    #[TestWith([3])]
    #[TestWith([4])]
    #[TestWith([5])]
    #[TestWith([6])]
    #[TestWith([7])]
    #[TestWith([8])]
    public function test_waters_of_random_boards_are_as_they_were(int $seed): void
    {
        $this->assertNull(Whole::difference("random-water-{$seed}", $this->told(Build::study($this->random($seed)))));
    }

    /** @return array<string, mixed> */
    private function told(LandStudy $study): array
    {
        $survey = Whole::water($study);
        $outlines = new BedOutlines($study->model);
        $colours = new BedColours(['name' => 'peat', 'hex' => '#5c4a2e'], ['name' => 'sand', 'hex' => '#bca878']);

        return [
            'survey' => $survey,
            'findings' => Rulebook::checkWater($study->project, $survey),
            'land' => Rulebook::check($study),
            'bodies' => array_map(fn (WaterBody $body): array => [
                'margin' => $body->margin(),
                'out' => $body->runsOut(),
                'bands' => $body->bands(4),
                'outlines' => $outlines->of($body->uid, [0.0, $body->curve->most / 3.0, $body->curve->most / 1.5]),
                'colours' => array_map(
                    fn (int $band): array => [$colours->parts($band, 4, true), $colours->hex($colours->darkShare($band, 4, false))],
                    [0, 1, 2, 3],
                ),
                'dams' => array_map(
                    fn (Dam $dam): array => [$dam->height(), $dam->deep(), $dam->hold(), $dam->seal(), $dam->template($body->called())],
                    $body->dams,
                ),
            ], $survey->bodies),
            'sheets' => array_map(
                fn (WaterBody $body): array => get_object_vars(
                    (new WaterSheet(300.0, 200.0, 3.0))->cut($outlines->of($body->uid, [0.0])[0]),
                ),
                $survey->bodies,
            ),
        ];
    }

    /** A board of odd size with a neighbour, ponds over its edges, a stream, a run that passes them, and a mirror. */
    private function random(int $seed): Project
    {
        $random = new Randomizer(new Xoshiro256StarStar(1000 + $seed));
        $of = fn (float $low, float $high): float => round(Build::between($random, $low, $high), 1);
        [$width, $depth] = [$of(700.0, 1301.0), $of(380.0, 620.0)];
        $features = [];
        foreach ([1, 2, 3] as $n) {
            $features[] = Build::spot($n, $of(20.0, $width - 20.0), $of(20.0, $depth - 20.0), $of(10.0, 120.0));
        }
        $features[] = Ponds::stream(
            [[$of(100.0, 300.0), $depth + 20.0], [$of(200.0, 400.0), $of(150.0, 250.0)], [$of(100.0, 500.0), -20.0]],
            $of(8.0, 40.0),
            $of(1.0, 8.0),
        );
        foreach ([4, 5] as $n) {
            [$x, $y] = [$of(100.0, $width), $of(0.0, $depth)];
            [$a, $b, $corners] = [$of(50.0, 190.0), $of(40.0, 120.0), $random->getInt(5, 14)];
            $features[] = Ponds::pond(
                array_map(fn (int $k): array => [
                    $x + $a * cos(2.0 * M_PI * $k / $corners),
                    $y + $b * sin(2.0 * M_PI * $k / $corners),
                ], range(0, $corners - 1)),
                $of(10.0, 70.0),
                $of(4.0, 30.0),
                $of(5.0, 60.0),
                $n,
            );
        }
        $run = Build::straight(
            40,
            $of(100.0, $depth - 100.0),
            $of(20.0, 60.0),
            $of(60.0, 90.0),
            Build::evenProfile(20.0, AngleOfRepose::EARTH_DEG / 25.0),
            structures: [
                ['kind' => ['tunnel', 'bridge'][$seed % 2], 'from_mm' => $of(200.0, 400.0), 'to_mm' => $of(420.0, 650.0)],
            ],
        );
        $project = Build::project([$run], $features, base: 20.0);
        $boards = [
            Section::of(Build::uid(901), 'Board', $width, $depth, base: 20.0),
            Section::of(Build::uid(902), 'Next', 500.0, $depth, $width, 0.0, base: 20.0),
        ];
        [$x, $high, $facing] = [$of(100.0, $width), $of(15.0, 50.0), $of(-120.0, -60.0)];
        $mirror = new Mirror(Build::uid(70), Build::uid(901), 'Glass', $x, $depth - 5.0, 30.0, $high, $facing);

        return Project::of($project->layout, $boards, $project->runs, $project->features)
            ->working(new Works(waters: new Waters([], [$mirror])));
    }
}
