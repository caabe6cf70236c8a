<?php

declare(strict_types=1);

namespace Tests\Core\Coats;

use IdleRidge\Core\Coats\AreaProfile;
use IdleRidge\Core\Coats\Ballast;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Ingredient;
use IdleRidge\Core\Coats\Labour;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\MeasureRule;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\Stage;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Cure\CureFigures;
use IdleRidge\Core\Cure\Mechanism;
use IdleRidge\Core\Geometry\CellCoverage;
use IdleRidge\Core\Geometry\Polygon;
use IdleRidge\Core\Interchange\RecipeFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Track\FormationProfile;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Build;
use Tests\Fixtures;

final class CoatsTest extends TestCase
{
    public function test_covered_cells_add_up_to_any_polygon_and_are_whole_inside(): void
    {
        $lines = range(0.0, 100.0, 5.0);
        for ($seed = 1; $seed <= 200; $seed++) {
            $random = new Randomizer(new Xoshiro256StarStar($seed));
            $ring = [];
            $corners = $random->getInt(3, 14);
            for ($k = 0; $k < $corners; $k++) {
                $r = $random->getInt(8, 48);
                $ring[] = [50.0 + $r * cos((2 * M_PI * $k) / $corners), 50.0 + $r * sin((2 * M_PI * $k) / $corners)];
            }
            $cover = CellCoverage::of([$ring], $lines, $lines);
            $this->assertEqualsWithDelta(Polygon::area($ring), 25.0 * array_sum($cover), 1e-6, "seed {$seed}");
            $this->assertLessThanOrEqual(1.0, max($cover));
            $hole = array_reverse(array_map(fn (array $p): array => [50.0 + 0.4 * ($p[0] - 50.0), 50.0 + 0.4 * ($p[1] - 50.0)], $ring));
            $this->assertEqualsWithDelta(
                0.84 * Polygon::area($ring),
                25.0 * array_sum(CellCoverage::of([$ring, $hole], $lines, $lines)),
                1e-6,
                "seed {$seed}",
            );
        }
    }

    public function test_a_ring_is_cut_by_a_rectangle_and_crossings_are_seen(): void
    {
        $star = [[0.0, 0.0], [100.0, 0.0], [100.0, 100.0], [50.0, 20.0], [0.0, 100.0]];
        $this->assertEqualsWithDelta(
            Polygon::area($star),
            Polygon::area(Polygon::within($star, 0, 0, 100, 40)) + Polygon::area(Polygon::within($star, 0, 40, 100, 100)),
            1e-9,
        );
        $this->assertSame([], Polygon::within($star, 200, 0, 300, 100));
        $this->assertFalse(Polygon::crossesItself($star));
        $this->assertTrue(Polygon::crossesItself([[0.0, 0.0], [10.0, 10.0], [10.0, 0.0], [0.0, 10.0]]));
        $this->assertEqualsWithDelta(10.0, Polygon::depth(Build::square(0, 0, 100, 50), 50.0, 10.0), 1e-9);
        $this->assertEqualsWithDelta(-5.0, Polygon::depth(Build::square(0, 0, 100, 50), 105.0, 10.0), 1e-9);
    }

    public function test_a_drawn_zone_has_the_true_area_of_a_slope(): void
    {
        // A plane rising 3 in 4 along x: true area is plan × 5/4.
        $zone = Build::zone(1, ['outline' => [[103.0, 52.0], [411.0, 77.0], [380.0, 301.0], [98.0, 240.0]]]);
        $area = Build::planeSurvey([$zone], 0.75)->zone($zone->uid);
        $plan = Polygon::area((array) $zone->outline);
        $this->assertEqualsWithDelta($plan, $area->plan, 1e-6 * $plan);
        $this->assertEqualsWithDelta(1.25 * $plan, $area->surface, 0.005 * $plan);
        $this->assertEqualsWithDelta($area->surface, $area->steeperThan(36.0), 1e-6 * $plan);
        $this->assertSame(0.0, $area->steeperThan(37.0), 'the plane has 36.87°');
        $this->assertEqualsWithDelta($area->surface, $area->acrossX->total(), 1e-3);
        $this->assertEqualsWithDelta($area->surface, $area->acrossY->total(), 1e-3);
    }

