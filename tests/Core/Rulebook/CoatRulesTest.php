<?php

declare(strict_types=1);

namespace Tests\Core\Rulebook;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Schedule\BenchTime;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Build;

/** Rules about what goes on over what: each is silent before its limit and speaks past it. */
final class CoatRulesTest extends CoatRulesCase
{
    /**
     * @return array<string, array{string, list<string>, list<int>, list<string>, list<int>}> rule, coats and those laid that break it,
     *     coats and those laid that do not
     */
    public static function orders(): array
    {
        return [
            'skin before paint' => [
                'order-skin-before-paint',
                ['pulp-plaster-stiff', 'earth-paint'],
                [1],
                ['pulp-plaster-stiff', 'earth-paint'],
                [0, 1],
            ],
            'base before cover' => ['order-base-before-cover', ['earth-paint', 'fine-turf'], [1], ['earth-paint', 'fine-turf'], [0, 1]],
            'plaster before track' => [
                'order-messy-plaster-before-track',
                ['pulp-plaster-stiff', 'track-paint'],
                [1],
                ['masking', 'pulp-plaster-stiff', 'track-paint'],
                [2],
            ],
            'road before cover' => [
                'order-crossing-before-road-before-cover',
                ['poured-road', 'fine-turf'],
                [1],
                ['poured-road', 'fine-turf'],
                [0, 1],
            ],
            'scenery before gloss' => [
                'order-scenery-before-final-gloss',
                ['fine-turf', 'gloss-medium'],
                [1],
                ['fine-turf', 'gloss-medium'],
                [0, 1],
            ],
            'short before long' => ['order-short-fibre-before-long', ['fibre-6mm', 'fibre-2mm'], [], ['fibre-2mm', 'fibre-6mm'], []],
            'ballast before wires' => [
                'order-ballast-before-wires',
                ['stone-ballast', 'wires-strung'],
                [1],
                ['stone-ballast', 'wires-strung'],
                [0, 1],
            ],
            'trees after the backdrop' => [
                'order-trees-after-backdrop',
                ['backdrop-painted', 'trees-planted'],
                [1],
                ['backdrop-painted', 'trees-planted'],
                [0, 1],
            ],
            'wires last' => ['order-wires-last', ['fine-turf', 'wires-strung'], [1], ['fine-turf', 'wires-strung'], [0, 1]],
            'solvent on foam' => ['solvent-on-foam', ['lacquer-spray'], [], ['earth-paint', 'lacquer-spray'], []],
            'pour on foam' => ['substrate-foam-under-water', ['two-part-resin'], [], ['pulp-plaster-stiff', 'two-part-resin'], []],
            'film on foam' => ['substrate-film-on-foam', ['pulp-plaster-stiff'], [], ['skin-glue-coat', 'pulp-plaster-stiff'], []],
            'wash over glue' => ['wash-over-rewettable-glue', ['stone-streaks', 'thin-wash'], [], ['rock-castings', 'thin-wash'], []],
        ];
    }

    /**
     * @param  list<string>  $bad
     * @param  list<int>  $badLaid
     * @param  list<string>  $good
     * @param  list<int>  $goodLaid
     */
    #[DataProvider('orders')]
    public function test_what_belongs_under_what(string $rule, array $bad, array $badLaid, array $good, array $goodLaid): void
    {
        $this->assertContains($rule, $this->ids($this->works($bad, $badLaid)));
        $this->assertNotContains($rule, $this->ids($this->works($good, $goodLaid)));
    }

    public function test_what_has_to_follow_on_ground_with_track(): void
    {
        $run = Build::straight(5, 220.0, 20.0, 20.0);
        foreach (
            [
                'rails-clean-after-every-glue' => [['white-glue-1-4'], ['white-glue-1-4', 'rails-cleaned-again']],
                'test-run-before-next-stage' => [['stone-ballast'], ['stone-ballast', 'test-run']],
                'flangeways-proven-with-lightest-vehicle' => [['poured-road'], ['poured-road', 'test-run']],
            ] as $rule => [$bad, $good]
        ) {
            $this->assertContains($rule, $this->ids($this->works($bad), runs: [$run]), $rule);
            $this->assertNotContains($rule, $this->ids($this->works($good), runs: [$run]), $rule);
            $this->assertNotContains($rule, $this->ids($this->works($bad)), "{$rule}: no track, no word");
        }
    }

