<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\ZoneSurvey;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Rulebook\Rulebook;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** The inside of a tunnel: as large as its floor, and done before what lies on the land over it. */
final class InsideTest extends TestCase
{
    public function test_the_inside_is_as_large_as_the_floor_between_the_portals(): void
    {
        $project = $this->project();
        $area = $this->survey($project)->zones[Build::uid(2)];
        // 300 mm of a formation of 25 mm to either side, level whatever lies over it.
        $this->assertEqualsWithDelta(300.0 * 50.0, $area->plan, 150.0);
        $this->assertSame($area->plan, $area->surface);
        $this->assertSame([0], array_keys($area->bySlope));
        $this->assertEqualsWithDelta(300.0, $area->trackX->total(), 6.0);
        $this->assertSame('Inside the tunnel', $project->works->zones[1]->sentence([]));
    }

    public function test_all_of_it_comes_before_the_land_over_it(): void
    {
        $project = $this->project();
        $plan = BenchPlan::make(new BenchWork($project, [Build::uid(901) => $this->survey($project)], Build::minute('2026-10-01T08:00Z')));
        $this->assertSame([], $plan->unplaced);
        $inside = $over = [];
        foreach ($plan->moves as $placed) {
            if ($placed->move->zone->isInside()) {
                $inside[] = $placed->end;
            } else {
                $over[] = $placed->start;
            }
        }
        $this->assertLessThanOrEqual(min($over), max($inside));
        $ids = array_map(fn ($f): string => $f->id, Rulebook::checkWork($plan));
        $this->assertNotContains('order-inside-before-lid', $ids);
        // Plaster on the hill is no plaster beside the track inside.
        $this->assertNotContains('order-messy-plaster-before-track', $ids);
    }

    public function test_land_that_was_closed_too_soon_is_told(): void
    {
        $project = $this->project();
        $work = new BenchWork($project, [Build::uid(901) => $this->survey($project)], Build::minute('2026-10-01T08:00Z'));
        $hill = array_values(array_filter($work->moves, fn ($m): bool => ! $m->zone->isInside()))[0];
        $laid = $work->begin($hill, Build::uid(50), Build::minute('2026-09-30T08:00Z'), Build::minute('2026-09-30T09:00Z'));
        $this->assertInstanceOf(CoatApplication::class, $laid);
        $begun = $project->working($project->works->with(['laid' => [$laid]]));
        $plan = BenchPlan::make(new BenchWork($begun, [Build::uid(901) => $this->survey($begun)], Build::minute('2026-10-01T08:00Z')));
        $found = array_filter(Rulebook::checkWork($plan), fn ($f): bool => $f->id === 'order-inside-before-lid');
        $this->assertNotSame([], $found);
    }

    private function project(): Project
    {
        $tunnel = [['kind' => 'tunnel', 'from_mm' => 450.0, 'to_mm' => 750.0]];
        $project = Build::project(
            [Build::straight(1, 300.0, 20.0, 20.0, Build::evenProfile(), structures: $tunnel)],
            [Build::spot(5, 600.0, 300.0, 150.0)],
        );
        $zones = [
            Build::zone(1, ['name' => 'Hill', 'outline' => Build::square(500.0, 220.0, 700.0, 380.0)]),
            Build::zone(2, ['name' => 'Inside', 'made' => 'tunnel']),
        ];
        $coat = fn (int $n, int $zone, string $recipe): Coat => new Coat(Build::uid($n), Build::uid($zone), Build::recipe($recipe));

        return $project->working(new Works($zones, [
            $coat(11, 1, 'pulp-plaster-spreading'),
            $coat(12, 1, 'earth-paint'),
            $coat(21, 2, 'earth-paint'),
            $coat(22, 2, 'stone-ballast'),
        ], times: [Build::weekly(60, 4, 540, 900)]));
    }

    private function survey(Project $project): SectionSurvey
    {
        $section = $project->sections[0];
        $zones = $project->works->zonesOf($section->uid);
        $survey = ZoneSurvey::ofLand(Build::study($project)->model, 5.0, 0.0, $section->placement, $zones, 90.0);

        return SectionSurvey::of($survey, $section->placement, $zones, $project->works->coats, $project->works->laid);
    }
}
