<?php

declare(strict_types=1);

namespace Tests\Core\Rulebook;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\School;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Measure\StepBudget;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Rulebook\Rulebook;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Track\Run;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** What the planner offers has to pass every rule that judges it, before it is begun and after it is done. */
final class SilenceTest extends TestCase
{
    /** Under what is tried lies what a builder would have there. */
    private const BASE = ['foam-stack', 'tinted-pulp-plaster', 'earth-paint'];

    private const BASES = ['landform' => [], 'skin on foam' => ['foam-stack'], 'track or land first' => ['foam-stack']];

    /** That a pour goes on a hard one, scuffed, is good to know and no fault. */
    private const SPARED = ['window-second-pour'];

    /** @return iterable<string, array{School}> */
    public static function schools(): iterable
    {
        foreach (Build::library()->schools as $key => $school) {
            yield $key => [$school];
        }
    }

    #[DataProvider('schools')]
    public function test_a_school_is_planned_done_and_never_found_fault_with(School $school): void
    {
        $base = array_map(Build::recipe(...), self::BASES[$school->question] ?? self::BASE);
        $coats = $this->coats($base);
        $n = 100;
        $this->silent(
            [
                ...$coats,
                ...$school->coats(Build::uid(1), function () use (&$n): string {
                    return Build::uid(++$n);
                }, Build::library()),
            ],
            $school->cut ?? CutSchool::Carved,
        );
    }

    /** @return iterable<string, array{Recipe}> */
    public static function recipes(): iterable
    {
        foreach (Build::library()->recipes as $id => $recipe) {
            // A backdrop is no coat on land.
            if (! $recipe->is(RecipeTrait::Backdrop)) {
                yield $id => [$recipe];
            }
        }
    }

    #[DataProvider('recipes')]
    public function test_a_recipe_is_planned_done_and_never_found_fault_with(Recipe $recipe): void
    {
        $base = array_values(
            array_filter(array_map(Build::recipe(...), self::BASE), fn (Recipe $r): bool => $r->stage->value < $recipe->stage->value),
        );
        $this->silent($this->coats([...$base, $recipe]), $recipe->is(RecipeTrait::Card) ? CutSchool::Web : CutSchool::Carved);
        // Painted over as soon as the plan offers it.
        $this->silent(
            $this->coats([
                ...$base,
                $recipe,
                ...$recipe->is(
                    RecipeTrait::Card,
                    RecipeTrait::Backdrop,
                    RecipeTrait::Trees,
                    RecipeTrait::Wires,
                    RecipeTrait::Posts,
                    RecipeTrait::Rewets,
                    RecipeTrait::Contact,
                )
                    ? []
                    : [Build::recipe('gloss-varnish')],
            ]),
            $recipe->is(RecipeTrait::Card) ? CutSchool::Web : CutSchool::Carved,
        );
    }

    public function test_ballast_with_what_belongs_to_it(): void
    {
        $run = Build::straight(5, 150.0, 20.0, 20.0);
        $this->silent(
            $this->coats(array_map(Build::recipe(...), [...self::BASE, 'track-paint', 'stone-ballast', 'rails-cleaned', 'test-run'])),
            CutSchool::Carved,
            [$run],
        );
        $this->silent($this->coats(array_map(Build::recipe(...), [...self::BASE, 'rails-cleaned', 'test-run'])), CutSchool::Carved, [$run]);
    }

    public function test_paint_waits_until_filler_is_dry_through(): void
    {
        $plan = $this->plan(
            $this->coats(array_map(Build::recipe(...), ['light-filler', 'primer'])),
            [],
            Build::minute('2026-10-12T06:00Z'),
            CutSchool::Carved,
            [],
        );
        // Filler is dry through after 720 min, at 80 % 720 × exp(0.841621 × 0.430116) = 1034.1.
        $this->assertGreaterThanOrEqual($plan->moves[0]->end + 1034, $plan->moves[1]->start);
    }

