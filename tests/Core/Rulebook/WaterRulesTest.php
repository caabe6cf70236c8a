<?php

declare(strict_types=1);

namespace Tests\Core\Rulebook;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Planting\Growth;
use IdleRidge\Core\Planting\Species;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Planting\Tree;
use IdleRidge\Core\Planting\TreeForm;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Viewing;
use IdleRidge\Core\Project\WaterStudy;
use IdleRidge\Core\Project\WaterSurvey;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Rulebook\Rulebook;
use IdleRidge\Core\Water\Mirror;
use IdleRidge\Core\Water\Waters;
use PHPUnit\Framework\TestCase;
use Tests\Build;
use Tests\Core\Water\Ponds;

final class WaterRulesTest extends TestCase
{
    /** @return array<string, Finding> by id */
    private static function found(Project $project, ?WaterSurvey $survey = null): array
    {
        $out = [];
        foreach (Rulebook::checkWater($project, $survey ?? Ponds::survey($project)) as $finding) {
            $out[$finding->id] = $finding;
        }

        return $out;
    }

    public function test_water_over_its_bank_and_water_at_the_brim(): void
    {
        $ring = Build::square(400, 200, 700, 400);
        foreach (['48.9' => null, '49.1' => 'water-margin', '50.4' => 'water-margin', '50.6' => 'water-spills'] as $level => $id) {
            $found = self::found(Build::project([], [Ponds::pond($ring, (float) $level)], base: 50.0));
            $this->assertSame($id === null ? [] : [$id], array_keys($found), "{$level} under land at 50");
        }
        $found = self::found(Build::project([], [Ponds::pond($ring, 52.0)], base: 50.0))['water-spills'];
        $this->assertEqualsWithDelta(-2.0, $found->figures['margin']->value, 0.1);
        $this->assertMatchesRegularExpression('/off the board at the (front|back)/', $found->why);
    }

    public function test_the_way_it_would_run_is_told(): void
    {
        // Land falls to the front, where a track runs across.
        $features = [
            Build::spot(1, 0.0, 0.0, 30.0), Build::spot(2, 1200.0, 0.0, 30.0),
            Build::spot(3, 0.0, 600.0, 70.0), Build::spot(4, 1200.0, 600.0, 70.0),
            Ponds::pond(Build::square(500, 380, 700, 520), 60.0, 10.0),
        ];
        $track = Build::straight(40, 150.0, 40.0, 40.0, Build::evenProfile());
        $study = Build::study(Build::project([$track], $features));
        $water = WaterStudy::of($study);
        $way = $water->way($water->bodies()[0]);
        $this->assertStringContainsString('the formation of Run 40', $way);
        $this->assertStringContainsString('off the board at the front', $way);
        $bridged = Build::straight(40, 150.0, 40.0, 40.0, Build::evenProfile(), structures: [
            ['kind' => 'bridge', 'from_mm' => 300.0, 'to_mm' => 900.0],
        ]);
        $under = WaterStudy::of(Build::study(Build::project([$bridged], $features)));
        $this->assertStringNotContainsString('formation', $under->way($under->bodies()[0]), 'under the bridge');
    }

    public function test_into_the_mouth_of_a_tunnel(): void
    {
        // A hill over the tunnel; the pond lies above its mouth, in a cutting that leads down into it.
        $features = [
            Build::spot(1, 0.0, 300.0, 60.0), Build::spot(2, 500.0, 300.0, 70.0), Build::spot(3, 700.0, 300.0, 140.0),
            Build::spot(4, 1200.0, 300.0, 140.0), Build::spot(7, 300.0, 0.0, 90.0), Build::spot(8, 300.0, 600.0, 90.0),
            Ponds::pond(Build::square(340, 340, 440, 440), 72.0, 8.0, 20.0),
        ];
        $track = Build::straight(40, 300.0, 60.0, 40.0, Build::evenProfile(20.0, 1.0), structures: [
            ['kind' => 'tunnel', 'from_mm' => 600.0, 'to_mm' => 1200.0],
        ]);
        $water = WaterStudy::of(Build::study(Build::project([$track], $features)));
        $body = $water->bodies()[0];
        $this->assertLessThan(0.0, $body->margin());
        $this->assertStringContainsString('into the tunnel of Run 40', $water->way($body));
    }