    public function test_castings_on_dry_plaster_want_water(): void
    {
        $coats = $this->coats(['pulp-plaster-stiff', 'rock-castings']);
        // Dry through in the middle case 36 h after laying.
        $evening = fn (int $weekday): BenchTime => Build::weekly(60 + $weekday, $weekday, 1140, 1320);
        foreach (['2026-10-11T07:01Z' => false, '2026-10-11T06:59Z' => true] as $laid => $speaks) {
            $works = new Works(
                [Build::zone(1, ['outline' => Build::square(100, 100, 200, 200)])],
                $coats,
                [$this->lay($coats[0], 51, Build::minute($laid) - 20)],
                [],
                [$evening(1)],
            );
            $this->assertSame($speaks, in_array('window-castings', $this->ids($works), true), $laid);
        }
    }

    public function test_grass_in_the_shade_and_hot_melt_on_what_is_large(): void
    {
        $shade = Build::zone(1, ['crowns' => [[300.0, 225.0, 200.0]]]);
        foreach (['0.5' => false, '0.51' => true] as $share => $speaks) {
            $coats = [
                new Coat(Build::uid(20), $shade->uid, Build::recipe('earth-paint')),
                new Coat(Build::uid(21), $shade->uid, Build::recipe('fibre-4mm'), share: (float) $share),
            ];
            $this->assertSame($speaks, in_array('thin-under-crowns', $this->ids(new Works([$shade], $coats)), true), "{$share} of it");
        }
        // Beads of 1200 mm² a second, open for 30 s: 360 cm².
        foreach (['359' => false, '361' => true] as $cm2 => $speaks) {
            $zone = Build::zone(1, ['outline' => Build::square(100, 100, 500, 100 + (float) $cm2 / 4.0)]);
            $this->assertSame(
                $speaks,
                in_array(
                    'hot-melt-piece-too-large',
                    $this->ids(new Works([$zone], [new Coat(Build::uid(20), $zone->uid, Build::recipe('hot-melt'))])),
                    true,
                ),
                "{$cm2} cm²",
            );
        }
    }

    public function test_a_bed_is_painted_before_cover_reaches_its_bank(): void
    {
        $pool = Build::zone(2, ['outline' => Build::square(450, 100, 700, 350)]);
        $bed = new Coat(Build::uid(40), $pool->uid, Build::recipe('bed-paint'));
        $bank = $this->coats(['earth-paint', 'fine-turf']);
        $done = [$this->lay($bank[0], 50, 29_000_000), $this->lay($bank[1], 51, 29_010_000)];
        $painted = new CoatApplication(
            Build::uid(52),
            Build::uid(901),
            $pool->uid,
            $bed->uid,
            1,
            'Bed',
            $bed->recipe,
            0.1,
            [Build::square(450, 100, 700, 350)],
            62_500.0,
            0.0,
            20,
            [],
            28_000_000,
            28_000_020,
        );
        $rule = 'order-seal-bed-before-scenery-at-the-bank';
        $this->assertContains($rule, $this->ids(new Works([$this->zone(), $pool], [...$bank, $bed], $done)));
        $this->assertNotContains($rule, $this->ids(new Works([$this->zone(), $pool], [...$bank, $bed], [...$done, $painted])));
        $this->assertNotContains($rule, $this->ids(new Works([$this->zone(), $pool], [...$bank, $bed])), 'as long as the bank is bare');
    }

    public function test_every_school_goes_without_a_word_of_order_on_its_own_ground(): void
    {
        foreach (Build::library()->schools as $school) {
            $number = 20;
            $coats = $school->coats(Build::uid(1), function () use (&$number): string {
                return Build::uid($number++);
            }, Build::library());
            $found = array_filter($this->ids(new Works([$this->zone()], $coats)), fn (string $id): bool => str_starts_with($id, 'order-'));
            $this->assertSame([], array_values($found), $school->key);
        }
    }

    public function test_every_school_can_be_planned_to_its_end(): void
    {
        $times = [
            Build::weekly(61, 3, 1140, 1320),
            Build::weekly(62, 6, 540, 1020),
        ];
        foreach (Build::library()->schools as $school) {
            $number = 20;
            $coats = $school->coats(Build::uid(1), function () use (&$number): string {
                return Build::uid($number++);
            }, Build::library());
            $project = Project::of(
                new LayoutSheet(Build::uid(900), 'Trial', 87.1, 16.5),
                [Section::of(Build::uid(901), 'Board', 1200.0, 600.0)],
                [($run = Build::straight(5, 220.0, 20.0, 20.0))],
                works: new Works([$this->zone()], $coats, [], [], $times),
            );
            $survey = SectionSurvey::of(
                Build::planeSurvey([$this->zone()], runs: [$run]),
                new Placement(0.0, 0.0, 0.0),
                [Build::uid(1) => $this->zone()],
                $coats,
                [],
            );
            $plan = BenchPlan::make(new BenchWork($project, [Build::uid(901) => $survey], Build::minute(self::NOW)));
            $this->assertSame([], $plan->unplaced, $school->key);
            $this->assertSame(count($plan->work->moves), count($plan->moves));
            $this->assertGreaterThanOrEqual(array_sum(array_map(fn (Coat $c): int => $c->passes, $coats)), count($plan->moves));
        }
    }

