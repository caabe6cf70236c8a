<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\Stripping;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Interchange\Record;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\StepBudget;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\StripWork;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Schedule\BenchTime;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** Taking off what was laid: what goes with it, what it takes, and when the ground may be laid on again. */
final class StripWorkTest extends TestCase
{
    private const NOW = '2026-10-14T12:00:00Z';

    public function test_what_lies_over_it_goes_too_on_its_zone_and_on_those_that_overlap(): void
    {
        $coats = $this->coats(['earth-paint', 'sifted-soil', 'fibre-2mm']);
        $over = new Coat(Build::uid(40), Build::uid(2), Build::recipe('tufts'));
        $apart = new Coat(Build::uid(41), Build::uid(3), Build::recipe('tufts'));
        $laid = array_map(fn (Coat $c, int $k): CoatApplication => $this->lay($c, 50 + $k), [...$coats, $over, $apart], range(0, 4));
        $work = $this->work([...$coats, $over, $apart], $laid);
        $titles = fn (Coat $coat): array => StripWork::of($work, $coat)?->with ?? ['nothing'];
        $this->assertSame(['Sifted soil', 'Fibre 2 mm', 'Tufts'], $titles($coats[0]));
        $this->assertSame(['Tufts'], $titles($coats[2]));
        $this->assertSame([], $titles($over));
        $this->assertNull(StripWork::of($this->work($coats, []), $coats[0]));
        $this->assertCount(4, StripWork::of($work, $coats[0])?->off ?? []);
    }

    public function test_what_softens_is_wetted_and_lifted_and_what_does_not_is_cut_out(): void
    {
        [$soil, $acrylic] = $this->coats(['sifted-soil', 'primer']);
        $amounts = [new MaterialAmount('white glue', 10.0, 'ml')];
        $wet = Stripping::of([$this->lay($soil, 50)->but(amounts: $amounts, area: 20_000.0)]);
        $this->assertSame([true, 11, 6.0, 10.0], [$wet->wet, $wet->minutes, $wet->water, $wet->lost[0]->amount]);
        $dry = Stripping::of([$this->lay($acrylic, 50)->but(amounts: $amounts, area: 20_000.0)]);
        $this->assertSame([false, 17, 0.0], [$dry->wet, $dry->minutes, $dry->water]);
        // Two passes of paint on the same ground and fibre over them: cut out once.
        $both = [
            $this->lay($acrylic, 50)->but(area: 20_000.0),
            $this->lay($acrylic, 51)->but(area: 20_000.0, pass: 2),
            $this->lay($soil, 52)->but(area: 5_000.0),
        ];
        $this->assertSame([false, 17, 0.0], [Stripping::of($both)->wet, Stripping::of($both)->minutes, Stripping::of($both)->water]);
        $strips = [$this->lay($soil, 50)->but(area: 20_000.0), $this->lay($soil, 51)->but(area: 10_000.0)];
        $this->assertSame(14, Stripping::of($strips)->minutes, 'strips lie beside one another');
        $nothing = Stripping::of([$this->lay($soil, 50)->but(amounts: [])]);
        $this->assertSame(5, $nothing->minutes, 'what took nothing left nothing to take off');
    }

    public function test_it_comes_back_as_work_once_the_ground_is_dry(): void
    {
        [$soil] = $coats = $this->coats(['sifted-soil']);
        $laid = $this->lay($soil, 50);
        $work = $this->work($coats, [$laid]);
        $this->assertSame([], $work->moves);
        $strip = StripWork::of($work, $soil);
        $this->assertNotNull($strip);
        // In the air that times are given for: 480 minutes, and what room for doubt there is.
        $this->assertEqualsWithDelta(480.0, $strip->dryAfter(0.5), 5.0);
        $this->assertGreaterThan($strip->dryAfter(0.5), $strip->dryAfter(0.9));
        $off = $laid->but(strippedAt: Build::minute(self::NOW));
        $again = $this->work($coats, [], [$off]);
        $this->assertCount(1, $again->moves);
        $ground = $again->bases[array_key_first($again->moves)][0];
        $this->assertSame(['Sifted soil stripped', Milestone::NextCoat], [$ground->under->title ?? '', $ground->milestone]);
        $plan = BenchPlan::make($again, new StepBudget(50));
        $this->assertGreaterThanOrEqual(Build::minute(self::NOW) + 480, $plan->moves[0]->start);
        // What comes off dry is laid again at once.
        [$primer] = $this->coats(['primer']);
        $dry = $this->work([$primer], [], [$this->lay($primer, 51)->but(strippedAt: Build::minute(self::NOW))]);
        $this->assertSame([[]], array_values($dry->bases));
    }

    public function test_nothing_is_stripped_while_it_is_laid_and_nothing_before_it_was(): void
    {
        [$soil] = $coats = $this->coats(['sifted-soil']);
        $open = $this->lay($soil, 50)->but(endedAt: null);
        try {
            StripWork::of($this->work($coats, [$open]), $soil)?->unlessOpen();
            $this->fail('Nothing was said.');
        } catch (InvalidValue $refusal) {
            $this->assertSame('coat', $refusal->place);
        }
        $laid = $this->lay($soil, 50);
        $this->assertSame((int) $laid->endedAt, $laid->but(strippedAt: $laid->endedAt)->strippedAt);
        $this->expectException(InvalidValue::class);
        $laid->but(strippedAt: $laid->endedAt - 1);
    }

    public function test_what_was_stripped_is_kept_in_files(): void
    {
        [$soil] = $this->coats(['sifted-soil']);
        $off = $this->lay($soil, 50)->but(strippedAt: 29_900_000, ticks: [1 => 29_000_005]);
        $values = json_decode((string) json_encode(array_diff_key(WorksFile::fromLaid($off), ['uid' => 1])), false);
        $this->assertEquals($off, WorksFile::laid(new Record($values, ''), $off->uid));
        $this->assertSame(['laid' => [], 'stripped' => [$off]], Works::apart([$off]));
    }

    /**
     * @param  list<string>  $ids
     * @return list<Coat>
     */
    private function coats(array $ids): array
    {
        return array_map(fn (int $k): Coat => new Coat(Build::uid(20 + $k), Build::uid(1), Build::recipe($ids[$k])), array_keys($ids));
    }

    private function lay(Coat $coat, int $n): CoatApplication
    {
        return new CoatApplication(
            Build::uid($n),
            Build::uid(901),
            $coat->zone,
            $coat->uid,
            1,
            $coat->title(),
            $coat->recipe,
            $coat->mm,
            [Build::square(100, 100, 300, 300)],
            40_000.0,
            0.0,
            20,
            [new MaterialAmount('water', 1.0, 'ml')],
            29_000_000,
            29_000_020,
        );
    }

    /**
     * @param  list<Coat>  $coats
     * @param  list<CoatApplication>  $laid
     * @param  list<CoatApplication>  $stripped
     */
    private function work(array $coats, array $laid, array $stripped = []): BenchWork
    {
        $zones = [
            Build::zone(1, ['outline' => Build::square(100, 100, 300, 300)]),
            Build::zone(2, ['outline' => Build::square(200, 200, 400, 400)]),
            Build::zone(3, ['outline' => Build::square(500, 100, 700, 300)]),
        ];
        $times = array_map(fn (int $d): BenchTime => Build::weekly(800 + $d, $d, 480, 1320), range(1, 7));
        $works = new Works($zones, $coats, $laid, [Room::standard(Build::uid(60))], $times, stripped: $stripped);

        return Build::work($works, self::NOW);
    }
}
