<?php

declare(strict_types=1);

namespace Tests\Core\Water;

use IdleRidge\Core\Coats\PourLimits;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Geometry\DepthCurve;
use IdleRidge\Core\Interchange\WaterFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Plan\WaterCoats;
use IdleRidge\Core\Project\StreamEnd;
use IdleRidge\Core\Water\BedColours;
use IdleRidge\Core\Water\Dam;
use IdleRidge\Core\Water\Fall;
use IdleRidge\Core\Water\Mirror;
use IdleRidge\Core\Water\WaterBody;
use IdleRidge\Core\Water\WaterPlan;
use IdleRidge\Core\Water\WaterSheet;
use PHPUnit\Framework\TestCase;
use Tests\Build;

final class WaterRecordsTest extends TestCase
{
    public function test_what_cannot_be_is_refused_at_its_place(): void
    {
        $plan = fn (mixed ...$with): WaterPlan => new WaterPlan(...['uid' => Build::uid(1), 'water' => Build::uid(2), ...$with]);
        $mirror = fn (mixed ...$with): Mirror => new Mirror(...[
            'uid' => Build::uid(1), 'section' => Build::uid(2), 'name' => 'Glass', 'x' => 0.0, 'y' => 0.0,
            'width' => 40.0, 'height' => 30.0, 'facingDeg' => 0.0, ...$with,
        ]);
        foreach (
            [
                ['fill_mm', fn () => $plan(fill: 0.19), fn () => $plan(fill: 0.2)],
                ['fill_mm', fn () => $plan(fill: 300.1), fn () => $plan(fill: 300.0)],
                ['coats', fn () => $plan(coats: 31), fn () => $plan(coats: 30)],
                ['bands', fn () => $plan(bands: 7), fn () => $plan(bands: 6)],
                ['bands', fn () => $plan(bands: 0), fn () => $plan(bands: 1)],
                ['pot_g', fn () => $plan(potG: 1000.1), fn () => $plan(potG: 1000.0)],
                ['pot_g', fn () => $plan(potG: 9.9), fn () => $plan(potG: 10.0)],
                ['width', fn () => $mirror(width: 4.9), fn () => $mirror(width: 5.0)],
                ['height', fn () => $mirror(height: 1000.1), fn () => $mirror(height: 1000.0)],
                ['name', fn () => $mirror(name: ' '), fn () => $mirror(name: 'G')],
                ['facing_deg', fn () => $mirror(facingDeg: 721.0), fn () => $mirror(facingDeg: -720.0)],
                ['loss', fn () => new PourLimits(3.0, 0.91), fn () => new PourLimits(3.0, 0.9)],
                ['most_mm_large', fn () => new PourLimits(3.0, 0.0, 0.0, 1000.0, 3.1), fn () => new PourLimits(3.0, 0.0, 0.0, 1000.0, 3.0)],
            ] as [$place, $bad, $good]
        ) {
            $good();
            try {
                $bad();
                $this->fail("{$place}: accepted");
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
        try {
            $plan(potG: 1200.0);
        } catch (InvalidValue $refusal) {
            $this->assertStringContainsString('until it smokes', $refusal->getMessage());
        }
    }

    public function test_bed_colours_are_mixed_from_rim_to_middle(): void
    {
        ['colours' => $colours] = WaterFile::library((string) file_get_contents(__DIR__.'/../../../library/water.json'));
        $words = fn (int $count, bool $dark): array => array_map(
            fn (int $k): string => $colours->parts($k, $count, $dark),
            range(0, $count - 1),
        );
        $this->assertSame(['silt brown', '1 peat black : 1 silt brown', 'peat black'], $words(3, false));
        $this->assertSame(['peat black', '2 peat black : 1 silt brown', '1 peat black : 2 silt brown', 'silt brown'], $words(4, true));
        $this->assertSame(['1 peat black : 1 silt brown'], $words(1, false));
        $this->assertSame($colours->dark['hex'], $colours->hex(1.0));
        $this->assertSame($colours->light['hex'], $colours->hex(0.0));
    }

    public function test_layers_follow_the_product(): void
    {
        $library = Build::library();
        $deep = fn (float $most, float $area): WaterBody => self::body(DepthCurve::of([[$most, $area]]));
        $layers = function (string $school, WaterBody $water, ?float $fill = null) use ($library): array {
            $plan = new WaterPlan(Build::uid(1), Build::uid(2), $school, $fill);
            $steps = WaterCoats::school($library->schools[$school], $plan, $water, $library)->steps;
            $poured = array_values(array_filter($steps, fn (array $s): bool => $s['recipe']->is(RecipeTrait::Pour)));

            return [$poured[0]['passes'], round((float) $poured[0]['mm'], 3)];
        };
        $this->assertSame([1, 5.0], $layers('water-resin', $deep(5.0, 1e4)));
        $this->assertSame([2, 2.505], $layers('water-resin', $deep(5.01, 1e4)), 'just over five');
        $this->assertSame([3, 4.0], $layers('water-resin', $deep(12.0, 1e4)));
        $this->assertSame([2, 3.0], $layers('water-resin', $deep(12.0, 1e4), 6.0), 'filled half');
        $this->assertSame([3, 4.0], $layers('water-resin', $deep(12.0, 1e4), 40.0), 'no further than its level');
        // With a tenth of waste a layer of 4 mm over 227,272 mm² is a litre, no more; a little wider and it may be 3 mm.
        $this->assertSame([3, 4.0], $layers('water-resin', $deep(12.0, 227_270.0)));
        $this->assertSame([4, 3.0], $layers('water-resin', $deep(12.0, 227_280.0)), 'over a litre at once it heats itself');
        // What is narrow below and wide above: the top layer alone is over a litre, and all of them are as thin as it may be.
        $bowl = self::body(DepthCurve::of([[12.0, 50_000.0], [3.9, 250_000.0]]));
        $this->assertSame([4, 3.0], $layers('water-resin', $bowl));
        $this->assertSame([3, 4.0], $layers('water-resin', self::body(DepthCurve::of([[12.0, 50_000.0], [3.9, 150_000.0]]))));
        // A single part loses a third: 3 poured is 2 dry.
        $this->assertSame([1, 2.0], $layers('water-pour', $deep(2.0, 1e4)));
        $this->assertSame([2, 1.005], $layers('water-pour', $deep(2.01, 1e4)));
        try {
            $layers('water-resin', $deep(151.0, 1e4));
            $this->fail('accepted');
        } catch (InvalidValue $refusal) {
            $this->assertSame('fill', $refusal->place);
            $this->assertStringContainsString('more than 30', $refusal->getMessage());
        }
        $this->assertSame([30, 5.0], $layers('water-resin', $deep(150.0, 1e4)));
        $coats = fn (?int $n): int => WaterCoats::school(
            $library->schools['water-gloss'],
            new WaterPlan(Build::uid(1), Build::uid(2), 'water-gloss', coats: $n),
            $deep(4.0, 1e4),
            $library,
        )->steps[2]['passes'];
        $this->assertSame([12, 9], [$coats(null), $coats(9)]);
    }

    public function test_dams_are_set_before_the_pours_and_taken_off_before_the_last_gloss(): void
    {
        $library = Build::library();
        $dam = new Dam(BoardEdge::Front, 100.0, 300.0, [[100.0, 40.0], [300.0, 40.0]], 50.0, null);
        $fall = new Fall(10.0, 20.0, 12.0, 18.0, [15.0, 5.0]);
        $steps = fn (string $school, WaterBody $body): array => array_map(
            fn (array $s): string => $s['recipe']->id,
            WaterCoats::school($library->schools[$school], new WaterPlan(Build::uid(1), Build::uid(2), $school), $body, $library)->steps,
        );
        $curve = DepthCurve::of([[4.0, 1e4]]);
        $this->assertSame(
            ['bed-paint', 'bed-seal', 'dam-set', 'two-part-resin', 'dam-off', 'gloss-medium'],
            $steps('water-resin', self::body($curve, [$dam])),
        );
        $this->assertSame(['bed-paint', 'bed-seal', 'gloss-medium', 'gloss-varnish'], $steps('water-gloss', self::body($curve, [$dam])));
        $this->assertSame(
            ['bed-paint', 'bed-seal', 'gloss-medium', 'falls-drawn', 'gloss-varnish'],
            $steps('water-gloss', self::body($curve, [], [$fall])),
        );
        $this->assertSame(
            ['bed-paint', 'bed-seal', 'dam-set', 'single-part-pour', 'dam-off', 'falls-drawn', 'gloss-medium'],
            $steps('water-pour', self::body($curve, [$dam], [$fall])),
        );
    }

    public function test_a_dam_is_held_by_tape_or_clamped_by_its_length(): void
    {
        $bed = [[100.0, 42.0], [160.0, 38.5]];
        $dam = fn (float $long, ?string $joint = null): Dam => new Dam(BoardEdge::Left, 100.0, 100.0 + $long, $bed, 50.0, $joint);
        $this->assertStringContainsString('tape', $dam(120.0)->hold());
        $this->assertStringContainsString('3 clamps', $dam(120.1)->hold());
        $this->assertStringContainsString('3 clamps', $dam(200.0)->hold());
        $this->assertStringContainsString('4 clamps', $dam(200.1)->hold());
        $this->assertSame([11.5, 14.5, 53.0], [$dam(80.0)->deep(), $dam(80.0)->height(), $dam(80.0)->top()]);
        $this->assertStringContainsString('outside', $dam(80.0)->seal());
        $this->assertStringContainsString('Next’s side', $dam(80.0, 'Next')->seal());
        $this->assertSame(
            [[140.0, 0.0], [140.0, 603.0], [-3.0, 140.0], [1203.0, 140.0]],
            array_map(
                fn (BoardEdge $edge): array => $edge->place(140.0, 1200.0, 600.0, $edge === BoardEdge::Front ? 0.0 : 3.0),
                BoardEdge::cases(),
            ),
        );
        $template = $dam(80.0, 'Next')->template('Tarn');
        $this->assertStringContainsString('left edge, joint to Next, 80 mm', $template->title);
        // Eight under the bed, three over the water; bed and water stand in it where they are.
        $this->assertEqualsWithDelta(8.0 + 11.5 + 3.0, max(array_column($template->cut[0], 1)), 1e-9);
        $this->assertEqualsWithDelta([[10.0, 11.5], [70.0, 8.0]], $template->lines[0], 1e-9);
        $this->assertEqualsWithDelta([[10.0, 19.5], [90.0, 19.5]], $template->lines[1], 1e-9);
    }

    public function test_a_narrow_fall_has_one_strip_and_one_peak(): void
    {
        $fall = fn (float $width): Fall => new Fall(0.0, 9.0, 12.0, $width, [0.0, 0.0]);
        $this->assertSame([[1, 1], [1, 1], [1, 2], [2, 2]], array_map(
            fn (float $w): array => [$fall($w)->strips(), $fall($w)->peaks()],
            [2.0, 3.0, 4.0, 4.1],
        ));
        $this->assertEqualsWithDelta(15.0 + 12.0, $fall(2.0)->strip(), 1e-9, 'six over the lip and six into the pool');
        $this->assertStringContainsString('falls 12 mm: 1 strip of 27 mm', $fall(2.0)->words());
    }

    public function test_an_end_is_open_where_more_than_a_fifth_is_seen(): void
    {
        $end = fn (float $seen, bool $viewed = false, ?string $joint = null): bool => (new StreamEnd(
            Build::uid(1), 'Beck', BoardEdge::Back, [0.0, 0.0], 18.0, 50.0, -90.0, $joint, $viewed, $seen, [], null,
        ))->isOpen();
        $this->assertSame([false, true], [$end(0.2), $end(0.201)]);
        $this->assertSame([false, false], [$end(1.0, true), $end(1.0, false, 'Next')]);
    }

    public function test_a_bed_goes_from_the_dark_to_the_light_in_even_steps(): void
    {
        $colours = new BedColours(['name' => 'umber', 'hex' => '#403020'], ['name' => 'sand', 'hex' => '#c0b090']);
        $shares = fn (bool $darkRim): array => array_map(fn (int $k): float => $colours->darkShare($k, 3, $darkRim), [0, 1, 2]);
        $this->assertSame([1.0, 0.5, 0.0], $shares(true));
        $this->assertSame([0.0, 0.5, 1.0], $shares(false));
        $this->assertSame(0.5, $colours->darkShare(0, 1, true), 'one band is one to one');
        $this->assertSame(['umber', '1 umber : 1 sand', 'sand'], array_map(fn (int $k): string => $colours->parts($k, 3, true), [0, 1, 2]));
        $this->assertSame('2 umber : 1 sand', $colours->parts(1, 4, true));
    }

    /**
     * @param  list<Dam>  $dams
     * @param  list<Fall>  $falls
     */
    private static function body(DepthCurve $curve, array $dams = [], array $falls = []): WaterBody
    {
        return new WaterBody(Build::uid(2), 'Pool', false, 50.0, $curve, 100.0, 1.0, [0.0, 0.0], null, $dams, [], $falls);
    }

    public function test_a_sheet_is_cut_with_what_is_tucked_under(): void
    {
        $sheet = new WaterSheet(300.0, 400.0, 4.0);
        $cut = $sheet->cut([Build::square(0, 0, 200, 100)]);
        $this->assertSame([1, 1, 0], [$cut->sheets(), count($cut->pieces), $cut->seams]);
        $this->assertEqualsWithDelta([208.0, 108.0], $cut->size(), 1e-6);
        $this->assertEqualsWithDelta(120_000.0 - $cut->pieces[0]->area, $cut->rest(), 1e-6);
        $this->assertGreaterThan(80.0, $cut->strip());
        $large = $sheet->cut([Build::square(0, 0, 700, 350)]);
        $this->assertGreaterThan(0, $large->seams);
        $this->assertSame(count($large->pieces) - 1, $large->seams);
        $this->assertSame([], $large->nest->unplaced);
        $area = array_sum(array_map(fn ($p): float => $p->area, $large->pieces));
        $this->assertEqualsWithDelta(708.0 * 358.0, $area, 130.0, 'all of it, crumbs apart');
        $hole = $sheet->cut([Build::square(0, 0, 200, 100), array_reverse(Build::square(50, 25, 90, 75))]);
        $this->assertCount(1, $hole->pieces, 'an island is cut out on the bench, not a piece');
        // At a sharp corner the tuck goes out no further than twice itself: the tip moves from 300 to 308.
        $sharp = $sheet->cut([[[0.0, 0.0], [300.0, 5.0], [0.0, 10.0]]])->pieces[0]->rings[0];
        $this->assertEqualsWithDelta(308.0, max(array_column($sharp, 0)), 0.01);
        $fits = new WaterSheet(300.0, 400.0, 0.0);
        $this->assertSame([0, 1], [$fits->cut([Build::square(0, 0, 400, 300)])->seams, $fits->cut([Build::square(0, 0, 401, 300)])->seams]);
    }
}