    public function test_ballast_takes_longer_round_turnouts(): void
    {
        $main = Build::straight(5, 220.0, 20.0, 20.0);
        $branch = Build::run(6, 300.0, 220.0, 0.0, [['kind' => 'arc', 'radius_mm' => 600.0, 'angle_deg' => 25.0]], 20.0);
        $minutes = function (array $runs): int {
            $coat = new Coat(Build::uid(20), Build::uid(1), Build::recipe('stone-ballast'));
            $project = Project::of(
                new LayoutSheet(Build::uid(900), 'Trial', 87.1, 16.5),
                [Section::of(Build::uid(901), 'Board', 1200.0, 600.0)],
                $runs,
                works: new Works([$this->zone()], [$coat]),
            );
            $survey = SectionSurvey::of(
                Build::planeSurvey([$this->zone()], runs: $runs),
                new Placement(0.0, 0.0, 0.0),
                [Build::uid(1) => $this->zone()],
                [$coat],
                [],
            );

            return array_sum(
                array_map(
                    fn ($m): int => $m->minutes,
                    (new BenchWork($project, [Build::uid(901) => $survey], Build::minute(self::NOW)))->moves,
                ),
            );
        };
        // 400 mm of plain track at 2.5 m/h and 6 min to set up are 15.6; the branch is in the zone for some 210 mm more.
        $this->assertSame(16, $minutes([$main]));
        $this->assertEqualsWithDelta(16 + 25 + 5, $minutes([$main, $branch]), 1.5);
    }

    public function test_a_dam_goes_round_a_road(): void
    {
        $run = Build::straight(5, 220.0, 20.0, 20.0);
        $amount = function (string $recipe, string $material, int $passes, float $mm) use ($run): float {
            $coat = new Coat(Build::uid(20), Build::uid(1), Build::recipe($recipe), $mm, 1.0, $passes);
            $works = new Works([$this->zone()], [$coat]);
            $project = Project::of(
                new LayoutSheet(Build::uid(900), 'Trial', 87.1, 16.5),
                [Section::of(Build::uid(901), 'Board', 1200.0, 600.0)],
                [$run],
                works: $works,
            );
            $survey = SectionSurvey::of(
                Build::planeSurvey([$this->zone()], runs: [$run]),
                new Placement(0.0, 0.0, 0.0),
                [Build::uid(1) => $this->zone()],
                [$coat],
                [],
            );
            $work = new BenchWork($project, [Build::uid(901) => $survey], Build::minute(self::NOW));

            return array_sum(
                array_map(
                    fn ($move): float => array_sum(
                        array_map(fn ($a): float => $a->material === $material ? $a->amount : 0.0, $move->amounts),
                    ),
                    $work->moves,
                ),
            );
        };
        // Round 400 × 250 mm it is 1.3 m, a twentieth more and 15 % of waste.
        $this->assertEqualsWithDelta(1.3 * 1.05 * 1.15, $amount('poured-road', 'dam strips', 1, 4.0), 0.002);
    }

    public function test_what_was_shut_in_or_sanded_wet_is_told_to_the_minute(): void
    {
        // Dry through of bed paint at 80 % is 1440 min × 1.4362 = 2068.1; of filler 720 × 1.4362 = 1034.0.
        foreach (
            [
                'dry-through-before-seal' => ['bed-paint', 'gloss-varnish', 2068],
                'dry-before-sanding' => ['light-filler', 'primer', 1034],
            ] as $rule => [$below, $over, $limit]
        ) {
            foreach ([$limit => true, $limit + 1 => false] as $later => $speaks) {
                $coats = $this->coats([$below, $over]);
                $first = Build::minute('2026-10-01T12:00Z');
                $works = new Works([$this->zone()], $coats, [
                    $this->lay($coats[0], 51, $first),
                    $this->lay($coats[1], 52, $first + 20 + $later),
                ]);
                $this->assertSame($speaks, in_array($rule, $this->ids($works), true), "{$rule}, {$later} min later");
            }
        }
    }

    public function test_card_wants_cloth_first_and_cloth_wants_glue(): void
    {
        $shell = CutSettings::of(CutSchool::Web);
        $this->assertSame(['cloth-on-card'], $this->ids($this->works(['shell-web', 'plaster-cloth']), cuts: $shell));
        $this->assertContains('substrate-card-swells', $this->ids($this->works(['shell-web', 'earth-paint']), cuts: $shell));
        $this->assertSame([], $this->ids($this->works(['pulp-plaster-stiff']), cuts: $shell), 'no foam, no film');
    }
}
