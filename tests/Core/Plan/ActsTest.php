<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\StepRelation;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Measure\StepBudget;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Schedule\BenchTime;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\BenchPlanChecker;
use Tests\Build;

/**
 * The commonest work, as hands do it: `→` at once, `~` into the wet, `◦` when set, `▮` when ready for the next, `■` when dry through,
 * `⏱` within a while. What stands between the waits is one move, in one session.
 */
final class ActsTest extends TestCase
{
    /** @return iterable<string, array{list<string>, string}> recipes with their ways, `× n` for passes; and what is planned */
    public static function acts(): iterable
    {
        foreach (self::ACTS as $name => [$coats, $planned]) {
            yield $name => [$coats, $planned];
        }
    }

    private const ACTS = [
        'soil, wetted and flooded' => [
            ['masking', 'sifted-soil+flooded+alcohol+white', 'masking-lifted'],
            'masking ▮ loose → wetting ~ glue ~ blot → lift ⏱ masking-lifted ▮ suck up',
        ],
        'neat bed, several colours' => [
            ['fine-turf+bed-first+water+white', 'coarse-turf+bed-first+water+white'],
            'bed ~ loose ~ wetting ~ glue ▮ suck up ▮ bed ~ loose ~ wetting ~ glue ▮ suck up',
        ],
        'neat bed, one shade a day' => [['fine-turf+bed-only', 'fine-turf+bed-only'], 'bed ~ loose ▮ suck up ▮ bed ~ loose ▮ suck up'],
        'bed of paint and glue, two coats' => [
            ['earth-paint', 'sifted-soil+paint-lacquer'],
            'earth-paint ▮ bed ~ loose ▮ loose → fixing ■ sand',
        ],
        'fine grout over cloth' => [
            ['plaster-cloth × 2', 'pale-grout+soaked+alcohol+white-1-4'],
            'plaster-cloth ▮ plaster-cloth ▮ wetting ~ loose → wetting ~ glue',
        ],
        'loose stone' => [['stone-streaks+flooded+alcohol+white-1-1'], 'loose → wetting ~ glue ~ blot → lift ▮ suck up'],
        'path between tape' => [['sifted-soil+taped'], 'work → bed ~ loose ~ glue ⏱ lift'],
        'litter under trees' => [
            ['leaf-litter+litter', 'fibre-2mm', 'trees-planted'],
            'bed ~ loose ~ glue ▮ bed ~ loose ▮ work → work → work',
        ],
        'leaves along track' => [
            ['leaf-litter+flooded+alcohol+ready', 'rails-cleaned-again'],
            'loose → wetting ~ glue ~ blot → lift ▮ suck up ▮ rails-cleaned-again',
        ],
        'ballast in layers' => [
            ['stone-ballast+flooded × 2'],
            'loose → wetting ~ glue ~ blot → lift ▮ suck up ▮ loose → wetting ~ glue ~ blot → lift ▮ suck up',
        ],
        'ballast' => [
            ['track-paint', 'rails-cleaned', 'stone-ballast+dressed'],
            'track-paint ▮ rails-cleaned ▮ loose → wetting ~ glue ~ work ■ work',
        ],
        'cinders under soil' => [['cinder-ballast+under-soil'], 'loose → work → wetting ~ glue'],
        'washes over ballast' => [
            ['stone-ballast+flooded', 'textured-earth-paint', 'thin-wash × 2', 'dry-brushing', 'weathering-powder', 'dark-mist'],
            'loose → wetting ~ glue ~ blot → lift ▮ suck up ▮ '.
                'textured-earth-paint ▮ thin-wash ▮ thin-wash ▮ dry-brushing ▮ '.
                'weathering-powder ▮ work',
        ],
        'contact glue' => [['contact-glue', 'grass-mat'], 'contact-glue ⏱ bed ~ work ~ work'],
        'roadbed' => [['roadbed-laid'], 'bed ~ work'],
        'timber crossing' => [
            ['timber-crossing', 'test-run', 'poured-road', 'sifted-soil+flooded'],
            'bed ~ work | bed ~ work ■ sand ▮ test-run ▮ work ▮ work ▮ '.
                'work ■ sand ■ loose → wetting ~ glue ~ blot → lift ■ suck up',
        ],
        'patches by brush' => [
            ['fibre-2mm+patches', 'fibre-2mm+patches', 'fibre-4mm+patches'],
            'bed ~ loose → suck up ▮ suck up ■ bed ~ loose → suck up ▮ suck up ■ bed ~ loose → suck up ■ suck up',
        ],
        'base and layering spray, one day' => [
            ['fibre-2mm', 'fibre-4mm+sprayed', 'straw-mist', 'fibre-6mm+sprayed', 'fibre-6mm+sprayed', 'straw-mist', 'fibre-2mm+sprayed'],
            'bed ~ loose ◦ work → fixing ~ loose ▮ work ▮ work → fixing '.
                '~ loose ◦ work → fixing ~ loose ▮ work ▮ work → fixing ~ loose',
        ],
        'mat' => [['grass-mat'], 'bed ~ work ~ work'],
        'tufts' => [['tufts'], 'bed ~ work ~ work'],
        'hedge' => [['hedge'], 'work → fixing ~ work ▮ work'],
        'tree' => [['trees-planted'], 'work → work → work'],
        'fence, poles, wires last' => [['poles-and-fences', 'wires-strung'], 'work → glue ▮ wires-strung'],
        'foam, slabs' => [['foam-stack'], 'work → bed ~ work'],
        'foam, small pieces by hot melt' => [['foam-stack-melt'], 'work → bed ~ work'],
        'gaps in foam' => [['can-foam', 'light-filler'], 'can-foam ▮ work ■ sand'],
        'cloth on formers' => [
            ['shell-web', 'hot-melt', 'plaster-cloth × 3'],
            'shell-web ▮ hot-melt ▮ plaster-cloth ▮ plaster-cloth ▮ plaster-cloth',
        ],
        'dipped shell' => [['shell-web', 'dipped-towel × 3'], 'shell-web ▮ dipped-towel ▮ dipped-towel ▮ dipped-towel'],
        'pulp plaster over a joint' => [
            ['masking', 'pulp-plaster-spreading', 'joint-cut', 'masking-lifted', 'earth-paint'],
            'masking ▮ pulp-plaster-spreading ⏱ joint-cut ▮ masking-lifted ▮ earth-paint',
        ],
        'pulp plaster smoothed' => [['pulp-plaster-spreading', 'plaster-smoothed'], 'pulp-plaster-spreading ⏱ work'],
        'castings' => [['rock-castings'], 'work → wetting ~ glue ~ work'],
        'carved rock' => [['rock-carved', 'light-filler', 'earth-paint'], 'work → work → work ▮ work ■ sand ■ earth-paint'],
        'rock colour, light to dark' => [['primer', 'thin-wash × 3'], 'primer ▮ thin-wash ▮ thin-wash ▮ thin-wash'],
        'rock colour, dark base' => [
            ['earth-paint', 'thin-wash', 'dry-brushing × 3'],
            'earth-paint ▮ thin-wash ▮ dry-brushing ▮ dry-brushing ▮ dry-brushing',
        ],
        'spoil heap' => [
            ['hard-gypsum', 'earth-paint', 'stone-streaks+litter', 'stone-streaks+flooded+alcohol+ready × 2'],
            'hard-gypsum ▮ earth-paint ▮ bed ~ loose ~ glue ▮ loose → wetting ~ glue ~ blot → lift ▮ suck up ▮ loose → '.
                'wetting ~ glue ~ blot → lift ▮ suck up',
        ],
        'poured road' => [['poured-road', 'earth-paint', 'thin-wash'], 'work | work | work ■ sand ■ earth-paint ■ thin-wash'],
        'concrete on foam' => [
            ['primer', 'concrete-sponged × 2', 'concrete-joints', 'fibre-2mm+patches'],
            'primer ▮ work ▮ work ▮ work → work ▮ bed ~ loose → suck up ▮ suck up',
        ],
        'painted water' => [
            ['bed-paint', 'gloss-medium × 10', 'gloss-varnish'],
            'bed-paint ■ gloss-medium ■ gloss-medium ■ gloss-medium ■ gloss-medium ■ gloss-medium ■ gloss-medium ■ '.
                'gloss-medium ■ gloss-medium ■ gloss-medium ■ gloss-medium ■ gloss-varnish',
        ],
        'two-part water' => [['bed-paint', 'two-part-resin × 2'], 'bed-paint ■ two-part-resin ⏱ two-part-resin'],
        'ready-made sheet' => [['bed-paint', 'water-sheet', 'tufts'], 'bed-paint ■ water-sheet ▮ bed ~ work ~ work'],
        'glue coat under plaster' => [['skin-glue-coat', 'pulp-plaster-spreading'], 'skin-glue-coat ▮ pulp-plaster-spreading'],
    ];