    public function test_fibre_waits_for_that_which_runs_out_over_its_edge(): void
    {
        $zones = [
            Build::zone(1, ['outline' => Build::square(100, 100, 250, 200)]),
            Build::zone(2, ['outline' => Build::square(250, 100, 400, 200)]),
        ];
        foreach ([[0.0, false], [20.0, true]] as [$blend, $waits]) {
            $coats = [
                new Coat(Build::uid(20), Build::uid(1), Build::recipe('fibre-2mm'), blend: $blend),
                new Coat(Build::uid(21), Build::uid(2), Build::recipe('earth-paint')),
                new Coat(Build::uid(22), Build::uid(2), Build::recipe('fibre-4mm'), blend: $blend),
            ];
            $plan = $this->plan($coats, [], Build::minute('2026-10-12T06:00Z'), CutSchool::Carved, [], $zones);
            $at = $plan->at();
            [$short, $long] = [$at[Build::uid(20).'.1.1'], $at[Build::uid(22).'.1.1']];
            $apart = max($short[0], $long[0]) - min($short[1], $long[1]);
            $this->assertSame($waits, $apart >= 2068, "blending over {$blend} mm, {$apart} min apart");
        }
    }

    /**
     * @param  list<Recipe>  $recipes
     * @return list<Coat>
     */
    private function coats(array $recipes): array
    {
        return array_map(fn (Recipe $r, int $k): Coat => new Coat(Build::uid(20 + $k), Build::uid(1), $r), $recipes, array_keys($recipes));
    }

    /**
     * @param  list<Coat>  $coats
     * @param  list<Run>  $runs
     */
    private function silent(array $coats, CutSchool $cut, array $runs = []): void
    {
        $now = Build::minute('2026-10-12T06:00Z');
        $laid = [];
        $plan = $this->plan($coats, $laid, $now, $cut, $runs);
        $this->assertSame([], array_map(fn ($u): string => "{$u->move->title()}: {$u->text}", $plan->unplaced));
        $this->assertNotSame([], $plan->moves);
        for ($k = 0; $plan->moves !== [] && $k < 60; $k++) {
            $this->assertSame([], $this->found($plan), "after {$k} moves");
            $placed = $plan->moves[0];
            $laid[] = $plan->work->begin($placed->move, Build::uid(500 + $k), $placed->start, $placed->end);
            $now = $placed->end + 1;
            $plan = $this->plan($coats, $laid, $now, $cut, $runs);
        }
        $this->assertSame([], $plan->moves, 'it comes to its end');
        $this->assertSame([], $this->found($plan), 'all done');
    }

    /** @return list<string> */
    private function found(BenchPlan $plan): array
    {
        $out = [];
        foreach (Rulebook::checkWork($plan) as $finding) {
            if (! in_array($finding->id, self::SPARED, true)) {
                $out[] = "{$finding->id}: {$finding->subject}";
            }
        }

        return $out;
    }

    /**
     * @param  list<Coat>  $coats
     * @param  list<\IdleRidge\Core\Coats\CoatApplication>  $laid
     * @param  list<Run>  $runs
     * @param  list<Zone>|null  $zones
     */
    private function plan(array $coats, array $laid, int $now, CutSchool $cut, array $runs, ?array $zones = null): BenchPlan
    {
        $zones ??= [Build::zone(1, ['outline' => Build::square(100, 100, 250, 200)])];
        $times = array_map(fn (int $day): BenchTime => Build::weekly(70 + $day, $day, 480, 1320), range(1, 7));
        $works = new Works($zones, $coats, $laid, [Room::of(Build::uid(60), 'Den', 20.0, 20.0, 50.0, 50.0)], $times);
        $project = Project::of(
            new LayoutSheet(Build::uid(900), 'Trial', 87.1, 16.5, cuts: CutSettings::of($cut)),
            [Section::of(Build::uid(901), 'Board', 1200.0, 600.0)],
            $runs,
            works: $works,
        );
        $survey = SectionSurvey::of(
            Build::planeSurvey($zones, runs: $runs),
            new Placement(0.0, 0.0, 0.0),
            $works->zonesOf(Build::uid(901)),
            $coats,
            $laid,
        );

        return BenchPlan::make(new BenchWork($project, [Build::uid(901) => $survey], $now), new StepBudget(4));
    }
}
