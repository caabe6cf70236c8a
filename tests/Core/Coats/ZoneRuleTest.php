<?php

declare(strict_types=1);

namespace Tests\Core\Coats;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Material;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\ZoneSurvey;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\LandClasses;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Plan\SchoolTrial;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Shelf\PackPrice;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** Zones by what the land is like, and by one another; schools tried on them. */
final class ZoneRuleTest extends TestCase
{
    public function test_a_zone_by_height_is_cut_where_the_land_has_it(): void
    {
        // A plane that climbs 0.5 along x from 20: between 100 and 300 over the board from x = 160 to 560.
        $area = Build::planeSurvey([Build::zone(1, ['height' => [100.0, 300.0]])], 0.5)->zone(Build::uid(1));
        $this->assertEqualsWithDelta(400.0 * 600.0, $area->plan, 0.002 * 240_000.0);
        $this->assertEqualsWithDelta(200.0, $area->height, 1.0);
    }

    public function test_a_zone_that_faces_the_sun_is_what_falls_south(): void
    {
        // North is up the plan; land that falls toward the front faces the sun.
        foreach (['0.3' => ['sun' => 720_000.0, 'north' => 0.0], '-0.3' => ['sun' => 0.0, 'north' => 720_000.0]] as $rise => $wanted) {
            foreach ($wanted as $aspect => $plan) {
                $this->assertEqualsWithDelta(
                    $plan,
                    Build::planeSurvey([Build::zone(1, ['aspect' => $aspect])], 0.0, (float) $rise)->zone(Build::uid(1))->plan,
                    2000.0,
                    "{$aspect} at {$rise}",
                );
            }
        }
        $this->assertSame(
            0.0,
            Build::planeSurvey([Build::zone(1, ['aspect' => 'sun'])], 0.0, 0.05)->zone(Build::uid(1))->plan,
            'flat land faces nowhere',
        );
    }

    public function test_a_zone_of_shade_is_what_crowns_cover(): void
    {
        // Two discs of 200 mm, 100 mm apart: two circles less their lens.
        $zone = Build::zone(1, ['crowns' => [[400.0, 300.0, 200.0], [500.0, 300.0, 200.0]]]);
        $lens = 2.0 * 100.0 ** 2 * acos(0.5) - 50.0 * sqrt(4.0 * 100.0 ** 2 - 100.0 ** 2);
        $this->assertEqualsWithDelta(2.0 * M_PI * 100.0 ** 2 - $lens, Build::planeSurvey([$zone])->zone($zone->uid)->plan, 0.01 * 50_000.0);
        $this->assertSame('Under 2 crowns', $zone->sentence([]));
        $this->expectException(InvalidValue::class);
        Build::zone(1, ['crowns' => []]);
    }

    public function test_shade_has_so_many_crowns_of_such_a_size_and_no_more(): void
    {
        $of = fn (int $many, float $wide): array => array_fill(0, $many, [400.0, 300.0, $wide]);
        foreach ([[5000, 2.0], [1, 600.0]] as [$many, $wide]) {
            $this->assertCount($many, Build::zone(1, ['crowns' => $of($many, $wide)])->crowns ?? []);
        }
        foreach ([[5001, 2.0], [1, 1.9], [1, 600.1]] as [$many, $wide]) {
            try {
                Build::zone(1, ['crowns' => $of($many, $wide)]);
                $this->fail("{$many} of {$wide}");
            } catch (InvalidValue $refusal) {
                $this->assertSame('crowns', $refusal->place);
            }
        }
    }

    public function test_formation_and_banks_are_what_grading_made(): void
    {
        // A bank 30 mm high over level land, 50 mm wide on top, falling 1.5 to one on both sides: toes 25 + 45 mm out.
        $run = Build::straight(5, 300.0, 30.0, 30.0, Build::evenProfile());
        $model = Build::flatLand(0.0, [$run]);
        $zones = [Build::zone(1, ['made' => 'formation']), Build::zone(2, ['made' => 'bank'])];
        $survey = ZoneSurvey::ofLand(
            $model,
            5.0,
            0.0,
            new Placement(0.0, 0.0, 0.0),
            array_combine([Build::uid(1), Build::uid(2)], $zones),
            90.0,
        );
        $this->assertEqualsWithDelta(50.0 * 1200.0, $survey->zone(Build::uid(1))->plan, 0.005 * 60_000.0);
        $bank = $survey->zone(Build::uid(2));
        $this->assertEqualsWithDelta(2.0 * 45.0 * 1200.0, $bank->plan, 0.002 * 108_000.0);
        $this->assertEqualsWithDelta(2.0 * hypot(45.0, 30.0) * 1200.0, $bank->surface, 0.005 * 129_800.0);
        $this->assertSame('On banks and in cuttings', $zones[1]->sentence([]));
        $this->assertSame(0.0, Build::planeSurvey([$zones[1]])->zone(Build::uid(2))->plan, 'without grading there is no bank');
        $this->expectException(InvalidValue::class);
        Build::zone(3, ['made' => 'hill']);
    }

