<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Hazard;
use IdleRidge\Core\Cure\Mechanism;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Measure\StepBudget;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Plan\SchoolTrial;
use IdleRidge\Core\Plan\Underlayer;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Schedule\BenchRules;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;
use IdleRidge\Core\Schedule\WorkOrder;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\BenchPlanChecker;
use Tests\Build;

/** Plans of random work: their reasons name what is there and ends just then, and they hold when made anew amid the work. */
final class StartReasonsTest extends TestCase
{
    private const NOW = '2026-10-12T12:00Z';

    private const POOL = [
        'earth-paint',
        'sifted-soil',
        'fibre-2mm',
        'fibre-4mm',
        'pulp-plaster-stiff',
        'foam-stack',
        'thin-wash',
        'alcohol-mist',
        'gloss-medium',
        'joint-cut',
        'scenery-adhesive',
        'masking-lifted',
        'two-part-resin',
        'stone-streaks',
    ];

    public function test_every_reason_names_what_is_so(): void
    {
        $kinds = [];
        for ($seed = 1; $seed <= 40; $seed++) {
            $plan = $this->random($seed);
            $this->assertSame([], BenchPlanChecker::faults($plan), "seed {$seed}");
            foreach ($plan->moves as $placed) {
                $this->assertNotSame('', $placed->reason()->text);
                $this->assertFalse(
                    $plan->work
                        ->drying($placed->move->section)
                        ->spoils(
                            $placed->move->coat->recipe->cure,
                            $placed->move->coat->mm,
                            (float) $placed->end,
                            $plan->work->certainty(),
                        ),
                    "seed {$seed}: too cold",
                );
                $this->assertTrue(
                    $this->holds($plan, $placed),
                    "seed {$seed}: {$placed->move->title()} at {$placed->start}: "
                        ."{$placed->reason()->kind->value}, {$placed->reason()->text}",
                );
                $kinds[$placed->reason()->kind->value] = true;
            }
            foreach ($plan->unplaced as $unplaced) {
                $this->assertContains($unplaced->kind->value, ['sessions', 'cold', 'order', 'wait', 'window']);
                $this->assertMatchesRegularExpression('/[.a-z]$/', $unplaced->text);
            }
        }
        foreach (['wait', 'session', 'hands', 'tool'] as $kind) {
            $this->assertArrayHasKey($kind, $kinds, "no plan of forty has a reason of kind {$kind}");
        }
    }

    public function test_the_chain_goes_back_from_the_end_by_what_each_waited_for(): void
    {
        for ($seed = 1; $seed <= 20; $seed++) {
            $plan = $this->random($seed);
            $chain = $plan->chain();
            $by = array_column(array_map(fn (PlacedMove $p): array => [$p->move->id, $p], $plan->moves), 1, 0);
            for ($k = 1; $k < count($chain); $k++) {
                $this->assertSame($chain[$k - 1], $by[$chain[$k]]->reason()->ref, "seed {$seed}");
                $this->assertLessThanOrEqual($by[$chain[$k]]->start, $by[$chain[$k - 1]]->end, "seed {$seed}");
            }
            if ($chain !== []) {
                $sure = $plan->work->certainty();
                $dry = fn (PlacedMove $p): int => $plan->reached($p, BenchPlan::through($p->move->recipe->cure->minutes), $sure);
                $this->assertSame(
                    max(array_map($dry, $plan->moves)),
                    $dry($by[$chain[count($chain) - 1]]),
                    'it ends with what is dry last',
                );
            }
        }
    }