    public function test_zones_by_rule_follow_track_and_slope(): void
    {
        $run = Build::straight(5, 300.0, 40.0, 40.0);
        $near = Build::zone(1, ['near' => ['run' => $run->uid, 'from' => 0.0, 'to' => 30.0]]);
        $beyond = Build::zone(2, ['near' => ['run' => null, 'from' => 30.0, 'to' => 80.0]]);
        $rest = Build::zone(3, ['without' => [$near->uid, $beyond->uid]]);
        $survey = Build::planeSurvey([$near, $beyond, $rest], runs: [$run]);
        $this->assertEqualsWithDelta(1200 * 60, $survey->zone($near->uid)->plan, 0.005 * 72_000);
        $this->assertEqualsWithDelta(1200.0, $survey->zone($near->uid)->trackX->total(), 3.0);
        $this->assertEqualsWithDelta(1200 * 100, $survey->zone($beyond->uid)->plan, 0.005 * 120_000);
        $this->assertSame(0.0, $survey->zone($beyond->uid)->trackX->total());
        $this->assertEqualsWithDelta(1200 * 440, $survey->zone($rest->uid)->plan, 0.005 * 528_000);
        $this->assertFalse($survey->overlap($near->uid, $beyond->uid)->counts(), 'neighbours share an edge');
        $flat = Build::zone(4, ['slope' => [0.0, 30.0]]);
        $steep = Build::zone(6, ['slope' => [30.0, 90.0]]);
        $survey = Build::planeSurvey([$flat, $steep], 0.75);
        $this->assertSame(0.0, $survey->zone($flat->uid)->plan);
        $this->assertEqualsWithDelta(720_000.0, $survey->zone($steep->uid)->plan, 1.0);
    }

    public function test_overlaps_and_what_is_left(): void
    {
        $a = Build::zone(1, ['outline' => Build::square(100, 100, 500, 400)]);
        $b = Build::zone(2, ['outline' => Build::square(400, 200, 800, 300)]);
        $survey = Build::planeSurvey([$a, $b]);
        $this->assertEqualsWithDelta(100.0 * 100.0, $survey->overlap($a->uid, $b->uid)->area, 30.0);
        $this->assertEqualsWithDelta(400.0 * 200.0, $survey->left($a->uid, [[Build::square(100, 100, 500, 200)]])->surface, 1.0);
        $this->assertEqualsWithDelta(0.0, $survey->left($a->uid, [[Build::square(0, 0, 600, 500)]])->surface, 1e-6);
    }

    public function test_zones_that_cannot_be_are_refused(): void
    {
        foreach (
            [
                'name' => ['name' => ' '],
                'outline' => ['outline' => [[0.0, 0.0], [10.0, 10.0], [10.0, 0.0], [0.0, 10.0]]],
                'slope/to' => ['slope' => [30.0, 30.0]],
                'near/to' => ['near' => ['run' => null, 'from' => 40.0, 'to' => 20.0]],
                'without' => ['without' => [Build::uid(1)]],
            ] as $place => $with
        ) {
            $this->assertSame($place, self::place(fn (): Zone => Build::zone(1, $with)));
        }
        $pair = [Build::zone(1, ['without' => [Build::uid(2)]]), Build::zone(2, ['without' => [Build::uid(1)]])];
        $this->assertSame('without', self::place(fn () => Build::planeSurvey($pair)->zone(Build::uid(1))));
    }

    public function test_a_rule_is_a_sentence(): void
    {
        $zone = Build::zone(1, [
            'outline' => Build::square(0, 0, 9, 9),
            'slope' => [30.0, 90.0],
            'near' => ['run' => 'r', 'from' => 0.0, 'to' => 40.0],
            'without' => ['z'],
        ]);
        $this->assertSame(
            'As drawn, 30° and steeper, within 40 mm of Branch, without Tarn',
            $zone->sentence(['r' => 'Branch', 'z' => 'Tarn']),
        );
        $this->assertSame('The whole board', Build::zone(1)->sentence([]));
    }

    public function test_strips_share_out_evenly_from_back_to_front(): void
    {
        $profile = new AreaProfile([0.0, 10.0, 20.0, 30.0], [0 => 100.0, 1 => 0.0, 2 => 300.0]);
        [$back, $front] = $profile->strips(2, true);
        $this->assertEqualsWithDelta(200.0, $profile->between(...$back), 1e-9);
        $this->assertEqualsWithDelta(200.0, $profile->between(...$front), 1e-9);
        $this->assertGreaterThan($front[0], $back[0]);
        $this->assertEqualsWithDelta(30.0 - 10.0 / 3.0, $profile->cutAt(0.25, true), 1e-9);
    }