    public function test_what_is_narrower_than_a_cell_is_there(): void
    {
        $run = Build::straight(5, 300.0, 30.0, 30.0);
        // Both sides of the track, from 43 to 46 mm away.
        foreach ([[43.0, 46.0], [41.2, 42.0], [60.0, 68.0]] as [$from, $to]) {
            $area = Build::planeSurvey([Build::zone(1, ['near' => ['run' => null, 'from' => $from, 'to' => $to]])], runs: [$run])->zone(
                Build::uid(1),
            );
            $this->assertEqualsWithDelta(2.0 * 1200.0 * ($to - $from), $area->plan, 0.02 * 2400.0 * ($to - $from), "{$from} to {$to}");
        }
        foreach ([6.0, 14.0, 30.0] as $wide) {
            $crowns = array_map(fn (int $k): array => [101.3 + 50.0 * $k, 212.7, $wide], range(0, 9));
            $this->assertEqualsWithDelta(
                (10.0 * M_PI * $wide ** 2) / 4.0,
                Build::planeSurvey([Build::zone(1, ['crowns' => $crowns])])->zone(Build::uid(1))->plan,
                (0.04 * 10.0 * M_PI * $wide ** 2) / 4.0,
                "{$wide} mm",
            );
        }
        // A plane that climbs 1 in 1: two millimetres of height are two of its plan.
        $this->assertEqualsWithDelta(
            2.0 * 600.0,
            Build::planeSurvey([Build::zone(1, ['height' => [100.0, 102.0]])], 1.0)->zone(Build::uid(1))->plan,
            24.0,
        );
    }

    public function test_steep_faces_bleed_no_slope_into_what_lies_beside(): void
    {
        // A cutting 1 in 1, 50 mm deep, and the same between walls: level beside 45 degrees, and nothing between.
        foreach (
            [
                ['batter_cut_left' => 1.0, 'batter_cut_right' => 1.0],
                ['batter_cut_left' => 0.02, 'batter_cut_right' => 0.02],
            ] as $k => $batters
        ) {
            $run = Build::run(
                5,
                100.0,
                150.0,
                14.0,
                [['kind' => 'tangent', 'length_mm' => 900.0]],
                40.0,
                [],
                $batters + Build::evenProfile(24.3),
            );
            $model = Build::flatLand(90.0, [$run]);
            $zones = [
                Build::uid(1) => Build::zone(1),
                Build::uid(2) => Build::zone(2, ['slope' => [10.0, 90.0]]),
                Build::uid(3) => Build::zone(3, ['made' => 'formation']),
            ];
            $survey = ZoneSurvey::ofLand($model, 5.0, 0.0, new Placement(0.0, 0.0, 0.0), $zones, 90.0);
            $whole = $survey->zone(Build::uid(1));
            $between = array_filter($whole->bySlope, fn (int $deg): bool => $deg > 1 && $deg < 44, ARRAY_FILTER_USE_KEY);
            $this->assertLessThan(0.003 * $whole->surface, array_sum($between), 'no slope that is not there');
            $this->assertSame(0.0, $survey->zone(Build::uid(3))->steeperThan(2.0), 'a formation slides nowhere');
            if ($k === 0) {
                $sides = 2.0 * 50.0 * 900.0 + M_PI * ((24.3 + 50.0) ** 2 - 24.3 ** 2);
                $this->assertEqualsWithDelta($sides, $survey->zone(Build::uid(2))->plan, 0.01 * $sides);
                $this->assertEqualsWithDelta($sides * M_SQRT2, $survey->zone(Build::uid(2))->surface, 0.015 * $sides * M_SQRT2);
            }
        }
    }