    /** @param  list<string>  $coats */
    #[DataProvider('acts')]
    public function test_it_is_planned_as_hands_do_it(array $coats, string $planned): void
    {
        $work = self::work($coats, 1080, 1320);
        $plan = BenchPlan::make($work, new StepBudget(200));
        $this->assertSame([], $plan->unplaced);
        $this->assertSame($planned, self::said($plan));
        $this->assertSame([], BenchPlanChecker::faults($plan));
        foreach ($plan->moves as $placed) {
            $holding = array_filter($work->sessions, fn (array $s): bool => $s[0] <= $placed->start && $placed->end <= $s[1]);
            $this->assertCount(1, $holding, 'nothing in the wet waits over night');
        }
    }

    public function test_lengths_of_fibre_are_sprayed_on_in_one_day(): void
    {
        $plan = BenchPlan::make(self::work(self::ACTS['base and layering spray, one day'][0], 540, 1260), new StepBudget(200));
        $days = array_unique(array_map(fn (PlacedMove $p): int => intdiv($p->start, 1440), $plan->moves));
        $this->assertCount(1, $days);
    }

    public function test_tape_comes_off_strip_by_strip(): void
    {
        // 12 dm² at 1.9 min/dm² in glue that stays workable for some ten minutes: the first strip's tape cannot wait for the last.
        $work = self::work(['sifted-soil+taped'], 1080, 1320, Build::square(300, 200, 700, 500));
        $plan = BenchPlan::make($work, new StepBudget(200));
        $this->assertSame([], $plan->unplaced);
        $this->assertSame([], BenchPlanChecker::faults($plan));
        [$laid, $lifted] = array_map(fn (int $pass): array => array_filter($work->moves, fn (Move $m): bool => $m->pass === $pass), [1, 2]);
        $this->assertGreaterThan(2, count($laid));
        $this->assertSame(array_keys(array_column($laid, 'id')), array_keys(array_column($lifted, 'id')));
        foreach ($lifted as $move) {
            $this->assertSame([$move->strip], array_map(fn ($base): int => $base->under->strip, $work->bases[$move->id]));
        }
    }

