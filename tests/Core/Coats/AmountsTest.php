<?php

declare(strict_types=1);

namespace Tests\Core\Coats;

use IdleRidge\Core\Coats\Ballast;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Track\FormationProfile;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** What coats take and how long they take, against plain sums. */
final class AmountsTest extends TestCase
{
    /** Square centimetres of the zone that coats lie on. */
    private const CM2 = 1000.0;

    public function test_a_share_recovered_belongs_to_what_is_loose(): void
    {
        foreach (
            [
                'fibre-2mm' => ['fibre 2 mm' => 0.3, 'basing glue' => 0.0],
                'pale-grout' => ['pale unsanded grout' => 0.2, 'wet water' => 0.0],
                'sifted-soil' => ['sifted soil' => 0.3, 'wet water' => 0.0, 'white glue' => 0.0],
            ] as $id => $shares
        ) {
            $seen = [];
            foreach (Build::recipe($id)->amounts(1e5, 1e5) as $amount) {
                if (isset($shares[$amount->material])) {
                    $this->assertSame($shares[$amount->material], $amount->recovered, "{$id}, {$amount->material}");
                    $seen[$amount->material] = true;
                }
            }
            $this->assertCount(count($shares), $seen, $id);
        }
        // 1000 cm² of fibre take 150 ml/m² of glue and a twentieth of waste, nothing more.
        $glue = $this->of($this->moves('fibre-2mm', 0.2, 1), 'basing glue');
        $this->assertEqualsWithDelta(0.1 * 150.0 * 1.05, array_sum(array_map(fn (MaterialAmount $a): float => $a->atHand(), $glue)), 1e-6);
    }

    public function test_passes_take_so_many_times_what_one_takes_in_amounts_and_minutes(): void
    {
        foreach (Build::library()->recipes as $id => $recipe) {
            $layered = array_filter($recipe->parts, fn ($p): bool => $p->isLayer()) !== [];
            $mm = $layered ? $recipe->cure->referenceMm / 2.0 : $recipe->cure->referenceMm;
            $one = $this->moves($id, $mm, 1);
            $three = $this->moves($id, $mm, 3);
            foreach ($recipe->materials() as $material) {
                $this->assertEqualsWithDelta(3.0 * $this->sum($one, $material), $this->sum($three, $material), 1e-6, "{$id}, {$material}");
            }
            $this->assertSame(3 * $this->minutes($one), $this->minutes($three), $id);
            if ($layered) {
                // Two light layers are one of twice the thickness, in all that goes in.
                $thick = $this->moves($id, 2.0 * $mm, 1);
                foreach ($recipe->materials() as $material) {
                    $byBed = array_filter(
                        $recipe->parts,
                        fn ($p): bool => ($p->isLayer() || $p->rule === 'pores') &&
                            $p->base === 0.0 &&
                            in_array($material, array_column($p->of, 'material'), true),
                    );
                    $all = array_filter($recipe->parts, fn ($p): bool => in_array($material, array_column($p->of, 'material'), true));
                    if ($byBed === $all) {
                        $this->assertEqualsWithDelta(
                            2.0 * $this->sum($one, $material),
                            $this->sum($thick, $material),
                            1e-6,
                            "{$id}, {$material}",
                        );
                    }
                }
            }
        }
    }

    public function test_tint_and_work_follow_the_thickness(): void
    {
        // 1000 cm² at 12 mm: 1.2 l of bed. 20 ml of paste a m² at 6 mm are 1/300 of the bed; a tenth of waste.
        $moves = $this->moves('tinted-pulp-plaster', 12.0, 1);
        $this->assertEqualsWithDelta((1200.0 / 300.0) * 1.1, $this->sum($moves, 'earth pigment paste'), 0.001);
        $this->assertSame((int) ceil(10 + 10.0 * 4.0 * 2.0), $this->minutes($moves));
    }

    public function test_ballast_by_the_profile_of_every_track(): void
    {
        $track = Build::straight(5, 220.0, 20.0, 20.0);
        $bare = ['roadbed_mm' => 0.0, 'sleeper_mm' => 0.0, 'rail_mm' => 0.0];
        $road = Build::straight(4, 330.0, 20.0, 20.0, $bare)->but(kind: RunKind::Road);
        // 400 mm: sleepers 2600/87.1 long, 1.8 high, two fifths of the pitch; shoulders 300/87.1; sides of a roadbed of 5 mm, 3 mm thick.
        [$l, $s] = [2600.0 / 87.1, 300.0 / 87.1];
        $section = $l * 1.8 * 0.6 + 2.0 * ($s * 1.8 + (1.5 * 1.8 * 1.8) / 2.0) + 2.0 * 3.0 * 5.0 * sqrt(1.0 + 1.5 ** 2);
        $grams = ((400.0 * $section) / 1000.0) * 1.5 * 1.08;
        foreach ([[$track], [$road, $track], [$track, $road]] as $runs) {
            $this->assertEqualsWithDelta($grams, $this->sum($this->moves('stone-ballast', 3.0, 1, $runs), 'stone ballast'), 0.005 * $grams);
        }
        $narrow = Build::straight(6, 150.0, 20.0, 20.0, ['roadbed_mm' => 0.0]);
        $less = ((400.0 * ($section - 2.0 * 3.0 * 5.0 * sqrt(1.0 + 1.5 ** 2))) / 1000.0) * 1.5 * 1.08;
        $this->assertEqualsWithDelta(
            $grams + $less,
            $this->sum($this->moves('stone-ballast', 3.0, 1, [$track, $narrow]), 'stone ballast'),
            0.005 * $grams,
        );
        $this->assertSame(0.0, $this->sum($this->moves('stone-ballast', 3.0, 1, []), 'stone ballast'));
        $this->assertSame(0.0, $this->sum($this->moves('stone-ballast', 3.0, 1, [$road]), 'stone ballast'));
    }

