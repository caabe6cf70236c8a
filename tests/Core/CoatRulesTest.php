<?php

declare(strict_types=1);

namespace Tests\Core;

use IdleRidge\Core\Coats\AlcoholVapour;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Interchange\RecipeFile;
use IdleRidge\Core\Interchange\Record;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Rulebook\Rulebook;
use IdleRidge\Core\Rulebook\RulePages;
use IdleRidge\Core\Rulebook\Work\PotTooLarge;
use IdleRidge\Core\Rulebook\Work\TooDampToDry;
use IdleRidge\Core\Schedule\BenchTime;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Build;
use Tests\Fixtures;

/** Rules about what goes on over what, and in which air: each is silent before its limit and speaks past it. */
final class CoatRulesTest extends TestCase
{
    private const NOW = '2026-10-12T12:00Z';

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
        $evening = fn (int $weekday): BenchTime => new BenchTime(Build::uid(60 + $weekday), 'weekly', $weekday, null, 1140, 1320);
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
            });
            $found = array_filter($this->ids(new Works([$this->zone()], $coats)), fn (string $id): bool => str_starts_with($id, 'order-'));
            $this->assertSame([], array_values($found), $school->key);
        }
    }

    public function test_every_school_can_be_planned_to_its_end(): void
    {
        $times = [
            new BenchTime(Build::uid(61), 'weekly', 3, null, 1140, 1320),
            new BenchTime(Build::uid(62), 'weekly', 6, null, 540, 1020),
        ];
        foreach (Build::library()->schools as $school) {
            $number = 20;
            $coats = $school->coats(Build::uid(1), function () use (&$number): string {
                return Build::uid($number++);
            });
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

    public function test_two_lengths_of_fibre_in_one_pass(): void
    {
        $file = RecipeFile::write(Build::recipe('fibre-4mm'));
        $file['parts'][] = ['rule' => 'area', 'value' => 40.0, 'unit' => 'g', 'of' => [['material' => 'fibre 6 mm', 'parts' => 1.0]]];
        $mixed = RecipeFile::recipe(new Record(json_decode((string) json_encode($file), false), ''));
        $ids = fn (Recipe $r): array => $this->ids(
            new Works(
                [$this->zone()],
                [new Coat(Build::uid(20), Build::uid(1), Build::recipe('earth-paint')), new Coat(Build::uid(21), Build::uid(1), $r)],
            ),
        );
        $this->assertSame(['one-length-per-pass'], $ids($mixed));
        $this->assertSame([], $ids(Build::recipe('fibre-4mm')));
    }

    public function test_a_pot_that_sets_before_it_is_poured(): void
    {
        $this->assertEqualsWithDelta([30.0, 30.0, 18.0, 10.0], array_map(PotTooLarge::potLife(...), [50.0, 200.0, 500.0, 1000.0]), 1e-9);
        $this->assertEqualsWithDelta(30.0 - (12.0 * log(350.0 / 200.0)) / log(2.5), PotTooLarge::potLife(350.0), 1e-9);
        $this->assertLessThan(10.0, PotTooLarge::potLife(1400.0));
        // On 1000 cm² a pour of t mm weighs 109 t g and takes 10 + 15 min: 3 mm is 360 g with waste, 23.6 min.
        foreach ([2.0 => false, 3.0 => true] as $mm => $speaks) {
            $coats = [
                new Coat(Build::uid(20), Build::uid(1), Build::recipe('pulp-plaster-stiff')),
                new Coat(Build::uid(21), Build::uid(1), Build::recipe('two-part-resin'), (float) $mm),
            ];
            $this->assertSame($speaks, in_array('pot-too-large', $this->ids(new Works([$this->zone()], $coats)), true), "{$mm} mm");
        }
    }

    public function test_ballast_no_higher_than_the_sleepers(): void
    {
        $run = Build::straight(5, 220.0, 20.0, 20.0);
        foreach (
            [
                'under' => [3.0, 1, false],
                'over' => [3.05, 1, true],
                'two light ones' => [1.5, 2, false],
                'two heavy ones' => [1.55, 2, true],
            ] as $word => [$mm, $passes, $speaks]
        ) {
            $works = new Works(
                [$this->zone()],
                [
                    new Coat(Build::uid(20), Build::uid(1), Build::recipe('earth-paint')),
                    new Coat(Build::uid(21), Build::uid(1), Build::recipe('stone-ballast'), $mm, 1.0, $passes),
                ],
            );
            $this->assertSame($speaks, in_array('ballast-below-sleeper-top', $this->ids($works, runs: [$run]), true), $word);
        }
    }

    public function test_points_are_named_where_there_are_any(): void
    {
        $main = Build::straight(5, 220.0, 20.0, 20.0);
        $branch = Build::run(6, 300.0, 220.0, 0.0, [['kind' => 'arc', 'radius_mm' => 600.0, 'angle_deg' => 25.0]], 20.0);
        $works = new Works(
            [$this->zone()],
            [
                new Coat(Build::uid(20), Build::uid(1), Build::recipe('earth-paint')),
                new Coat(Build::uid(21), Build::uid(1), Build::recipe('stone-ballast'), 2.0),
            ],
        );
        $this->assertContains('points-clear', $this->ids($works, runs: [$main, $branch]));
        $this->assertNotContains('points-clear', $this->ids($works, runs: [$main]));
    }

    public function test_air_too_damp_or_dry_enough_for_static(): void
    {
        $room = fn (float $rh): Room => Room::of(Build::uid(60), 'Shed', 20.0, 20.0, $rh, $rh);
        $works = fn (Room $room): Works => new Works(
            [$this->zone()],
            [
                new Coat(Build::uid(20), Build::uid(1), Build::recipe('earth-paint')),
                new Coat(Build::uid(21), Build::uid(1), Build::recipe('fibre-4mm')),
            ],
            [],
            [$room],
        );
        // At 20 °C the deficit falls with the humidity: a quarter of that at 50 % is left at 87.5 %.
        $this->assertSame(0.25, TooDampToDry::MIN_DRYING_RATE);
        $this->assertSame([], $this->ids($works($room(87.4))));
        $this->assertSame(['too-damp-to-dry'], $this->ids($works($room(87.6))));
        $this->assertSame([], $this->ids($works($room(30.1))));
        $this->assertSame(['humidity-low-static'], $this->ids($works($room(29.9))));
    }

    public function test_vapour_of_alcohol_by_room_and_air(): void
    {
        foreach (Fixtures::vectors('alcohol_vapour') as $v) {
            $vapour = AlcoholVapour::of($v['sprayed_ml'], $v['strength'], $v['room_m3'], $v['air_changes_per_h']);
            $this->assertEqualsWithDelta(
                $v['well_mixed_ppm'],
                $vapour->ppm,
                4e-4 * $v['well_mixed_ppm'],
                'the molar volume has five figures here, four there',
            );
            $this->assertEqualsWithDelta($v['minutes_to_200ppm'], $vapour->minutes, 0.06);
        }
        $this->assertSame(0.0, AlcoholVapour::of(10.0, 0.3, 30.0, 1.0)->minutes, 'under the guide already');
        // 1000 cm² under 40 mm: the mist takes 40000 ml × 0.5 × 0.4 / 3 of alcohol, times the waste; ppm goes with one over the room.
        $speaks = function (float $m3): ?Severity {
            $room = Room::of(Build::uid(60), 'Den', 20.0, 20.0, 50.0, 50.0, volume: $m3);
            $coats = [
                new Coat(Build::uid(20), Build::uid(1), Build::recipe('earth-paint')),
                new Coat(Build::uid(21), Build::uid(1), Build::recipe('alcohol-mist'), 40.0),
            ];
            $found = array_values(
                array_filter(
                    $this->findings(
                        new Works([$this->zone()], $coats, [], [$room], [new BenchTime(Build::uid(61), 'weekly', 3, null, 600, 1200)]),
                    ),
                    fn (Finding $f): bool => $f->id === 'vapour',
                ),
            );

            return $found[0]->severity ?? null;
        };
        $ml = ((4000.0 * 0.5 * 0.4) / 3.0) * 1.2;
        $at = fn (float $ppm): float => ((($ml * 0.99 * 0.785) / 60.1) * 24.055 * 1000.0) / $ppm;
        $this->assertSame(
            [null, Severity::Care, Severity::Care, Severity::Stop],
            array_map($speaks, [$at(399.0), $at(401.0), $at(1990.0), $at(2010.0)]),
        );
    }

    public function test_what_is_finished_is_covered_before_it_is_splashed(): void
    {
        $pool = Build::zone(2, ['outline' => Build::square(505, 100, 700, 350)]);
        $gloss = new Coat(Build::uid(40), $pool->uid, Build::recipe('gloss-medium'));
        $laid = new CoatApplication(
            Build::uid(50),
            Build::uid(901),
            $pool->uid,
            $gloss->uid,
            1,
            'Gloss',
            $gloss->recipe,
            0.1,
            [Build::square(505, 100, 700, 350)],
            48_750.0,
            0.0,
            20,
            [],
            29_000_000,
            29_000_020,
        );
        $near = new Works([$this->zone(), $pool], [...$this->coats(['pulp-plaster-stiff']), $gloss], [$laid]);
        $this->assertContains('protect', $this->ids($near));
        $far = new Works(
            [$this->zone(), Build::zone(2, ['outline' => Build::square(600, 100, 800, 350)])],
            [...$this->coats(['pulp-plaster-stiff']), $gloss],
            [$laid],
        );
        $this->assertNotContains('protect', $this->ids($far));
        $masked = new Works([$this->zone(), $pool], [...$this->coats(['masking', 'pulp-plaster-stiff']), $gloss], [$laid]);
        $this->assertNotContains('protect', $this->ids($masked));
    }

    public function test_a_strip_that_skins_before_it_is_done(): void
    {
        // Open for 2 h of work on 1000 cm² and workable for a tenth of a minute: sixty strips are not enough.
        $file = RecipeFile::write(Build::recipe('white-glue-neat'));
        $ids = function (float $minutes) use ($file): array {
            $file['labour']['open_minutes_per_dm2'] = 12.0;
            $file['minutes']['workable_until'] = $minutes;
            $recipe = RecipeFile::recipe(new Record(json_decode((string) json_encode($file), false), ''));

            return $this->ids(
                new Works(
                    [$this->zone()],
                    [
                        new Coat(Build::uid(20), Build::uid(1), Build::recipe('earth-paint')),
                        new Coat(Build::uid(21), Build::uid(1), $recipe),
                    ],
                ),
            );
        };
        $this->assertSame([], $ids(10.0));
        $this->assertSame(['area-too-large-for-open-time'], $ids(2.0));
    }

    public function test_the_rule_book_tells_every_rule_once(): void
    {
        $book = RulePages::of(json_decode((string) file_get_contents(dirname(__DIR__, 2).'/library/rules.json'), true));
        $this->assertSame(
            count($book->rules),
            array_sum(array_map(fn (string $key): int => count($book->chapter($key)), array_keys(RulePages::CHAPTERS))),
        );
        foreach ($book->rules as $rule) {
            $this->assertGreaterThan(15, strlen($rule['what']), $rule['id']);
            $this->assertGreaterThan(10, strlen($rule['why']), $rule['id']);
        }
        $this->expectException(InvalidValue::class);
        RulePages::of(array_slice($book->rules, 1));
    }

    private function zone(): Zone
    {
        return Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]);
    }

    /**
     * @param  list<string>  $ids
     * @return list<Coat>
     */
    private function coats(array $ids): array
    {
        return array_map(fn (int $k): Coat => new Coat(Build::uid(20 + $k), Build::uid(1), Build::recipe($ids[$k])), array_keys($ids));
    }

    /**
     * @param  list<string>  $ids
     * @param  list<int>  $laid
     */
    private function works(array $ids, array $laid = []): Works
    {
        $coats = $this->coats($ids);
        $done = array_map(fn (int $k): CoatApplication => $this->lay($coats[$k], 50 + $k, 29_000_000 + 10_000 * $k), $laid);

        return new Works([$this->zone()], $coats, $done);
    }

    private function lay(Coat $coat, int $n, int $from): CoatApplication
    {
        return new CoatApplication(
            Build::uid($n),
            Build::uid(901),
            Build::uid(1),
            $coat->uid,
            1,
            $coat->title(),
            $coat->recipe,
            $coat->mm,
            [Build::square(100, 100, 500, 350)],
            100_000.0,
            0.0,
            20,
            [],
            $from,
            $from + 20,
        );
    }

    /**
     * @param  list<\IdleRidge\Core\Track\Run>  $runs
     * @return list<string>
     */
    private function ids(Works $works, ?CutSettings $cuts = null, array $runs = []): array
    {
        return array_values(array_unique(array_map(fn (Finding $f): string => $f->id, $this->findings($works, $cuts, $runs))));
    }

    /**
     * @param  list<\IdleRidge\Core\Track\Run>  $runs
     * @return list<Finding>
     */
    private function findings(Works $works, ?CutSettings $cuts = null, array $runs = []): array
    {
        $project = Project::of(
            new LayoutSheet(Build::uid(900), 'Trial', 87.1, 16.5, cuts: $cuts),
            [Section::of(Build::uid(901), 'Board', 1200.0, 600.0)],
            $runs,
            works: $works,
        );
        $survey = SectionSurvey::of(
            Build::planeSurvey($works->zones, runs: $runs),
            new Placement(0.0, 0.0, 0.0),
            $works->zonesOf(Build::uid(901)),
            $works->coats,
            $works->laid,
        );

        return Rulebook::checkWork(BenchPlan::make(new BenchWork($project, [Build::uid(901) => $survey], Build::minute(self::NOW))));
    }
}
