<?php

declare(strict_types=1);

namespace Tests\Core\Coats;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\LayingOrder;
use IdleRidge\Core\Coats\OrderRule;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Measure\StepBudget;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Schedule\BenchTime;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Build;

final class LayingOrderTest extends TestCase
{
    private const RECIPES = [
        'pulp-plaster-spreading', 'earth-paint', 'poured-road', 'stone-ballast', 'test-run', 'sifted-soil', 'fibre-2mm', 'fibre-6mm',
        'tufts', 'bed-paint', 'gloss-medium', 'backdrop-painted', 'trees-planted', 'wires-strung', 'dry-brushing',
    ];

    public function test_what_lies_beside_waits_by_rule_just_within_its_reach_and_not_just_past_it(): void
    {
        foreach (
            [
                [OrderRule::Road, 'poured-road', 'sifted-soil', 30.0],
                [OrderRule::Run, 'test-run', 'fibre-2mm', 40.0],
                [OrderRule::Bed, 'bed-paint', 'sifted-soil', 25.0],
                [OrderRule::Scenery, 'tufts', 'gloss-medium', 25.0],
                [OrderRule::Backdrop, 'backdrop-painted', 'trees-planted', 150.0],
                [OrderRule::Wires, 'tufts', 'wires-strung', 80.0],
            ] as [$rule, $first, $last, $reach]
        ) {
            foreach ([[-0.5, true], [0.5, false]] as [$more, $ruled]) {
                [$order, [$a], [$b]] = $this->order([$first], [$last], $reach + $more);
                $this->assertSame($ruled ? [$a->uid => $rule] : [], $order->ruledBefore($b), "{$rule->value} by {$more} mm");
                $this->assertSame([], $order->ruledBefore($a));
            }
            [$order, [$a], [$b]] = $this->order([$first], [$last], 1.0);
            $this->assertTrue($order->isBefore($a, $b) && ! $order->isBefore($b, $a), $rule->value);
        }
    }

    public function test_a_bed_of_water_comes_before_the_cover_beside_it_and_its_gloss_after_although_all_are_water(): void
    {
        [$order, [$bed, $gloss], [$soil, $grass]] = $this->order(['bed-paint', 'gloss-medium'], ['sifted-soil', 'fibre-2mm'], 5.0);
        $turns = array_map($order->turnOf(...), [$bed, $soil, $grass, $gloss]);
        $this->assertSame([0, 1, 2, 3], $turns);
        $this->assertSame([], $order->circles);
    }

    public function test_short_fibre_comes_before_long_wherever_zones_overlap(): void
    {
        $zones = [$this->zone(1, 100.0, 400.0), $this->zone(2, 200.0, 500.0)];
        [$long] = $this->coats($zones[0], ['fibre-6mm'], 20);
        [$paint, $short] = $this->coats($zones[1], ['earth-paint', 'fibre-2mm'], 30);
        $order = new LayingOrder([[$long], [$paint, $short]], $this->survey($zones));
        $this->assertTrue($order->isBefore($short, $long) && ! $order->isBefore($long, $short));
        $apart = [$this->zone(1, 100.0, 200.0), $this->zone(2, 200.5, 500.0)];
        $this->assertSame([], (new LayingOrder([[$long], [$paint, $short]], $this->survey($apart)))->ruledBefore($long));
    }

    public function test_where_each_would_wait_for_the_other_the_zones_own_orders_hold_and_it_is_told(): void
    {
        [$order, [$soil, $road], [$grass, $second]] = $this->order(['sifted-soil', 'poured-road'], ['fibre-2mm', 'poured-road'], 5.0);
        $this->assertCount(1, $order->circles);
        [$rule, $lower, $upper] = $order->circles[0];
        $this->assertSame([OrderRule::Road, $second->uid, $soil->uid], [$rule, $lower->uid, $upper->uid]);
        $this->assertTrue($order->isBefore($road, $grass), 'the first that can be is kept');
        $this->assertTrue($order->isBefore($soil, $road) && $order->isBefore($grass, $second));
    }

    public function test_a_builders_order_holds_on_a_zone_and_what_overlaps_it_goes_by_what_it_waits_for(): void
    {
        $zones = [$this->zone(1, 100.0, 400.0), $this->zone(2, 200.0, 500.0)];
        $dark = $this->coats($zones[0], ['earth-paint', 'dry-brushing'], 20);
        [$plaster, $rock] = $this->coats($zones[1], ['pulp-plaster-spreading', 'casting-plaster'], 30);
        $order = new LayingOrder([$dark, [$plaster, $rock]], $this->survey($zones));
        $this->assertTrue($order->isBefore($dark[0], $dark[1]), 'a dark base under dry brushing');
        $this->assertTrue($order->isBefore($rock, $dark[0]));
        $this->assertTrue($order->isBefore($plaster, $dark[1]));
    }