    public function test_water_over_a_tunnel_by_what_is_left_between(): void
    {
        $at = function (float $track): array {
            $run = Build::straight(40, 300.0, $track, $track, Build::evenProfile(), structures: [
                ['kind' => 'tunnel', 'from_mm' => 300.0, 'to_mm' => 900.0],
            ]);
            $spots = [Build::spot(1, 0.0, 0.0, 150.0), Build::spot(2, 1200.0, 0.0, 150.0), Build::spot(3, 600.0, 600.0, 150.0)];

            return self::found(Build::project([$run], [...$spots, Ponds::pond(Build::square(500, 220, 700, 380), 148.0, 10.0)]));
        };
        // Bed at 138, over room and lining: what is left is told to the tenth, and ten is the limit.
        $lid = $at(40.0)['water-over-tunnel']->figures['lid']->value;
        $this->assertSame('care', $at(40.0)['water-over-tunnel']->severity->value);
        $this->assertSame('care', $at(40.0 + $lid - 10.1)['water-over-tunnel']->severity->value);
        $this->assertSame('stop', $at(40.0 + $lid - 9.9)['water-over-tunnel']->severity->value);
        // A tunnel that lies beside the board is not under it, whatever lies over it there.
        $beside = Build::run(40, 1210.0, 300.0, 0.0, [['kind' => 'tangent', 'length_mm' => 200.0]], 20.0, [], Build::evenProfile(), [
            ['kind' => 'tunnel', 'from_mm' => 10.0, 'to_mm' => 190.0],
        ]);
        $over = Ponds::pond(Build::square(1100, 220, 1400, 380), -2.0);
        $this->assertArrayNotHasKey('water-over-tunnel', self::found(Build::project([$beside], [$over])));
        $this->assertArrayNotHasKey('water-over-tunnel', self::found(Build::project([], [
            Ponds::pond(Build::square(500, 220, 700, 380), -2.0),
        ])));
    }

    public function test_water_over_a_joint_at_two_levels(): void
    {
        // Drawn over the joint, or up to it from either side.
        foreach ([['47.6', 6.0, []], ['47.4', 6.0, ['water-joint-step']], ['48', 0.0, []], ['47', 0.0, ['water-joint-step']]] as $case) {
            [$level, $over, $ids] = $case;
            $project = Project::of(
                new LayoutSheet(uid: Build::uid(900), name: 'Trial', ratio: 87.1, gauge: 16.5),
                [
                    Section::of(Build::uid(901), 'Board', 1200.0, 600.0, base: 50.0),
                    Section::of(Build::uid(902), 'Next', 800.0, 600.0, 1200.0, base: 50.0),
                ],
                [],
                [
                    Build::spot(1, 0.0, 0.0, 50.0), Build::spot(2, 2000.0, 0.0, 50.0), Build::spot(3, 1000.0, 600.0, 50.0),
                    Ponds::pond([[1000.0, 200.0], [1200.0 + $over, 200.0], [1200.0 + $over, 400.0], [1000.0, 400.0]], 48.0),
                    Ponds::pond(
                        [[1200.0 - $over, 200.0], [1400.0, 200.0], [1400.0, 400.0], [1200.0 - $over, 400.0]],
                        (float) $level,
                        n: 15,
                    ),
                ],
            );
            $model = $project->land($project->sections[0], GroundSolver::solve($project->groundProblem($project->sections[0])));
            $study = LandStudy::of($project, $project->sections[0], $model, $model->terrain(5.0));
            $survey = WaterSurvey::of(WaterStudy::of($study));
            $dam = $survey->bodies[0]->dams[0];
            $this->assertSame([BoardEdge::Right, 'Next'], [$dam->edge, $dam->joint]);
            $this->assertStringContainsString('Next', $dam->seal());
            $found = array_values(array_intersect(array_keys(self::found($project, $survey)), ['water-joint-step']));
            $this->assertSame($ids, $found, "{$level} against 48");
        }
    }

    public function test_what_levels_itself_does_not_stay_on_a_slope(): void
    {
        $coats = fn (string $recipe): array => [
            new Coat(Build::uid(61), Build::uid(60), Build::recipe('bed-paint')),
            new Coat(Build::uid(62), Build::uid(60), Build::recipe($recipe), 3.0),
        ];
        $project = function (float $drop, string $recipe) use ($coats): Project {
            $spots = [
                Build::spot(1, 0.0, 0.0, 50.0 + $drop), Build::spot(2, 0.0, 600.0, 50.0 + $drop),
                Build::spot(3, 1200.0, 0.0, 50.0), Build::spot(4, 1200.0, 600.0, 50.0),
            ];

            return Build::project([], [...$spots, Ponds::stream([[0.0, 300.0], [1200.0, 300.0]])])
                ->working(new Works([new Zone(Build::uid(60), Build::uid(901), 'Beck', water: Build::uid(6))], $coats($recipe)));
        };
        $found = fn (float $drop, string $recipe): ?Finding => self::found($project($drop, $recipe))['pour-on-slope'] ?? null;
        // 0.3° over 1200 mm is 6.28 mm, 12° is 255.
        $this->assertNull($found(6.0, 'two-part-resin'));
        $resin = $found(7.0, 'two-part-resin');
        $this->assertNotNull($resin);
        $this->assertSame(2.0, $resin->figures['dams']->value, 'steps of three over seven');
        $this->assertStringContainsString('2 small dams', $resin->do);
        $this->assertNull($found(240.0, 'gloss-medium'), 'thin coats stay');
        $this->assertNotNull($found(270.0, 'gloss-medium'));
    }

