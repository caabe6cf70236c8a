<?php

declare(strict_types=1);

namespace Tests\Core\Pots;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\PotLife;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Pots\Alcohol;
use IdleRidge\Core\Pots\FreePot;
use IdleRidge\Core\Pots\Mixture;
use IdleRidge\Core\Pots\Mixtures;
use IdleRidge\Core\Pots\Portion;
use IdleRidge\Core\Pots\PotKind;
use IdleRidge\Core\Pots\PotLimit;
use IdleRidge\Core\Pots\PotPlan;
use IdleRidge\Core\Pots\PotRound;
use IdleRidge\Core\Pots\Spoons;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Rulebook\Work\PotTooLarge;
use IdleRidge\Core\Schedule\BenchTime;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Build;

final class PotPlanTest extends TestCase
{
    public function test_pots_of_every_school_sum_to_what_its_coats_take(): void
    {
        foreach (Build::library()->schools as $school) {
            $number = 20;
            $coats = $school->coats(Build::uid(1), function () use (&$number): string {
                return Build::uid($number++);
            }, Build::library());
            $work = Build::work(new Works([Build::zone(1)], $coats, [], [], self::evenings()), '2026-10-14T12:00:00Z');
            $taken = $potted = [];
            foreach ($work->moves as $move) {
                foreach ($move->amounts as $one) {
                    if (in_array($one->unit, ['g', 'ml'], true)) {
                        $taken[$one->material] = ($taken[$one->material] ?? 0.0) + $one->atHand();
                    }
                }
                foreach ((new Mixtures(Build::library()->materials))->ofMove($work, $move) as $mixture) {
                    $this->assertSame([$move->id], $mixture->moves);
                    $plan = PotPlan::of($mixture, 120.0);
                    foreach ($plan->lines() as $line) {
                        $name = $line->portion->material;
                        $potted[$name] = ($potted[$name] ?? 0.0) + $plan->count * $line->portion->amount;
                    }
                }
            }
            ksort($taken);
            ksort($potted);
            $this->assertSame(array_keys(array_filter($taken)), array_keys($potted), $school->key);
            foreach ($potted as $name => $amount) {
                $this->assertEqualsWithDelta($taken[$name], $amount, 0.05, "{$school->key}: {$name}");
            }
        }
    }

    public function test_plaster_is_mixed_by_what_is_used_before_it_sets(): void
    {
        // 600 g of powder and 420 ml of water, spread in 30 min, 10 of them workable and 2 spent on stirring: 8/30 of it a pot.
        $plan = fn (float $minutes, ?float $cup = null): PotPlan => PotPlan::of(self::plaster($minutes), $cup);
        $this->assertSame([4, PotLimit::Workable], [$plan(30.0)->count, $plan(30.0)->limit]);
        $this->assertSame([2, PotLimit::Workable], [$plan(16.0)->count, $plan(16.0)->limit]);
        $this->assertSame(3, $plan(16.01)->count);
        $this->assertSame([1, PotLimit::Need], [$plan(8.0)->count, $plan(8.0)->limit]);
        // It comes to 420 + 600/2.65 = 646.4 ml; a cup is filled to four fifths.
        $this->assertEqualsWithDelta(646.415, self::plaster(8.0)->volume(), 0.001);
        $this->assertSame([1, PotLimit::Need], [$plan(8.0, 808.1)->count, $plan(8.0, 808.1)->limit]);
        $this->assertSame([2, PotLimit::Container], [$plan(8.0, 807.9)->count, $plan(8.0, 807.9)->limit]);
        $lines = $plan(16.0)->lines();
        $this->assertSame(['water', 'casting plaster'], array_map(fn ($l): string => $l->portion->material, $lines));
        $this->assertEqualsWithDelta([210.0, 510.0], array_map(fn ($l): ?float => $l->scale, $lines), 1e-9);
        $this->assertEqualsWithDelta(10.0, $plan(16.0)->useWithin(), 1e-9);
        $this->assertFalse($plan(16.0)->isTooQuick());
        $quick = PotPlan::of(self::plaster(16.0)->but(workable: 1.9));
        $this->assertTrue($quick->isTooQuick());
        $this->assertSame(130, $quick->count, 'a spoon at a time, however it sets');
    }

