<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Coats\ZoneSurvey;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Plan\WaterCoats;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\WaterStudy;
use IdleRidge\Core\Project\WaterZones;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Rounds\BuildChecks;
use IdleRidge\Core\Rounds\DueCheck;
use IdleRidge\Core\Rulebook\Work\PourTooDeep;
use IdleRidge\Core\Water\WaterPlan;
use PHPUnit\Framework\TestCase;
use Tests\Build;
use Tests\Core\Water\Ponds;

/** What is poured into a water, from its bed to its surface. */
final class PourTest extends TestCase
{
    private static function bed(?float $shore = null): Zone
    {
        return new Zone(Build::uid(60), Build::uid(901), 'Bed', water: Build::uid(5), shore: $shore);
    }

    /**
     * @param  list<Coat>  $coats
     * @param  list<CoatApplication>  $laid
     */
    private static function work(array $coats, ?Zone $zone = null, array $laid = []): BenchWork
    {
        $project = Build::project([], [Ponds::pond(Build::square(400, 200, 640, 380), 48.0, 12.0, 40.0)], base: 50.0)
            ->working(new Works([$zone ?? self::bed()], $coats, $laid));

        return new BenchWork($project, [Build::uid(901) => self::survey($project)], Build::minute('2026-10-12T12:00Z'));
    }

    private static function survey(Project $project): SectionSurvey
    {
        $study = Build::study($project);
        $zones = $project->works->zonesOf(Build::uid(901));
        $standing = WaterZones::filled($project, $study->section, $study->model, 5.0, $zones, []);
        $survey = ZoneSurvey::ofLand($study->model, 5.0, 50.0, $study->section->placement, $zones, 90.0, $standing);

        return SectionSurvey::of($survey, $study->section->placement, $zones, $project->works->coats, $project->works->laid);
    }

    public function test_the_bed_of_a_water_is_its_zone(): void
    {
        $work = self::work([]);
        $area = $work->surveys[Build::uid(901)]->zones[Build::uid(60)];
        $body = WaterStudy::of(Build::study($work->project))->bodies()[0];
        $this->assertEqualsWithDelta($body->curve->area(), $area->plan, 0.005 * $body->curve->area());
        $this->assertEqualsWithDelta(240.0 * 180.0, $area->plan, 250.0);
        $this->assertEqualsWithDelta($body->steeper, $area->surface / $area->plan, 0.005, 'its bed is as steep as the zone says');
        $this->assertEqualsWithDelta($body->curve->volume(), $area->standing->water?->volume(), 1.0);
    }

    public function test_a_shore_lies_about_it(): void
    {
        $area = self::work([], self::bed(10.0))->surveys[Build::uid(901)]->zones[Build::uid(60)];
        // Four sides of ten, and quarters of a circle at the corners.
        $this->assertEqualsWithDelta(10.0 * 2.0 * (240.0 + 180.0) + M_PI * 100.0, $area->plan, 100.0);
        $this->assertNull($area->standing->water);
        $this->assertFalse($area->holds(500.0, 300.0), 'not in the water');
        $this->assertTrue($area->holds(395.0, 300.0));
        $this->assertFalse($area->holds(388.0, 300.0));
    }

    public function test_pours_fill_it_layer_by_layer_and_add_up(): void
    {
        $library = Build::library();
        $body = WaterStudy::of(Build::study(self::work([])->project))->bodies()[0];
        $water = $body->curve;
        foreach (['water-resin' => 1.0, 'water-pour' => 1.5] as $school => $perMl) {
            foreach ([null, 7.0] as $fill) {
                $plan = new WaterPlan(Build::uid(1), Build::uid(5), $school, $fill);
                $uid = 70;
                $made = WaterCoats::school($library->schools[$school], $plan, $body, $library);
                $coats = $made->coats(Build::uid(60), function () use (&$uid): string {
                    return Build::uid(++$uid);
                }, $library);
                $moves = array_values(array_filter(self::work($coats)->moves, fn (Move $m): bool => $m->recipe->is(RecipeTrait::Pour)));
                $last = 0.0;
                $sum = 0.0;
                foreach ($moves as $move) {
                    $ml = array_sum(array_map(fn ($a): float => $a->amount, $move->amounts));
                    $this->assertGreaterThan($last, $ml, 'wider towards the top');
                    [$last, $sum] = [$ml, $sum + $ml];
                }
                $filled = $fill === null ? $water->volume() : $water->volume($water->most - $fill);
                $this->assertEqualsWithDelta($perMl * 1.1 * $filled / 1000.0, $sum, 1e-3 * $sum, "{$school}, ".($fill ?? 'full'));
                $this->assertSame([], (new PourTooDeep())->check(BenchPlan::make(self::work($coats))), 'what is planned passes its rule');
            }
        }
    }