    /** Whatever stands on however many zones, in whatever order: no circle, every zone’s own order, every rule but those told of. */
    public function test_random_zones_never_come_round_in_a_circle(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            [$zones, $lists] = $this->random(new Randomizer(new Mt19937($seed)));
            $survey = $this->survey($zones);
            // Of every third the first zone lies inside a tunnel.
            $inside = $seed % 3 === 0 ? [$zones[0]->uid] : [];
            $order = new LayingOrder($lists, $survey, $inside);
            $all = array_merge(...$lists);
            $told = array_map(fn (array $c): string => "{$c[1]->uid} {$c[2]->uid}", $order->circles);
            foreach ($all as $a) {
                foreach ($all as $b) {
                    $this->assertFalse($a !== $b && $order->isBefore($a, $b) && $order->isBefore($b, $a), "seed {$seed}");
                    $this->assertFalse($order->isBefore($a, $b) && $order->turnOf($a) >= $order->turnOf($b), "seed {$seed}");
                    foreach ($a->zone === $b->zone ? [] : OrderRule::cases() as $rule) {
                        [$under, $over] = [in_array($a->zone, $inside, true), in_array($b->zone, $inside, true)];
                        if ($rule === OrderRule::Lid ? ! $under || $over : $under !== $over) {
                            continue;
                        }
                        $reach = $rule->reachMm();
                        $near = $survey->overlap($a->zone, $b->zone) !== null ||
                            ($reach > 0.0 && $survey->liesWithin($a->zone, $b->zone, $reach));
                        $holds =
                            $near && $rule->isLower($a->recipe) && $rule->isUpper($b->recipe) && $rule->puts($a->recipe, $b->recipe);
                        if ($holds && ! in_array("{$a->uid} {$b->uid}", $told, true)) {
                            $this->assertTrue($order->isBefore($a, $b), "seed {$seed} {$rule->value}");
                        }
                    }
                }
            }
            foreach ($lists as $coats) {
                for ($k = 1; $k < count($coats); $k++) {
                    $this->assertTrue($order->isBefore($coats[$k - 1], $coats[$k]), "seed {$seed}");
                }
            }
        }
    }

    public function test_random_zones_are_planned_as_they_are_ordered(): void
    {
        $times = array_map(fn (int $d): BenchTime => Build::weekly(800 + $d, $d, 600, 1200), range(1, 7));
        for ($seed = 1; $seed <= 12; $seed++) {
            [$zones, $lists] = $this->random(new Randomizer(new Mt19937($seed)));
            $work = Build::work(new Works($zones, array_merge(...$lists), [], [], $times), '2026-10-14T12:00:00Z');
            $plan = BenchPlan::make($work, new StepBudget(300));
            $order = $work->order($work->project->sections[0]->uid);
            $starts = $ends = [];
            foreach ($plan->moves as $placed) {
                $uid = $placed->move->coat->uid;
                $starts[$uid] = min($starts[$uid] ?? PHP_INT_MAX, $placed->start);
                $ends[$uid] = max($ends[$uid] ?? 0, $placed->end);
            }
            foreach (array_merge(...$lists) as $upper) {
                foreach ($order->ruledBefore($upper) as $uid => $rule) {
                    if (isset($starts[$upper->uid], $ends[$uid])) {
                        $this->assertGreaterThanOrEqual($ends[$uid], $starts[$upper->uid], "seed {$seed} {$rule->value}");
                    }
                }
            }
            $this->assertSame([], array_filter($plan->moves, fn (PlacedMove $p): bool => $p->end <= $p->start));
        }
    }

    /**
     * @param  list<string>  $one
     * @param  list<string>  $other
     * @return array{LayingOrder, list<Coat>, list<Coat>}
     */
    private function order(array $one, array $other, float $gap): array
    {
        $zones = [$this->zone(1, 100.0, 300.0), $this->zone(2, 300.0 + $gap, 500.0 + $gap)];
        [$a, $b] = [$this->coats($zones[0], $one, 20), $this->coats($zones[1], $other, 40)];

        return [new LayingOrder([$a, $b], $this->survey($zones)), $a, $b];
    }

    /** @return array{list<Zone>, list<list<Coat>>} */
    private function random(Randomizer $random): array
    {
        $zones = $lists = [];
        for ($k = 1, $x = 20.0; $k <= $random->getInt(2, 5); $k++) {
            $from = max(10.0, $x + $random->getInt(-60, 60));
            $x = $from + $random->getInt(80, 200);
            $zones[] = $zone = $this->zone($k, $from, $x);
            $recipes = [];
            for ($n = $random->getInt(0, 5); $n > 0; $n--) {
                $recipes[] = self::RECIPES[$random->getInt(0, count(self::RECIPES) - 1)];
            }
            $lists[] = $this->coats($zone, $recipes, 100 * $k);
        }

        return [$zones, $lists];
    }

    private function zone(int $n, float $from, float $to): Zone
    {
        return Build::zone($n, ['outline' => [[$from, 100.0], [$to, 100.0], [$to, 250.0], [$from, 250.0]]]);
    }

    /**
     * @param  list<string>  $recipes
     * @return list<Coat>
     */
    private function coats(Zone $zone, array $recipes, int $from): array
    {
        return array_map(
            fn (int $k): Coat => new Coat(Build::uid($from + $k), $zone->uid, Build::recipe($recipes[$k])),
            array_keys($recipes),
        );
    }

    /** @param  list<Zone>  $zones */
    private function survey(array $zones): SectionSurvey
    {
        $byUid = array_column(array_map(fn (Zone $z): array => [$z->uid, $z], $zones), 1, 0);

        return SectionSurvey::of(Build::planeSurvey($zones), new Placement(0.0, 0.0, 0.0), $byUid, [], []);
    }
}