    public function test_the_heat_of_two_parts_limits_their_mass(): void
    {
        $resin = fn (float $ml, float $minutes): Mixture => new Mixture('k', 'resin', 'Pour', PotKind::TwoPart, [
            new Portion('resin A', $ml * 2.0 / 3.0, 'ml', $ml * 2.0 / 3.0, 1.15),
            new Portion('hardener B', $ml / 3.0, 'ml', $ml / 3.0, 0.98),
        ], [], $minutes, 12.0);
        mt_srand(4);
        for ($case = 0; $case < 100; $case++) {
            $mixture = $resin(mt_rand(20, 3000), mt_rand(2, 60));
            $plan = PotPlan::of($mixture);
            $mass = (float) $mixture->grams();
            $rate = $mass / $mixture->minutes;
            $fits = fn (float $m): bool => $m <= $rate * (PotLife::minutes($m) - 3.0) + 1e-6;
            $this->assertTrue($fits($mass / $plan->count), "case {$case}");
            $most = $plan->shares[PotLimit::PotLife->value] * $mass;
            $this->assertTrue($fits($most));
            $this->assertTrue($most >= 2.0 * $mass - 1.0 || ! $fits($most + 0.1), 'it is the largest');
        }
        // 200 g last 30 min at 20 °C, in a room where all goes in two thirds of the time 20.
        $this->assertEqualsWithDelta(20.0, PotPlan::of($resin(100.0, 5.0)->but(pace: 2.0 / 3.0))->useWithin(), 1e-9);
    }

    public function test_what_keeps_is_mixed_once_for_a_session_and_what_sets_is_shared_while_it_can_be_worked(): void
    {
        $zones = [Build::zone(1), Build::zone(2, ['outline' => Build::square(520, 100, 700, 260)])];
        $coats = [
            new Coat(Build::uid(20), Build::uid(1), Build::library()->laid('fine-turf', null)),
            new Coat(Build::uid(21), Build::uid(2), Build::library()->laid('sifted-soil', null)),
            new Coat(Build::uid(22), Build::uid(1), Build::recipe('slow-base-plaster'), 2.0),
            new Coat(Build::uid(23), Build::uid(2), Build::recipe('slow-base-plaster'), 1.0),
        ];
        $plan = BenchPlan::make(Build::work(new Works($zones, $coats, [], [], self::evenings()), '2026-10-14T12:00:00Z'));
        $mixtures = new Mixtures(Build::library()->materials);
        $cups = PotRound::of($plan->work, $mixtures, $plan->moves);
        $glue = array_values(array_filter($cups, fn (Mixture $m): bool => str_contains($m->title, 'white glue')));
        $this->assertCount(1, $glue);
        $this->assertGreaterThan(1, count($glue[0]->moves));
        $sum = fn (array $of): float => array_sum(array_map(fn (Mixture $m): float => $m->portions[0]->amount, $of));
        $this->assertEqualsWithDelta(
            array_sum(array_map(fn (Move $m): float => array_sum(array_map(
                fn (MaterialAmount $a): float => $a->material === 'white glue' ? $a->amount : 0.0,
                $m->amounts,
            )), $plan->work->moves)),
            $sum($glue),
            1e-9,
        );
        foreach (array_filter($cups, fn (Mixture $m): bool => $m->kind === PotKind::Sets) as $cup) {
            $placed = array_values(array_filter($plan->moves, fn ($p): bool => in_array($p->move->id, $cup->moves, true)));
            if (count($placed) > 1) {
                $this->assertLessThanOrEqual((float) $cup->workable - 2.0, end($placed)->end - $placed[0]->start);
            }
        }
    }

    public function test_what_was_begun_is_mixed_as_it_was_planned(): void
    {
        $coats = [
            new Coat(Build::uid(20), Build::uid(1), Build::recipe('slow-base-plaster'), 2.0),
            new Coat(Build::uid(21), Build::uid(1), Build::recipe('two-part-resin'), 2.0),
        ];
        $plan = BenchPlan::make(Build::work(new Works([Build::zone(1)], $coats, [], [], self::evenings()), '2026-10-14T12:00:00Z'));
        $mixtures = new Mixtures(Build::library()->materials);
        foreach ($plan->work->moves as $move) {
            $laid = $plan->work->begin($move, Build::uid(500), Build::minute('2026-10-14T19:00Z'));
            $of = fn (array $all): array => array_map(fn (Mixture $m): array => [$m->title, $m->kind, $m->workable, $m->portions], $all);
            $this->assertNotSame([], $mixtures->ofLaid($plan->work, $laid));
            $this->assertEquals($of($mixtures->ofMove($plan->work, $move)), $of($mixtures->ofLaid($plan->work, $laid)));
        }
    }