    public function test_edges_of_zones_lie_where_grading_has_them(): void
    {
        $run = Build::run(
            5,
            100.0,
            150.0,
            14.0,
            [['kind' => 'tangent', 'length_mm' => 900.0]],
            40.0,
            [],
            ['batter_cut_left' => 1.0, 'batter_cut_right' => 1.0] + Build::evenProfile(24.3),
        );
        $model = Build::flatLand(90.0, [$run]);
        foreach (
            [
                'slope' => [['slope' => [20.0, 90.0]], [24.3, 74.3]],
                'bank' => [['made' => 'bank'], [24.3, 74.3]],
                'height' => [['height' => [60.0, 80.0]], [44.3, 64.3]],
                'formation' => [['made' => 'formation'], [24.3]],
            ] as $word => [$with, $lines]
        ) {
            $zone = Build::zone(1, $with);
            $rings = ZoneSurvey::ofLand($model, 5.0, 0.0, new Placement(0.0, 0.0, 0.0), [$zone->uid => $zone], 90.0)->zone($zone->uid)
                ->rings;
            $seen = 0;
            foreach ($rings as $ring) {
                foreach ($ring as $k => [$x, $y]) {
                    [$u, $v] = $ring[($k + 1) % count($ring)];
                    $near = $run->alignment->nearest(new Point(($x + $u) / 2.0, ($y + $v) / 2.0));
                    if ($near['station'] > 100.0 && $near['station'] < 800.0) {
                        $seen++;
                        $this->assertLessThan(
                            0.5,
                            min(array_map(fn (float $line): float => abs(abs($near['offset']) - $line), $lines)),
                            "{$word} at {$near['station']}",
                        );
                    }
                }
            }
            $this->assertGreaterThan(0, $seen);
        }
    }