    public function test_a_plan_made_anew_amid_the_work_is_sound(): void
    {
        $moves = 0;
        for ($seed = 1; $seed <= 30; $seed++) {
            $plan = $this->random($seed);
            [$work, $works] = [$plan->work, $plan->work->project->works];
            $random = new Randomizer(new Xoshiro256StarStar($seed));
            $laid = $whole = [];
            $now = $work->now;
            $count = $random->getInt(1, 6);
            foreach (array_slice($plan->moves, 0, $count) as $k => $placed) {
                // Begun late and done slower than planned; the last may still be under way.
                $start = max($now, $placed->start + $random->getInt(0, 5));
                $end = $start + $placed->minutes() + $random->getInt(0, 8);
                $open = $k === $count - 1 && $seed % 3 === 0;
                $laid[] = $work->begin($placed->move, Build::uid(500 + $k), $start, $open ? null : $end);
                // What is left of a coat in strips may be cut otherwise.
                $whole[] = $placed->move->strips === 1 ? "{$placed->move->coat->uid}.{$placed->move->pass}" : '';
                $now = $open ? $start + 1 : $end + $random->getInt(0, 30);
            }
            $anew = BenchPlan::make(
                Build::work(
                    new Works($works->zones, $works->coats, $laid, $works->rooms, $works->times),
                    '@'.$now * 60,
                    'Europe/Oslo',
                    $work->rules(),
                ),
                new StepBudget(8),
            );
            $this->assertSame([], BenchPlanChecker::faults($anew), "seed {$seed}");
            foreach ($anew->moves as $placed) {
                $this->assertGreaterThanOrEqual($anew->work->planFrom(), $placed->start, "seed {$seed}");
                $this->assertNotContains("{$placed->move->coat->uid}.{$placed->move->pass}", $whole, "seed {$seed}: planned again");
            }
            $moves += count($anew->moves);
        }
        $this->assertGreaterThan(100, $moves);
    }

    public function test_what_is_not_in_a_session_is_said_to_be_so_for_its_reason(): void
    {
        for ($seed = 1; $seed <= 20; $seed++) {
            $plan = $this->random($seed);
            $session = $plan->session();
            foreach ($plan->moves as $placed) {
                if ($session === null || $placed->start < $session[1]) {
                    continue;
                }
                $reason = $plan->notWithin($placed->move, $session);
                $this->assertContains($reason->kind->value, ['wait', 'cold', 'hands', 'order']);
                if ($reason->kind->value === 'hands') {
                    $this->assertGreaterThan($plan->freeIn($session), $placed->move->minutes);
                }
                if ($reason->kind->value === 'wait') {
                    $ids = array_map(
                        fn (Underlayer $b): string => $b->under instanceof Move ? $b->under->id : $b->under->uid,
                        $plan->work->bases[$placed->move->id],
                    );
                    $this->assertContains($reason->ref, $ids, "seed {$seed}");
                }
            }
        }
    }