    public function test_what_lies_between_the_rails(): void
    {
        $ballast = Ballast::forTrack(87.1, FormationProfile::from());
        $section = (2600.0 / 87.1) * 1.8 * 0.6 + 2.0 * ((300.0 / 87.1) * 1.8 + 1.5 * 1.62) + 2.0 * 3.0 * 5.0 * sqrt(3.25);
        $this->assertEqualsWithDelta((16.5 * 1.8 * 0.6) / $section, $ballast->middle(16.5, 3.0), 1e-9);
        $this->assertEqualsWithDelta(0.17, $ballast->middle(16.5, 3.0), 0.005);
        $this->assertSame(
            0.0,
            Ballast::forTrack(87.1, FormationProfile::from(['sleeper_mm' => 0.0, 'roadbed_mm' => 0.0]))->middle(16.5, 3.0),
        );
    }

    public function test_only_ballast_takes_longer_round_turnouts(): void
    {
        $runs = [
            Build::straight(5, 220.0, 20.0, 20.0),
            Build::run(6, 300.0, 220.0, 0.0, [['kind' => 'arc', 'radius_mm' => 600.0, 'angle_deg' => 25.0]], 20.0),
        ];
        $plain = fn (string $id): int => (int) ceil(Build::recipe($id)->labour->minutes(1e5, $this->track($runs)) - 1e-9);
        foreach (['rails-cleaned', 'test-run'] as $id) {
            $this->assertSame(max(1, $plain($id)), $this->minutes($this->moves($id, null, 1, $runs)), $id);
        }
        $this->assertEqualsWithDelta($plain('stone-ballast') + 25, $this->minutes($this->moves('stone-ballast', 3.0, 1, $runs)), 1.0);
        $this->assertEqualsWithDelta(
            6 + ($plain('stone-ballast') - 6) / 2 + 12.5,
            $this->minutes($this->moves('stone-ballast', 1.5, 1, $runs)),
            1.5,
        );
    }

    public function test_posts_stand_along_a_strip_once(): void
    {
        // A strip of 400 × 4 mm and a ring of 300 mm a side: 16 posts a metre of its length.
        foreach ([[Build::square(100, 100, 500, 104), 400.0], [Build::square(100, 100, 350, 350), 250.0]] as [$outline, $length]) {
            $posts = $this->sum($this->moves('poles-and-fences', null, 1, [], $outline), 'posts');
            $waste = 1.0 + Build::recipe('poles-and-fences')->waste;
            $this->assertEqualsWithDelta(((16.0 * $length) / 1000.0) * $waste, $posts, 0.01);
        }
    }

    /**
     * @param  list<Run>  $runs
     * @param  list<array{float, float}>|null  $outline
     * @return list<Move>
     */
    private function moves(string $recipe, ?float $mm, int $passes, array $runs = [], ?array $outline = null): array
    {
        $zone = Build::zone(1, ['outline' => $outline ?? Build::square(100, 100, 500, 350)]);
        $coat = new Coat(Build::uid(20), $zone->uid, Build::recipe($recipe), $mm, 1.0, $passes);
        $project = Project::of(
            new LayoutSheet(Build::uid(900), 'Trial', 87.1, 16.5),
            [Section::of(Build::uid(901), 'Board', 1200.0, 600.0)],
            $runs,
            works: new Works([$zone], [$coat]),
        );
        $survey = SectionSurvey::of(
            Build::planeSurvey([$zone], runs: $runs),
            new Placement(0.0, 0.0, 0.0),
            [$zone->uid => $zone],
            [$coat],
            [],
        );

        return array_values((new BenchWork($project, [Build::uid(901) => $survey], Build::minute('2026-10-12T12:00Z')))->moves);
    }

    /** @param  list<Run>  $runs */
    private function track(array $runs): float
    {
        $zone = Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]);

        return Build::planeSurvey([$zone], runs: $runs)
            ->zone($zone->uid)
            ->trackX->total();
    }

    /**
     * @param  list<Move>  $moves
     * @return list<MaterialAmount>
     */
    private function of(array $moves, string $material): array
    {
        return array_values(
            array_filter(
                array_merge(...array_map(fn (Move $m): array => $m->amounts, $moves)),
                fn (MaterialAmount $a): bool => $a->material === $material,
            ),
        );
    }

    /** @param  list<Move>  $moves */
    private function sum(array $moves, string $material): float
    {
        return array_sum(array_map(fn (MaterialAmount $a): float => $a->amount, $this->of($moves, $material)));
    }

    /** @param  list<Move>  $moves */
    private function minutes(array $moves): int
    {
        return array_sum(array_map(fn (Move $m): int => $m->minutes, $moves));
    }
}
