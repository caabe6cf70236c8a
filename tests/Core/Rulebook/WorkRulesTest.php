<?php

declare(strict_types=1);

namespace Tests\Core\Rulebook;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Cure\Room;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Rulebook\Rulebook;
use PHPUnit\Framework\TestCase;
use Tests\Build;

/** Each rule about work fires just past its limit and is silent just before it. */
final class WorkRulesTest extends TestCase
{
    private const NOW = '2026-10-12T12:00Z';

    public function test_cover_without_an_earth_base_shows_white(): void
    {
        $zone = $this->zone();
        $this->assertSame(['white-showing'], $this->ids(new Works([$zone], $this->coats($zone, ['sifted-soil']))));
        $this->assertSame([], $this->ids(new Works([$zone], $this->coats($zone, ['earth-paint', 'sifted-soil']))));
        $this->assertSame(
            [],
            $this->about('white-showing', new Works([$zone], $this->coats($zone, ['pulp-plaster-spreading', 'gloss-medium']))),
            'water wants no earth',
        );
        // A base of another zone counts as far as it reaches: 98 % do, 97.5 % do not.
        foreach (['97.5' => ['white-showing'], '98.5' => []] as $percent => $expected) {
            $base = Build::zone(2, ['outline' => Build::square(100, 100, 100 + 4.0 * (float) $percent, 350)]);
            $this->assertSame(
                $expected,
                $this->ids(
                    new Works(
                        [$zone, $base],
                        [...$this->coats($zone, ['sifted-soil']), new Coat(Build::uid(40), $base->uid, Build::recipe('earth-paint'))],
                    ),
                ),
                "{$percent} %",
            );
        }
    }

    public function test_loose_material_slides_where_it_is_steeper_than_it_rests(): void
    {
        $zone = $this->zone();
        $works = new Works([$zone], $this->coats($zone, ['earth-paint', 'sifted-soil']));
        foreach (['33.9' => [], '35.1' => ['slope-over-resting-angle']] as $degrees => $expected) {
            $this->assertSame(
                $expected,
                $this->ids($works, rise: tan(deg2rad((float) $degrees))),
                "soil rests at 34°, the land has {$degrees}°",
            );
        }
        $found = $this->findings($works, tan(deg2rad(40.0)))[0];
        $this->assertSame($zone->uid, $found->place->zone);
        $this->assertEqualsWithDelta(1000.0 / cos(deg2rad(40.0)), $found->figures['steeper']->value, 5.0);
    }

    public function test_a_film_that_cannot_form_stops(): void
    {
        $zone = $this->zone();
        $coats = $this->coats($zone, ['earth-paint', 'sifted-soil']);
        foreach (['8.1' => [], '7.9' => ['too-cold-to-film']] as $night => $expected) {
            $room = Room::of(Build::uid(60), 'Shed', 15.0, (float) $night, 60.0, 80.0);
            $works = new Works([$zone], $coats, [], [$room], [Build::weekly(61, 3, 1140, 1260)]);
            $this->assertSame($expected, $this->ids($works), "{$night} °C at night");
            // The same for what was laid last evening.
            $work = Build::work($works, self::NOW);
            $move = array_values(array_filter($work->moves, fn ($m): bool => $m->coat->uid === $coats[1]->uid))[0];
            $laid = $work->begin($move, Build::uid(50), Build::minute('2026-10-11T20:00Z'), Build::minute('2026-10-11T20:34Z'));
            $found = $this->findings(new Works([$zone], $coats, [$laid], [$room]));
            $found = array_values(array_filter($found, fn (Finding $f): bool => $f->id === 'too-cold-to-film'));
            $this->assertSame(
                $expected === [] ? [] : ['Sifted soil was laid too cold'],
                array_map(fn (Finding $f): string => $f->subject, $found),
            );
        }
    }

    public function test_fibre_over_fibre_that_was_not_dry(): void
    {
        $zone = $this->zone();
        $coats = $this->coats($zone, ['earth-paint', 'fibre-2mm', 'fibre-4mm']);
        // Fibre is dry through after 1440 min × 1.4362 = 2068.1.
        foreach ([2068 => ['dry-before-fibre-over-fibre'], 2069 => []] as $later => $expected) {
            $lay = fn (Coat $coat, int $n, int $from): CoatApplication => new CoatApplication(
                Build::uid($n),
                Build::uid(901),
                $zone->uid,
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
            $first = Build::minute('2026-10-01T12:00Z');
            $works = new Works([$zone], $coats, [
                $lay($coats[0], 51, $first - 5000),
                $lay($coats[1], 52, $first),
                $lay($coats[2], 53, $first + 20 + $later),
            ]);
            $this->assertSame($expected, $this->ids($works), "{$later} min later");
        }
    }

    public function test_land_that_came_after_a_coat_is_named_once_the_next_is_begun(): void
    {
        $coats = $this->coats($this->zone(), ['earth-paint', 'sifted-soil']);
        $lay = fn (Coat $coat, int $n): CoatApplication => new CoatApplication(
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
            29_000_000 + $n,
            29_000_010 + $n,
        );
        // A hundredth of the zone is its edge: 403 mm of width leave 0.74 % bare, 405 mm 1.23 %.
        foreach ([503 => [], 505 => ['uncovered']] as $right => $expected) {
            $grown = Build::zone(1, ['outline' => Build::square(100, 100, $right, 350)]);
            $this->assertSame(
                $expected,
                $this->about('uncovered', new Works([$grown], $coats, [$lay($coats[0], 51), $lay($coats[1], 52)])),
                "{$right}",
            );
            $this->assertSame(
                [],
                $this->about('uncovered', new Works([$grown], $coats, [$lay($coats[0], 51)])),
                'as long as nothing lies over it, it is a move like any other',
            );
        }
    }

    private function zone(): Zone
    {
        return Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]);
    }

    /**
     * @param  list<string>  $ids
     * @return list<Coat>
     */
    private function coats(Zone $zone, array $ids): array
    {
        return array_map(fn (int $k): Coat => new Coat(Build::uid(20 + $k), $zone->uid, Build::recipe($ids[$k])), array_keys($ids));
    }

    /** @return list<string> findings of one rule */
    private function about(string $id, Works $works, float $rise = 0.0): array
    {
        return array_values(array_filter($this->ids($works, $rise), fn (string $found): bool => $found === $id));
    }

    /** @return list<string> */
    private function ids(Works $works, float $rise = 0.0): array
    {
        return array_map(fn (Finding $f): string => $f->id, $this->findings($works, $rise));
    }

    /** @return list<Finding> */
    private function findings(Works $works, float $rise = 0.0): array
    {
        $project = Project::of(
            new LayoutSheet(Build::uid(900), 'Trial', 87.1, 16.5),
            [Section::of(Build::uid(901), 'Board', 1200.0, 600.0)],
            works: $works,
        );
        $survey = SectionSurvey::of(
            Build::planeSurvey($works->zones, $rise),
            new Placement(0.0, 0.0, 0.0),
            $works->zonesOf(Build::uid(901)),
            $works->coats,
            $works->laid,
        );

        return Rulebook::checkWork(BenchPlan::make(new BenchWork($project, [Build::uid(901) => $survey], Build::minute(self::NOW))));
    }
}