    public function test_amounts_by_area_bed_pores_and_plaster(): void
    {
        // 2 dm² at 3 mm: a bed of 60 ml.
        $of = fn (Ingredient $part): array => array_map(
            fn (array $a): string => round($a['amount'], 3)." {$a['unit']} {$a['material']}",
            $part->amounts(20_000.0, 60_000.0),
        );
        $this->assertSame(['3 ml glue'], $of(new Ingredient(MeasureRule::Area, 150.0, 'ml', [['material' => 'glue', 'parts' => 1.0]])));
        $this->assertSame(['90 g stone'], $of(new Ingredient(MeasureRule::Volume, 1.5, 'g', [['material' => 'stone', 'parts' => 1.0]])));
        // 60 × 0.42 × 0.5 = 12.6, and 100 ml/m² × 0.02 m² = 2 into the base: 14.6 in four parts.
        $this->assertSame(
            ['3.65 ml glue', '10.95 ml water'],
            $of(
                new Ingredient(
                    MeasureRule::Pores,
                    0.5,
                    'ml',
                    [['material' => 'glue', 'parts' => 1.0], ['material' => 'water', 'parts' => 3.0]],
                    0.42,
                    100.0,
                ),
            ),
        );
        foreach (Fixtures::vectors('plaster') as $case) {
            [$powder, $water] = (new Ingredient(MeasureRule::Plaster, $case['water_powder'], 'g', [
                ['material' => 'p', 'parts' => 1.0],
                ['material' => 'w', 'parts' => 1.0],
            ]))->amounts(0.0, 1000.0 * $case['yield_ml']);
            $this->assertEqualsWithDelta($case['powder_g'], $powder['amount'], 1e-3);
            $this->assertEqualsWithDelta($case['water_ml'], $water['amount'], 1e-3);
        }
        $this->assertEqualsWithDelta(
            1.262,
            1000.0 /
                (new Ingredient(
                    MeasureRule::Plaster,
                    0.75,
                    'g',
                    [['material' => 'p', 'parts' => 1.0], ['material' => 'w', 'parts' => 1.0]],
                    bulk: 1.12,
                ))->amounts(0.0, 1e6)[0]['amount'],
            1e-3,
        );
    }

    public function test_ballast_by_its_cross_section(): void
    {
        foreach (Fixtures::vectors('ballast') as $case) {
            $ballast = new Ballast(
                $case['sleeper_length_mm'],
                $case['sleeper_height_mm'],
                $case['sleeper_width_mm'],
                $case['pitch_mm'],
                $case['shoulder_mm'],
                $case['batter'],
            );
            $this->assertEqualsWithDelta($case['volume_ml'], $ballast->volume($case['length_mm']) / 1000.0, 1e-3);
        }
        $bare = Ballast::forTrack(87.1, FormationProfile::from());
        $this->assertEqualsWithDelta(1000.0 * 2.0 * 3.0 * 5.0 * hypot(1.0, 1.5), $bare->volume(1000.0, 3.0) - $bare->volume(1000.0), 1e-6);
    }

    public function test_hands_on_time_falls_after_the_first_area(): void
    {
        $this->assertEqualsWithDelta(6 + 2 * 6 + 8 * 2, (new Labour(6.0, 2.0, 6.0, 2.0))->minutes(100_000.0, 0.0), 1e-9);
        $this->assertEqualsWithDelta(6 + 24, (new Labour(6.0, 0.0, metresPerHour: 2.5))->minutes(0.0, 1000.0), 1e-9);
    }

    public function test_recovered_material_has_to_lie_ready(): void
    {
        $this->assertEqualsWithDelta(100.0, (new MaterialAmount('fibre', 70.0, 'g', 0.3))->atHand(), 1e-9);
        $this->assertEquals(
            [new MaterialAmount('fibre', 30.0, 'g', 0.3)],
            MaterialAmount::sum([new MaterialAmount('fibre', 10.0, 'g', 0.3), new MaterialAmount('fibre', 20.0, 'g', 0.3)]),
        );
    }

