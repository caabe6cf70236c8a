<?php

declare(strict_types=1);

namespace Tests\Core\Rulebook;

use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\LayoutClearance;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Rulebook\Rulebook;
use IdleRidge\Core\Track\Crossing;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunEnds;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\Turnout;
use IdleRidge\Core\Track\Vehicle;
use IdleRidge\Core\Track\VehicleSweeps;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Build;
use Tests\Whole;

/** Tracks that leave, cross, pass and meet each other at random, and all that is said of them, as it was when looked at with care. */
final class WholeTracksTest extends TestCase
{
    #[DataProvider('seeds')]
    public function test_random_tracks_are_as_they_were(int $seed): void
    {
        $project = $this->random(new Randomizer(new Xoshiro256StarStar(3000 + $seed)), $seed);
        $study = Build::study($project);
        $this->assertNull(Whole::difference("random-tracks-{$seed}", $this->told($study)));
    }

    /** @return list<array{int}> */
    public static function seeds(): array
    {
        return array_map(fn (int $seed): array => [$seed], range(1, 16));
    }

    /** @return array<string, mixed> */
    private function told(LandStudy $study): array
    {
        $project = $study->project;
        $vehicles = $project->layout->clearance->vehicles;

        return [
            'findings' => Rulebook::check($study),
            'figures' => $study->figures(),
            'walls' => array_map(get_object_vars(...), $study->walls),
            'earthworks' => $study->terrain->earthworks(),
            'turnouts' => array_map(
                get_object_vars(...),
                Turnout::among($project->runs, $vehicles, $project->layout->clearance->margin),
            ),
            'crossings' => array_map(fn (Run $run): array => Crossing::between($project->runs[3], $run), array_slice($project->runs, 0, 3)),
            'ends' => array_map(fn (Run $run): mixed => RunEnds::along($run, $project->runs), $project->runs),
            'runs' => array_map(fn (Run $run): array => [
                $run->alignment->length,
                $run->alignment->polyline(0.0, $run->alignment->length, 25.0),
                array_map(
                    fn (int $k): array => (new VehicleSweeps($run->alignment, $vehicles))->at($run->alignment->length * $k / 12.0),
                    range(0, 12),
                ),
                array_map(fn (int $k): float => $run->grade->heightAt($run->alignment->length * $k / 12.0), range(0, 12)),
            ], $project->runs),
        ];
    }

    /** A main line with a curve and grades, a branch that leaves it, a second track beside, a road across, structures at random. */
    private function random(Randomizer $random, int $seed): Project
    {
        $of = fn (float $low, float $high): float => round(Build::between($random, $low, $high), 1);
        $y = $of(180.0, 300.0);
        $level = $of(20.0, 70.0);
        $toe = $of(150.0, 350.0);
        $profile = Build::evenProfile($of(14.0, 26.0), $of(0.8, 2.0));
        $kind = ['tunnel', 'bridge'][$seed % 2];
        $from = $of(420.0, 600.0);
        $main = Build::run(
            1,
            -30.0,
            $y,
            $of(-1.0, 1.0),
            [
                ['kind' => 'tangent', 'length_mm' => $of(380.0, 480.0)],
                ['kind' => 'arc', 'radius_mm' => $of(420.0, 900.0), 'angle_deg' => $of(4.0, 22.0) * ($seed % 3 === 0 ? -1.0 : 1.0)],
                ['kind' => 'tangent', 'length_mm' => $of(500.0, 800.0)],
            ],
            $level,
            [[$of(100.0, 200.0), $level], [$of(400.0, 700.0), $level + $of(-14.0, 14.0)]],
            $profile,
            [['kind' => $kind, 'from_mm' => $from, 'to_mm' => $from + $of(80.0, 300.0)]],
        );
        $there = $main->alignment->pointAt($toe);
        $branch = Build::run(
            2,
            $there->x,
            $there->y,
            $main->alignment->headingAt($toe),
            [
                ['kind' => 'arc', 'radius_mm' => $of(380.0, 700.0), 'angle_deg' => $of(6.0, 16.0) * ($seed % 4 === 0 ? -1.0 : 1.0)],
                ['kind' => 'tangent', 'length_mm' => $of(200.0, 500.0)],
            ],
            $main->grade->heightAt($toe) + ($seed % 5 === 0 ? $of(0.1, 2.0) : 0.0),
            [],
            $profile,
        );
        $beside = Build::straight(3, $y + $of(36.0, 70.0) * ($seed % 2 === 0 ? -1.0 : 1.0), $level + $of(-6.0, 6.0), $level, $profile);
        $road = Build::run(
            4,
            $of(500.0, 900.0),
            -20.0,
            $of(75.0, 105.0),
            [['kind' => 'tangent', 'length_mm' => $of(500.0, 680.0)]],
            $level + $of(-20.0, 60.0),
            [],
            Build::evenProfile($of(18.0, 40.0)),
        )->but(kind: RunKind::Road);
        $spots = array_map(
            fn (int $k): object => Build::spot(10 + $k, $of(20.0, 1180.0), $of(20.0, 580.0), $of(0.0, 150.0)),
            range(0, 3),
        );

        return Build::project([$main, $branch, $beside, $road], $spots, [
            'clearance' => new LayoutClearance([Vehicle::coach(), Vehicle::from(80.0, 50.0, 34.0, 46.0, 'van')], $of(1.0, 9.0)),
            'faceLimitDeg' => $of(50.0, 80.0),
            'bankReach' => $seed % 3 === 0 ? $of(60.0, 160.0) : null,
        ]);
    }
}