    /** In the air the times are given for, a school takes its hands-on minutes and the waits of its coats, thicker ones longer. */
    public function test_a_school_on_its_own_takes_its_work_and_its_waits(): void
    {
        $zone = Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]);
        $work = Build::work(new Works([$zone], [], [], [Room::standard(Build::uid(60))], [$this->session(1, 1140, 1260)]), self::NOW);
        foreach (Build::library()->schools as $school) {
            $trial = SchoolTrial::of($work, $work->project->sections[0], $zone, $school, Build::library());
            $laid = array_merge(...array_map(fn (Coat $c): array => array_fill(0, $c->passes, $c), $trial->coats));
            $plain = fn (Coat $c): bool => count($c->recipe->then) < 2 && ($c->recipe->then[0]->needs['*'] ?? 'next_coat') === 'next_coat';
            if (array_filter($laid, $plain) !== $laid) {
                // What waits for more than its own coat is told by no such sum.
                continue;
            }
            $total = (float) $trial->minutes;
            foreach ($laid as $k => $coat) {
                $next = $laid[$k + 1] ?? null;
                $total += $this->wait(
                    $coat,
                    $next?->recipe->needsOf($coat->recipe) ?? BenchPlan::through($coat->recipe->cure->minutes),
                    $next === null ? 1.281552 : 0.841621,
                );
            }
            $this->assertEqualsWithDelta($total / 1440.0, $trial->days90, 0.005 + 0.001 * $trial->days90, $school->key);
            $this->assertGreaterThanOrEqual($trial->days50, $trial->days90);
            $this->assertGreaterThanOrEqual($trial->dry, $trial->wet, $school->key);
        }
    }

    private function wait(Coat $coat, Milestone $milestone, float $deviations): float
    {
        $cure = $coat->recipe->cure;
        $minutes = $cure->minutes[$milestone->value];
        $thick = in_array($milestone, [Milestone::NextCoat, Milestone::DryThrough], true)
            ? ($coat->mm / $cure->referenceMm) ** $cure->exponent
            : 1.0;
        $set = $cure->mechanism === Mechanism::Hydration ? $cure->minutes['touch_dry'] : 0.0;

        return exp(0.430116 * $deviations) * ($set + ($minutes - $set) * $thick);
    }

    private function holds(BenchPlan $plan, PlacedMove $placed): bool
    {
        $at = $plan->at();
        $ref = $placed->reason()->ref;
        $session = array_values(
            array_filter($plan->work->sessions, fn (array $s): bool => $placed->start >= $s[0] && $placed->start < $s[1]),
        )[0];
        $with = array_filter(
            $plan->moves,
            fn (PlacedMove $p): bool => $p->start >= $placed->end &&
                $p->move->section === $placed->move->section &&
                $p->move->coat->recipe->id === $placed->move->coat->recipe->id,
        );
        $bases = array_merge(
            $plan->work->bases[$placed->move->id],
            ...array_map(fn (PlacedMove $p): array => $plan->work->bases[$p->move->id], array_values($with)),
        );
        $shares = fn (string $id): bool => array_intersect(
            $plan->work->moves[$id]->coat->recipe->tools,
            $placed->move->coat->recipe->tools,
        ) !== [];

        return match ($placed->reason()->kind->value) {
            'wait' => array_filter(
                $bases,
                fn (Underlayer $b): bool => $b->under instanceof Move &&
                    $b->under->id === $ref &&
                    $at[$ref][1] <= max([$placed->start, ...array_map(fn (PlacedMove $p): int => $p->start, $with)]),
            ) !== [],
            'hands' => $ref === '' ? $placed->start === max($session[0], $plan->work->planFrom()) : $at[$ref][1] === $placed->start,
            'pot' => $at[$ref][1] === $placed->start && $plan->work->moves[$ref]->coat->recipe->id === $placed->move->coat->recipe->id,
            'tool' => in_array($ref, $placed->move->coat->recipe->tools, true) &&
                array_filter(array_keys($at), fn (string $id): bool => $at[$id][0] < $placed->start && $shares($id)) !== [],
            'apart' => in_array(
                Hazard::Vapour,
                [...$plan->work->moves[$ref]->coat->recipe->hazards, ...$placed->move->coat->recipe->hazards],
                true,
            ) && $at[$ref][1] + $plan->work->airing($plan->work->moves[$ref]) === $placed->start,
            'session' => $placed->start === max($session[0], $plan->work->planFrom()),
            'cold' => $placed->move->coat->recipe->cure->filmTemperature !== null,
            'order' => true,
            default => false,
        };
    }

    private function random(int $seed): BenchPlan
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $zones = $coats = $times = [];
        for ($k = 1; $k <= $random->getInt(2, 4); $k++) {
            $x = 280.0 * ($k - 1) + $random->getInt(0, 60);
            $zones[] = Build::zone($k, [
                'outline' => Build::square($x, 40.0, $x + $random->getInt(120, 300), 40.0 + $random->getInt(100, 500)),
            ]);
            for ($c = 0; $c < $random->getInt(1, 4); $c++) {
                $coats[] = new Coat(
                    Build::uid(10 * $k + 20 + $c),
                    $zones[$k - 1]->uid,
                    Build::recipe(self::POOL[$random->getInt(0, count(self::POOL) - 1)]),
                    passes: $random->getInt(1, 2),
                );
            }
        }
        foreach ([1, 2, 4, 6] as $k => $weekday) {
            $times[] = $this->session(
                $weekday,
                1020 + 30 * $random->getInt(0, 3),
                1290 + 30 * $random->getInt(0, 3),
                $random->getInt(1, 2),
            );
        }
        $room = Room::of(Build::uid(300), 'Room', $random->getInt(14, 22), $random->getInt(5, 18), 50.0, 65.0);
        $rules = new BenchRules(BenchRules::CERTAINTIES[$random->getInt(0, 2)], WorkOrder::cases()[$random->getInt(0, 2)]);

        $work = Build::work(new Works($zones, $coats, [], [$room], $times), self::NOW, 'Europe/Oslo', $rules);

        return BenchPlan::make($work, new StepBudget(8));
    }

    private function session(int $weekday, int $from, int $to, int $hands = 1): BenchTime
    {
        return new BenchTime(Build::uid(200 + $weekday), BenchTimeKind::Weekly, $weekday, null, $from, $to, $hands);
    }
}