    public function test_the_rule_book_speaks_of_a_pot_just_where_pots_has_to_divide_it(): void
    {
        foreach ([0.5, 1.0, 1.5, 2.0, 2.4, 2.6, 3.0, 4.0, 5.0] as $mm) {
            $coats = [
                new Coat(Build::uid(20), Build::uid(1), Build::recipe('bed-paint')),
                new Coat(Build::uid(21), Build::uid(1), Build::recipe('two-part-resin'), $mm),
            ];
            $zone = Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]);
            $plan = BenchPlan::make(Build::work(new Works([$zone], $coats, [], [], self::evenings()), '2026-10-14T12:00:00Z'));
            $counts = [];
            foreach ($plan->work->moves as $move) {
                foreach ((new Mixtures(Build::library()->materials))->ofMove($plan->work, $move) as $mixture) {
                    $counts[] = $mixture->kind === PotKind::TwoPart ? PotPlan::of($mixture)->count : 1;
                }
            }
            $this->assertSame(max($counts) > 1, (new PotTooLarge())->check($plan) !== [], "{$mm} mm");
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function kinds(): iterable
    {
        yield 'ballast, wetting, thinned glue' => [
            'stone-ballast',
            'dry: stone ballast; keeps: wet water; keeps: white glue 1:3 with water',
        ];
        yield 'plaster with pulp' => [
            'tinted-pulp-plaster',
            'sets: pulp plaster, 0.75 water to powder (water, pulp plaster, earth pigment paste)',
        ];
        yield 'towels dipped' => ['dipped-towel', 'sets: casting plaster, 0.7 water to powder (water, casting plaster)'];
        yield 'alcohol last' => ['alcohol-mist', 'keeps: alcohol 33 % (water, alcohol 99 %)'];
        yield 'resin' => ['two-part-resin', 'two parts: 2 resin A, 1 hardener B (resin A, hardener B)'];
        yield 'from the can' => ['layering-spray', 'as sold: layering spray'];
        yield 'nothing to mix' => ['masking', ''];
    }

    #[DataProvider('kinds')]
    public function test_a_cup_holds_what_is_mixed_together(string $recipe, string $cups): void
    {
        $of = Build::recipe($recipe);
        $found = (new Mixtures(Build::library()->materials))->of($of, $of->amounts(1e5, 3e5, 1000.0, 500.0));
        $words = fn (Mixture $m): string => "{$m->kind->value}: {$m->title}";
        $told = array_map(function (Mixture $m) use ($words): string {
            $order = array_map(fn (Portion $p): string => $p->material, $m->portions);

            return $words($m).(count($order) > 1 && ! str_contains($m->title, 'with water') ? ' ('.implode(', ', $order).')' : '');
        }, $found);
        $this->assertSame($cups, implode('; ', $told));
    }

    public function test_alcohol_comes_from_the_bottle_that_is_there(): void
    {
        // 33 ml of 99 % in 100: as much alcohol is in 46.7 ml of 70 %.
        $mix = [new Portion('water', 66.0, 'ml', 66.0, 1.0), new Portion('alcohol 99 %', 33.0, 'ml', 33.0, 0.785)];
        [$water, $alcohol] = Alcohol::from($mix, 'alcohol 70 %', 70.0, 0.877);
        $this->assertEqualsWithDelta([33.0 * 99.0 / 70.0, 99.0 - 33.0 * 99.0 / 70.0], [$alcohol->amount, $water->amount], 1e-9);
        $this->assertSame($mix, Alcohol::from($mix, 'alcohol 99 %', 99.0, 0.785));
        $this->assertCount(1, Alcohol::from($mix, 'alcohol 70 %', 33.0, 0.877), 'just as strong: no water is left to add');
        try {
            Alcohol::from($mix, 'alcohol 70 %', 32.9, 0.877);
            $this->fail('It was taken.');
        } catch (InvalidValue $refusal) {
            $this->assertSame('Alcohol of 32.9 % does not make one of 33 %: take a stronger one.', $refusal->getMessage());
        }
        // 33 ml × 99 % × 0.785 = 25.65 g of 66 + 25.9 g.
        $this->assertEqualsWithDelta(0.2790, (float) Alcohol::massShare($mix), 1e-4);
    }