    public function test_two_parts_stand_in_the_ratio_of_their_product(): void
    {
        $coat = new Coat(Build::uid(71), Build::uid(60), Build::recipe('two-part-resin'), 4.0, passes: 3);
        [$move] = array_values(array_slice(self::work([$coat])->moves, 0, 1));
        $amounts = $move->amounts;
        $this->assertSame(['resin A', 'hardener B'], array_column($amounts, 'material'));
        $this->assertEqualsWithDelta(2.0, $amounts[0]->amount / $amounts[1]->amount, 1e-9, 'by volume');
        $grams = fn (int $k): float => $amounts[$k]->amount * (float) Build::library()->materials[$amounts[$k]->material]->density;
        $this->assertEqualsWithDelta(100.0 / 43.0, $grams(0) / $grams(1), 0.03, 'by mass');
    }

    public function test_a_layer_deeper_than_its_product_allows_is_stopped(): void
    {
        $found = fn (string $recipe, float $mm, ?Zone $zone = null): array => array_map(
            fn (Finding $f): string => $f->id,
            (new PourTooDeep())->check(
                BenchPlan::make(self::work([new Coat(Build::uid(71), Build::uid(60), Build::recipe($recipe), $mm)], $zone)),
            ),
        );
        $this->assertSame([], $found('two-part-resin', 5.0));
        $this->assertSame(['pour-too-deep'], $found('two-part-resin', 5.02));
        $this->assertSame([], $found('single-part-pour', 2.0));
        $this->assertSame(['pour-too-deep'], $found('single-part-pour', 2.02));
        $this->assertSame([], $found('gloss-medium', 0.5), 'what is no pour is not judged as one');
        // Over the whole board, 72 dm²: 4 mm are three litres.
        $board = new Zone(Build::uid(60), Build::uid(901), 'Board');
        $this->assertSame(['pour-too-deep'], $found('two-part-resin', 4.0, $board));
        $this->assertSame([], $found('two-part-resin', 3.0, $board));
    }

    public function test_a_bed_is_tried_with_water_before_it_is_poured(): void
    {
        $paint = new Coat(Build::uid(71), Build::uid(60), Build::recipe('bed-paint'));
        $pour = new Coat(Build::uid(72), Build::uid(60), Build::recipe('two-part-resin'), 4.0, passes: 3);
        $lay = fn (Coat $coat): CoatApplication => new CoatApplication(
            $coat->uid,
            Build::uid(901),
            Build::uid(60),
            $coat->uid,
            1,
            $coat->title(),
            $coat->recipe,
            $coat->mm,
            [Build::square(400, 200, 640, 380)],
            43_200.0,
            0.0,
            30,
            [],
            Build::minute('2026-10-10T10:00Z'),
            Build::minute('2026-10-10T10:30Z'),
        );
        $asks = function (array $laid, ?Zone $zone = null) use ($paint, $pour): array {
            $work = self::work([$paint, $pour], $zone, $laid);
            $checks = (new BuildChecks($work, $work->project->sections[0]))->all();

            return array_values(array_filter($checks, fn (DueCheck $c): bool => str_starts_with($c->key, 'leak.')));
        };
        $this->assertSame([], $asks([]), 'not before the bed is painted');
        [$leak] = $asks([$lay($paint)]);
        $this->assertSame([$pour->uid], $leak->holds);
        $this->assertStringContainsString('hold water', $leak->asks);
        $this->assertSame([], $asks([$lay($paint), $lay($pour)]), 'once it is poured it is too late');
        $this->assertSame([], $asks([$lay($paint)], self::bed(10.0)), 'a shore holds nothing');
    }

    public function test_the_bed_of_a_stream_ends_where_it_runs_into_a_pond(): void
    {
        $project = Build::project([], [
            Ponds::pond(Build::square(400, 200, 640, 380), 48.0, 12.0, 40.0),
            Ponds::stream([[200.0, 290.0], [500.0, 290.0]], 24.0),
        ], base: 50.0)->working(new Works([
            self::bed(),
            new Zone(Build::uid(61), Build::uid(901), 'Beck', water: Build::uid(6)),
        ]));
        $survey = self::survey($project);
        $this->assertNull($survey->overlap(Build::uid(60), Build::uid(61)));
        // Two hundred millimetres of it, and its round head.
        $area = $survey->zones[Build::uid(61)]->plan;
        $this->assertEqualsWithDelta(200.0 * 24.0 + M_PI * 72.0, $area, 0.03 * $area);
    }
}