    public function test_a_coat_first_stands_after_the_last_of_its_stage_or_an_earlier_one(): void
    {
        $one = fn (string $id): Coat => new Coat($id, 'z', Build::recipe($id));
        $coats = fn (string ...$ids): array => array_map($one, array_values($ids));
        [$soil] = $coats('sifted-soil');
        $this->assertSame(0, $soil->firstPlace([]));
        $this->assertSame(2, $soil->firstPlace($coats('pulp-plaster-spreading', 'earth-paint', 'fibre-4mm')));
        $this->assertSame(2, $soil->firstPlace($coats('earth-paint', 'fine-turf', 'fibre-4mm')), 'after those of its own stage');
        $this->assertSame(3, $soil->firstPlace($coats('fibre-4mm', 'wires-strung', 'earth-paint', 'tufts')), 'in a builder’s order too');
        $this->assertSame(0, $soil->firstPlace($coats('fibre-4mm')));
    }

    public function test_recipes_that_cannot_be_are_refused_at_their_place(): void
    {
        $file = json_decode((string) file_get_contents(dirname(__DIR__, 3).'/library/recipes/earth-paint.json'), true);
        $soil = json_decode((string) file_get_contents(dirname(__DIR__, 3).'/library/recipes/sifted-soil.json'), true);
        foreach (
            [
                '/parts' => ['parts' => []],
                '/parts/0/of' => [
                    'parts' => [['rule' => 'area', 'value' => 5, 'unit' => 'g', 'of' => [['material' => 'a', 'parts' => 0]]]],
                ],
                '/parts/0/rule' => ['parts' => [['rule' => 'by eye', 'value' => 5, 'unit' => 'g', 'of' => []]]],
                '/stage' => ['stage' => 'later'],
                '/family' => ['family' => 'glitter'],
                '/hazards' => ['hazards' => ['boredom']],
                '/needs/fibre' => ['needs' => ['fibre' => 'whenever']],
                '/labour/setup_min' => ['labour' => ['setup_min' => -1]],
                '/minutes' => ['minutes' => (object) []],
                '/colour' => ['colour' => 'green'],
            ] as $place => $with
        ) {
            $this->assertSame($place, self::place(fn (): Recipe => RecipeFile::read((string) json_encode($with + $file))), $place);
        }
        $step = fn (array $with, int $k): array => ['steps' => array_replace($soil['steps'], [$k => $with + $soil['steps'][$k]])];
        foreach (
            [
                '/parts' => ['parts' => $file['parts']],
                '/steps/2/after' => $step(['after' => 'when dry'], 2),
                '/steps/0/after' => $step(['after' => 'into the wet'], 0),
                '/steps/1/after' => $step(['after' => 'into the wet'], 1),
                '/steps/1/kind' => $step(['kind' => 'hope'], 1),
                '/steps/1/do' => $step(['do' => ' '], 1),
                '/steps/1/setup_min' => $step(['setup_min' => 241], 1),
                '/steps/1/minutes_per_dm2' => $step(['minutes_per_dm2' => 121], 1),
                '/then/0/then' => ['then' => [['id' => 'sifted-soil/2', 'then' => [$file]] + $file]],
                '/id' => ['id' => 'sifted+soil+', 'then' => []],
            ] as $place => $with
        ) {
            $this->assertSame($place, self::place(fn (): Recipe => RecipeFile::read((string) json_encode($with + $soil))), $place);
        }
        $written = RecipeFile::write(Build::recipe('sifted-soil'));
        $this->assertEquals(
            Build::recipe('sifted-soil'),
            RecipeFile::read((string) json_encode($written)),
            'what is written reads the same',
        );
    }

    public function test_a_missing_milestone_falls_to_the_safe_one(): void
    {
        $cure = new CureFigures('a', 'A', Mechanism::Evaporation, ['dry_through' => 100.0]);
        $slow = new Recipe(
            $cure,
            'A',
            'Lay',
            Stage::Cover,
            Family::Cover,
            [new Ingredient(MeasureRule::Area, 1.0, 'g', [['material' => 'm', 'parts' => 1.0]])],
            new Labour(0.0, 1.0),
        );
        $this->assertSame('dry_through', Build::recipe('earth-paint')->needsOf($slow)->value);
        $this->assertSame('next_coat', Build::recipe('fibre-2mm')->needsOf(Build::recipe('sifted-soil'))->value);
        $this->assertSame('dry_through', Build::recipe('fibre-4mm')->needsOf(Build::recipe('fibre-2mm'))->value);
        $this->assertSame('next_coat', Build::recipe('gloss-medium')->needsOf(Build::recipe('gloss-medium'))->value);
    }

    private static function place(callable $make): string
    {
        try {
            $make();
        } catch (InvalidValue $refusal) {
            return $refusal->place;
        }

        return 'accepted';
    }
}