    public function test_lines_tell_parts_and_what_the_scale_shows_as_far_as_it_is_known(): void
    {
        $lines = fn (Portion ...$of): array => PotPlan::of(new Mixture('k', 't', 'a', PotKind::Keeps, array_values($of)))->lines();
        $glue = new Portion('glue', 10.0, 'ml', 10.0, 1.1);
        $water = new Portion('water', 30.0, 'ml', 30.0, 1.0);
        $ballast = new Portion('ballast', 22.0, 'g', 22.0, null);
        $odd = new Portion('odd', 20.0, 'ml', 20.0, null);
        $told = fn (array $all): array => array_map(fn ($l): array => [$l->scale, $l->parts], $all);
        $this->assertEqualsWithDelta([[11.0, 1.0], [41.0, 3.0]], $told($lines($glue, $water)), 1e-9);
        $this->assertSame([[11.0, null]], $told($lines($glue)), 'one thing has no parts');
        // In different units it is told by weight: 11 g to 22.
        $this->assertEqualsWithDelta([[11.0, 1.0], [33.0, 2.0]], $told($lines($glue, $ballast)), 1e-9);
        // From what is not weighed on, the scale tells nothing.
        $this->assertSame([[null, 2.0], [null, 1.0]], $told($lines($odd, $glue)));
        $this->assertSame([[22.0, null], [null, null]], $told($lines($ballast, $odd)));
        $mixed = new Mixture('k', 't', 'a', PotKind::Keeps, [$glue, $ballast]);
        $this->assertSame(['g', 33.0], [$mixed->unit(), $mixed->total()]);
        $poured = $mixed->but(portions: [$glue, $water]);
        $this->assertSame(['ml', 40.0], [$poured->unit(), $poured->total()]);
        $this->assertNull($mixed->volume(), 'its bulk is not known');
    }

    public function test_a_free_pot_is_for_just_its_area_and_takes_its_time(): void
    {
        $mixtures = new Mixtures(Build::library()->materials);
        // 167 ml a m², and its waste: of 5 dm² a twentieth.
        $paint = Build::recipe('earth-paint');
        $five = FreePot::of($mixtures, $paint, 'area', 5.0)[0];
        $this->assertEqualsWithDelta(167.0 * 0.05 * (1.0 + $paint->waste), $five->total(), 1e-9);
        // Ballast is spread, wetted and glued: glue by its own step's minutes a dm².
        $ballast = Build::recipe('stone-ballast');
        $step = array_values(array_filter($ballast->steps, fn ($s): bool => $s->kind->value === 'glue'))[0];
        $glue = FreePot::of($mixtures, $ballast, 'area', 30.0)[2];
        $this->assertEqualsWithDelta($step->perDm2 * 30.0, $glue->minutes, 1e-9);
        $this->assertEqualsWithDelta(80.0, (float) FreePot::of($mixtures, $paint, 'volume', 80.0)[0]->volume(), 1e-9);
    }

    public function test_a_cup_is_no_smaller_than_a_spoon_and_spoons_are_level(): void
    {
        foreach (['4.99' => true, '5' => false] as $cup => $refused) {
            try {
                PotPlan::of(self::plaster(8.0), (float) $cup);
                $this->assertFalse($refused);
            } catch (InvalidValue $refusal) {
                $this->assertTrue($refused);
                $this->assertSame('cup', $refusal->place);
            }
        }
        $this->assertSame(
            ['drops', '¼ small', '1½ small', '1 large', '2 large, 1 small', null, null],
            array_map(Spoons::words(...), [0.6, 1.0, 7.5, 15.0, 35.0, 60.1, null]),
        );
    }

    private static function plaster(float $minutes): Mixture
    {
        return new Mixture('k', 'plaster', 'Spread', PotKind::Sets, [
            new Portion('water', 420.0, 'ml', 420.0, 1.0),
            new Portion('casting plaster', 600.0, 'g', 600.0, null),
        ], [], $minutes, 10.0);
    }

    /** @return list<BenchTime> */
    private static function evenings(): array
    {
        return array_map(fn (int $d): BenchTime => Build::weekly(800 + $d, $d, 1080, 1320), range(1, 7));
    }
}