    /**
     * @param  list<string>  $coats
     * @param  list<\IdleRidge\Core\Geometry\Point>|null  $outline
     */
    private static function work(array $coats, int $from, int $to, ?array $outline = null): BenchWork
    {
        $zone = Build::zone(1, ['outline' => $outline ?? Build::square(300, 200, 500, 350)]);
        $times = array_map(fn (int $d): BenchTime => Build::weekly(800 + $d, $d, $from, $to), range(1, 7));
        $all = array_map(fn (int $k): Coat => self::coat($k, $zone->uid, $coats[$k]), array_keys($coats));

        return Build::work(new Works([$zone], $all, [], [], $times), '2026-10-14T02:00:00Z');
    }

    private static function coat(int $k, string $zone, string $text): Coat
    {
        preg_match('/^([a-z0-9-]+)(?:\+(\S+))?(?: × (\d+))?$/', $text, $found);
        $way = ($found[2] ?? '') === '' ? null : $found[2];

        return new Coat(
            Build::uid(20 + $k),
            $zone,
            Build::library()->laid($found[1], $way),
            null,
            1.0,
            (int) ($found[3] ?? 1),
            way: $way,
        );
    }

    private static function said(BenchPlan $plan): string
    {
        $out = '';
        foreach ($plan->moves as $k => $placed) {
            $out .= ($k === 0 ? '' : ' '.self::wait($plan->work, $placed->move).' ').self::steps($placed->move);
        }

        return $out;
    }

    private static function wait(BenchWork $work, Move $move): string
    {
        $waits = array_map(
            fn ($base): string => match (true) {
                $base->window !== null => '⏱',
                $base->milestone === Milestone::TouchDry => '◦',
                $base->milestone === Milestone::DryThrough => '■',
                default => '▮',
            },
            $work->bases[$move->id],
        );
        foreach (['⏱', '■', '▮', '◦'] as $mark) {
            if (in_array($mark, $waits, true)) {
                return $mark;
            }
        }

        return '|';
    }

    private static function steps(Move $move): string
    {
        if ($move->recipe->steps === []) {
            return $move->recipe->id;
        }
        $out = '';
        foreach ($move->recipe->steps as $k => $step) {
            $out .= ($k === 0 ? '' : ($step->after === StepRelation::IntoTheWet ? ' ~ ' : ' → ')).$step->kind->value;
        }

        return $out;
    }
}