    public function test_a_coat_runs_out_beyond_its_edge(): void
    {
        // Round 400 × 250 mm it is 1300 mm: over 20 mm half as thick is 13 000 mm² more.
        $area = function (float $blend): float {
            $coat = new Coat(Build::uid(20), Build::uid(1), Build::recipe('fine-turf'), blend: $blend);

            return array_sum(
                array_map(
                    fn (Move $m): float => $m->area,
                    Build::work(new Works([Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)])], [$coat]), '2026-10-12T12:00Z')
                        ->moves,
                ),
            );
        };
        $this->assertEqualsWithDelta(13_000.0, $area(20.0) - $area(0.0), 50.0);
    }

    public function test_what_is_used_up_costs_its_share_of_a_pack(): void
    {
        $prices = [new PackPrice(Build::uid(1), 'white glue', 1000.0, 1250), new PackPrice(Build::uid(2), 'sifted soil', 500.0, 700)];
        // 120 of 1000 ml at 12.50 and 750 of 500 ml at 7.00: 1.50 and 10.50.
        $this->assertSame(
            [1200, ['fine turf']],
            PackPrice::cost(['white glue' => 120.0, 'sifted soil' => 750.0, 'water' => 300.0, 'fine turf' => 5.0], $prices),
        );
        $this->expectException(InvalidValue::class);
        new PackPrice(Build::uid(1), 'white glue', 0.0, 100);
    }

    public function test_zones_go_by_one_another(): void
    {
        $left = Build::zone(1, ['outline' => Build::square(0, 0, 600, 600)]);
        $low = Build::zone(2, ['outline' => Build::square(0, 0, 1200, 300)]);
        $plan = fn (array $with): float => Build::planeSurvey([$left, $low, Build::zone(3, $with)])->zone(Build::uid(3))->plan;
        $this->assertEqualsWithDelta(180_000.0, $plan(['within' => [Build::uid(1), Build::uid(2)]]), 900.0, 'both');
        $this->assertEqualsWithDelta(540_000.0, $plan(['within' => [Build::uid(1)], 'also' => [Build::uid(2)]]), 2700.0, 'either');
        $this->assertEqualsWithDelta(
            180_000.0,
            $plan(['within' => [Build::uid(1)], 'without' => [Build::uid(2)]]),
            900.0,
            'one less the other',
        );
        $this->assertEqualsWithDelta(720_000.0 - 540_000.0, $plan(['without' => [Build::uid(1), Build::uid(2)]]), 900.0);
        $survey = SectionSurvey::of(
            Build::planeSurvey([$left, $low]),
            new Placement(0.0, 0.0, 0.0),
            [Build::uid(1) => $left, Build::uid(2) => $low],
            [],
            [],
        );
        $this->assertEqualsWithDelta(180_000.0, $survey->bare, 900.0, 'no zone on the rest');
        $this->assertEqualsWithDelta([Build::uid(2) => 180_000.0], $survey->over(Build::uid(1)), 900.0);
        $this->assertSame(
            'Facing north, within Left, and all of Low',
            Build::zone(3, ['aspect' => 'north', 'within' => [Build::uid(1)], 'also' => [Build::uid(2)]])->sentence([
                Build::uid(1) => 'Left',
                Build::uid(2) => 'Low',
            ]),
        );
        $this->expectException(InvalidValue::class);
        (new Works([Build::zone(1, ['within' => [Build::uid(2)]]), Build::zone(2, ['also' => [Build::uid(1)]])]))->faults([]) !== [] &&
            throw new InvalidValue('they go by each other');
    }

    public function test_damp_ground_is_the_share_that_is_asked_for(): void
    {
        $survey = Build::planeSurvey([Build::zone(1, ['damp' => 0.2])], 0.0, 0.1);
        // A plane gathers water toward its foot: the wettest fifth lies there, but for the smoothing at the sides.
        $area = $survey->zone(Build::uid(1));
        $this->assertEqualsWithDelta(0.2 * 720_000.0, $area->plan, 0.03 * 720_000.0);
        $this->assertLessThan(150.0, $area->middle()[1]);
        $this->assertSame(LandClasses::DAMP_SHARE, 0.15);
    }

    public function test_a_school_is_tried_by_hand(): void
    {
        $zone = Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]);
        $work = Build::work(new Works([$zone]), '2026-10-12T12:00Z');
        $library = Build::library();
        $trial = SchoolTrial::of($work, $work->project->sections[0], $zone, $library->schools['water-resin'], $library);
        // 10 dm²: bed paint 5 + 8 = 13 min, its seal as much; each pour 10 + 15 = 25; a coat of gloss 2 + 10.
        $this->assertSame(13 + 13 + 25 + 25 + 12, $trial->minutes);
        $this->assertSame(5, $trial->moves);
        // Paint and seal are dry through (1440) before what shuts them in, the first pour ready for the next (1440), the last dry through
        // (4320) before the gloss: all times 80 % at 1.4362 but the last (2880), which is told at 50 and 90 %.
        $chain = 88 + (3 * 1440 + 4320) * 1.4362;
        $this->assertEqualsWithDelta(($chain + 2880) / 1440, $trial->days50, 0.01);
        $this->assertEqualsWithDelta(($chain + 2880 * 1.7353) / 1440, $trial->days90, 0.02);
        // Bed paint 111 ml/m² and 8 % of waste at 1.25 g/ml, 0.55 of it stays; acrylic medium 100 ml/m²; 2 × 4 mm of resin and 10 % of
        // waste, 2:1 by volume; gloss 110 ml/m² and 5 %.
        $resin = (2 * 0.1 * 4.0 * 1000.0 * 1.1 * (2 * 1.15 + 0.98)) / 3.0;
        [$medium, $gloss] = [$library->materials['acrylic medium'], $library->materials['gloss medium']];
        $thin = fn (bool $dry): float => 0.1 * 100 * 1.08 * (float) $medium->density * ($dry ? $medium->solids : 1.0)
            + 0.1 * 110 * 1.05 * (float) $gloss->density * ($dry ? $gloss->solids : 1.0);
        $this->assertEqualsWithDelta(0.1 * 111 * 1.08 * 1.25 + $resin + $thin(false), $trial->wet, 1.0);
        $this->assertEqualsWithDelta(0.1 * 111 * 1.08 * 1.25 * 0.55 + $resin + $thin(true), $trial->dry, 1.0);
        $this->assertSame('Gloss medium: sand it dull and paint over', $trial->undo()[0]);
        $this->assertSame([0.0, 13.0], [$trial->steps[0]->from, $trial->steps[0]->to]);
        $this->assertCount(5, $trial->steps);
        $this->assertEqualsWithDelta(0.1 * 4.0 * 1000.0 * 1.1, $trial->steps[2]->total('ml'), 1e-6);
    }

    public function test_materials_are_known_to_their_recipes(): void
    {
        $this->assertSame(53.0, (new Material('white glue', 'ml', 1.0, 0.53))->grams(100.0, 'ml', true));
        $this->assertNull((new Material('tufts', 'pcs', null, 1.0))->grams(100.0, 'pcs', false));
        $library = Build::library();
        $this->assertGreaterThan(60, count($library->recipes));
        $this->assertSame(12, count($library->questions()));
        $this->expectException(InvalidValue::class);
        Library::of([Build::recipe('fine-turf')], [], [new Material('water', 'ml', 1.0, 0.0)]);
    }
}