    public function test_an_end_before_all_eyes_unless_a_mirror_or_a_bridge_is_there(): void
    {
        $build = function (array $edges, array $mirrors = [], array $runs = [], array $features = []): array {
            $beck = Ponds::stream([[600.0, 200.0], [600.0, 650.0]]);
            $project = Build::project($runs, [$beck, ...$features], ['viewing' => new Viewing($edges)], 50.0)
                ->working(new Works(waters: new Waters([], $mirrors)));

            return [self::found($project), Ponds::survey($project)];
        };
        [$found, $survey] = $build([BoardEdge::Front]);
        $this->assertArrayHasKey('stream-end-seen', $found);
        $this->assertEqualsWithDelta(100.0, $found['stream-end-seen']->figures['seen']->value, 0.1);
        $this->assertSame(BoardEdge::Back, $survey->ends[0]->edge);
        $this->assertArrayNotHasKey('stream-end-seen', $build([BoardEdge::Back])[0], 'people stand at that edge: it is cut there');
        $this->assertArrayNotHasKey('stream-end-seen', $build([])[0], 'nobody looks');
        $mirror = new Mirror(Build::uid(70), Build::uid(901), 'Glass', 600.0, 595.0, 30.0, 20.0, -90.0);
        $this->assertArrayNotHasKey('stream-end-seen', $build([BoardEdge::Front], [$mirror])[0]);
        $bridge = Build::straight(40, 560.0, 65.0, 65.0, Build::evenProfile(), structures: [
            ['kind' => 'bridge', 'from_mm' => 300.0, 'to_mm' => 900.0],
        ]);
        [, $bridged] = $build([BoardEdge::Front], [], [$bridge]);
        $this->assertContains('a bridge', $bridged->ends[0]->hidden);
        $this->assertLessThan(1.0, $bridged->ends[0]->seen);
        $this->assertEqualsWithDelta(65.0 - 8.0 - 48.0, $bridged->ends[0]->under ?? 0.0, 0.5, 'headroom over the water');
        $trees = array_map(fn (float $x): Tree => new Tree($x, 570.0, 0, 90.0, 70.0), [560.0, 600.0, 640.0]);
        $fir = new Species('Fir', TreeForm::Bush, 5.0, 9.0, 3.0, 6.0);
        $wood = new Stand(Build::uid(75), Build::uid(901), 'Copse', null, [$fir], trees: $trees);
        $project = Build::project([], [Ponds::stream([[600.0, 200.0], [600.0, 650.0]])], ['viewing' => new Viewing()], 50.0);
        $behind = Ponds::survey($project->working(new Works(growth: new Growth([$wood]))))->ends[0];
        $this->assertSame(['trees'], array_values(array_diff($behind->hidden, ['the land'])));
        $this->assertLessThan(0.5, $behind->seen);
        $hill = [Build::spot(1, 0.0, 400.0, 300.0), Build::spot(2, 1200.0, 400.0, 300.0), Build::spot(3, 600.0, 560.0, 40.0)];
        [, $hidden] = $build([BoardEdge::Front], [], [], $hill);
        $this->assertContains('the land', $hidden->ends[0]->hidden);
        $this->assertLessThan(1.0, $hidden->ends[0]->seen);
    }

    public function test_mirrors_that_show_what_they_should_not(): void
    {
        $found = function (float $facing, float $high = 20.0, array $edges = [BoardEdge::Front], array $zones = []): array {
            $mirror = new Mirror(Build::uid(70), Build::uid(901), 'Glass', 600.0, 590.0, 30.0, $high, $facing);
            $project = Build::project([], [Build::spot(1, 600.0, 300.0, 50.0)], ['viewing' => new Viewing($edges)], 50.0)
                ->working(new Works($zones, waters: new Waters([], [$mirror])));

            return self::found($project);
        };
        $this->assertSame([], $found(-90.0), 'low, and looked down on, it shows the board');
        $tall = $found(-90.0, 600.0);
        $this->assertSame(['mirror-shows-viewer'], array_keys($tall));
        $this->assertMatchesRegularExpression('/Turn it \d+° to the (left|right)\.|No other angle/', $tall['mirror-shows-viewer']->do);
        $this->assertSame(['mirror-faces-no-edge'], array_keys($found(90.0)));
        $this->assertStringContainsString('Turn it', $found(90.0)['mirror-faces-no-edge']->do);
        $this->assertSame(['mirror-faces-no-edge'], array_keys($found(-90.0, 20.0, [])), 'looked at from nowhere');
        $this->assertStringContainsString('Move it', $found(-90.0, 20.0, [])['mirror-faces-no-edge']->do);
        $aside = $found(-45.0, 500.0);
        $this->assertSame(['mirror-shows-beyond'], array_keys($aside));
        $sky = fn (int $n, string $edge): Zone => new Zone(
            Build::uid($n),
            Build::uid(901),
            $edge,
            backdrop: ['edge' => $edge, 'height' => 900.0],
        );
        $this->assertSame([], $found(-45.0, 500.0, [BoardEdge::Front], [$sky(80, 'right'), $sky(81, 'back')]));
        $this->assertArrayHasKey('mirror-shows-beyond', $found(-45.0, 500.0, [BoardEdge::Front], [$sky(80, 'right')]));
    }
}
