<?php

declare(strict_types=1);

namespace Tests\Core\Rulebook;

use IdleRidge\Core\Coats\AlcoholVapour;
use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\PotLife;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Interchange\RecipeFile;
use IdleRidge\Core\Interchange\Record;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Rulebook\RulePages;
use IdleRidge\Core\Rulebook\Work\TooDampToDry;
use Tests\Build;
use Tests\Fixtures;

/** Rules about materials, pots and the air they are laid in: each is silent before its limit and speaks past it. */
final class MaterialRulesTest extends CoatRulesCase
{
    public function test_two_lengths_of_fibre_in_one_pass(): void
    {
        $file = RecipeFile::write(Build::recipe('fibre-4mm'));
        $longer = [['material' => 'fibre 6 mm', 'parts' => 1.0]];
        $file['steps'][1]['parts'][] = ['rule' => 'area', 'value' => 40.0, 'unit' => 'g', 'of' => $longer];
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
        $this->assertEqualsWithDelta([30.0, 30.0, 18.0, 10.0], array_map(PotLife::minutes(...), [50.0, 200.0, 500.0, 1000.0]), 1e-9);
        $this->assertEqualsWithDelta(30.0 - (12.0 * log(350.0 / 200.0)) / log(2.5), PotLife::minutes(350.0), 1e-9);
        $this->assertLessThan(10.0, PotLife::minutes(1400.0));
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
                        new Works([$this->zone()], $coats, [], [$room], [Build::weekly(61, 3, 600, 1200)]),
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
        // Sixty strips of 30 dm² are half a dm² each, a hand; of more there is a smaller one to be had.
        $file['labour']['open_minutes_per_dm2'] = 120.0;
        $recipe = RecipeFile::recipe(new Record(json_decode((string) json_encode($file), false), ''));
        $said = function (float $wide) use ($recipe): string {
            $zone = Build::zone(1, ['outline' => Build::square(50, 50, 50 + $wide, 550)]);
            $found = $this->findings(new Works([$zone], [new Coat(Build::uid(21), $zone->uid, $recipe)]));

            return implode(array_column(array_filter($found, fn ($f): bool => $f->id === 'area-too-large-for-open-time'), 'subject'));
        };
        $this->assertSame('White glue skins before a hand’s breadth is done', $said(590.0));
        $this->assertSame('White glue skins before it is done', $said(610.0));
    }

    public function test_the_rule_book_tells_every_rule_once(): void
    {
        $book = RulePages::of(json_decode((string) file_get_contents(dirname(__DIR__, 3).'/library/rules.json'), true));
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
}
