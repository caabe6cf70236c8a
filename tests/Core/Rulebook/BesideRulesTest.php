<?php

declare(strict_types=1);

namespace Tests\Core\Rulebook;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Project\Works;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Build;

/** What lies beside: what is covered before it is splashed, what has to come first, and a backdrop along its edge. */
final class BesideRulesTest extends CoatRulesCase
{
    /** @return iterable<string, array{string, string, float, string, string}> what is laid, what comes beside it, how far that reaches */
    public static function reached(): iterable
    {
        yield 'road' => ['poured-road', 'sifted-soil', 40.0, 'road', 'over the road. Off again within the hour'];
        yield 'rock' => ['rock-castings', 'pulp-plaster-stiff', 40.0, 'rock', 'while the plaster is soft'];
        yield 'rails' => ['stone-ballast', 'thin-wash', 40.0, 'rails', 'and tape over the rails'];
        yield 'water' => ['gloss-medium', 'layering-spray', 120.0, 'water', 'once the mist has settled'];
        yield 'mist' => ['stone-ballast', 'dark-mist', 120.0, 'rails', 'once the mist has settled'];
    }

    #[DataProvider('reached')]
    public function test_it_is_named_just_within_reach_and_not_just_past_it(
        string $laid,
        string $beside,
        float $reach,
        string $name,
        string $words,
    ): void {
        foreach ([-1.0, 1.0] as $more) {
            $x = 500.0 + $reach + $more;
            $there = Build::zone(2, ['outline' => Build::square($x, 100, $x + 150.0, 350)]);
            $done = new Coat(Build::uid(40), $there->uid, Build::recipe($laid));
            $works = new Works([$this->zone(), $there], [...$this->coats([$beside]), $done], [$this->on($there, $done)]);
            $found = array_values(array_filter($this->findings($works), fn (Finding $f): bool => $f->id === 'protect'));
            $this->assertCount($more < 0.0 ? 1 : 0, $found, "{$more} mm past it");
            if ($more < 0.0) {
                $this->assertStringStartsWith("Cover {$name} before ", $found[0]->subject);
                $this->assertStringContainsString($words, $found[0]->do);
                $this->assertSame($reach, $found[0]->figures['reaches']->value);
            }
        }
    }

    public function test_a_backdrop_is_its_edge_times_its_height_and_no_land(): void
    {
        foreach (['back' => 1200.0, 'front' => 1200.0, 'left' => 600.0, 'right' => 600.0] as $edge => $long) {
            $zones = [Build::zone(1), Build::zone(2, ['backdrop' => ['edge' => $edge, 'height' => 300.0]])];
            $byUid = [$zones[0]->uid => $zones[0], $zones[1]->uid => $zones[1]];
            $coat = new Coat(Build::uid(20), $zones[1]->uid, Build::recipe('backdrop-painted'));
            $half = new CoatApplication(
                ...['uid' => Build::uid(50), 'section' => Build::uid(901), 'zone' => $zones[1]->uid, 'coat' => $coat->uid, 'pass' => 1],
                ...['title' => 'Half', 'recipe' => $coat->recipe, 'mm' => 0.1, 'area' => 1.0, 'track' => 0.0, 'minutes' => 5],
                ...['amounts' => []],
                ...['rings' => [$long > 1000.0 ? Build::square(0, 0, 600, 600) : Build::square(0, 0, 1200, 300)]],
                ...['startedAt' => 1, 'endedAt' => 2],
            );
            $survey = SectionSurvey::of(Build::planeSurvey($zones, 0.3, 0.1), new Placement(0.0, 0.0, 0.0), $byUid, [$coat], [$half]);
            $this->assertEqualsWithDelta($long * 300.0, $survey->zones[$zones[1]->uid]->surface, 1.0, $edge);
            $this->assertEqualsWithDelta($long * 150.0, $survey->left($coat, 1)->surface, 0.01 * $long * 150.0, $edge);
            $this->assertNull($survey->overlap($zones[0]->uid, $zones[1]->uid), 'nothing lies on it');
            $this->assertSame(0.0, $survey->zones[$zones[1]->uid]->trackX->total());
            $this->assertSame("Backdrop along the {$edge}, 300 mm high", $zones[1]->sentence([]));
        }
    }

    public function test_paint_for_a_backdrop_belongs_there_and_nothing_else_does(): void
    {
        $stands = Build::zone(2, ['backdrop' => ['edge' => 'back', 'height' => 300.0]]);
        $on = fn (Zone $zone, string $recipe): array => array_values(
            array_intersect(
                ['backdrop-along-an-edge'],
                $this->ids(new Works([$this->zone(), $stands], [new Coat(Build::uid(20), $zone->uid, Build::recipe($recipe))])),
            ),
        );
        $this->assertSame([], $on($stands, 'backdrop-painted'));
        $this->assertSame(['backdrop-along-an-edge'], $on($this->zone(), 'backdrop-painted'));
        $this->assertSame(['backdrop-along-an-edge'], $on($stands, 'earth-paint'));
    }

    public function test_a_backdrop_goes_by_nothing_else_and_nothing_goes_by_it(): void
    {
        foreach (
            [
                'backdrop/edge' => ['backdrop' => ['edge' => 'above', 'height' => 300.0]],
                'backdrop/height' => ['backdrop' => ['edge' => 'back', 'height' => 9.0]],
            ] as $place => $with
        ) {
            try {
                Build::zone(2, $with);
                $this->fail($place);
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
        $stands = Build::zone(2, ['backdrop' => ['edge' => 'back', 'height' => 300.0]]);
        $works = new Works([$stands, Build::zone(3, ['without' => [$stands->uid]])]);
        $project = Build::project();
        $this->assertSame(['/zones/1/without'], array_column($works->faults($project->sections), 'place'));
        $this->expectException(InvalidValue::class);
        Build::zone(4, ['backdrop' => ['edge' => 'back', 'height' => 300.0], 'slope' => [0.0, 20.0]]);
    }

    public function test_where_both_would_have_to_come_first_it_is_said_on_the_one_that_waits(): void
    {
        $beside = Build::zone(2, ['outline' => Build::square(505, 100, 700, 350)]);
        $coats = [
            ...$this->coats(['sifted-soil', 'poured-road']),
            new Coat(Build::uid(40), $beside->uid, Build::recipe('fibre-2mm')),
            new Coat(Build::uid(41), $beside->uid, Build::recipe('poured-road')),
        ];
        $found = array_filter(
            $this->findings(new Works([$this->zone(), $beside], $coats)),
            fn (Finding $f): bool => str_contains($f->subject, 'wait for each other'),
        );
        $this->assertCount(1, $found);
        $this->assertSame('Poured road and Sifted soil wait for each other', reset($found)->subject);
    }

    private function on(Zone $zone, Coat $coat): CoatApplication
    {
        return new CoatApplication(
            Build::uid(50),
            Build::uid(901),
            $zone->uid,
            $coat->uid,
            1,
            $coat->title(),
            $coat->recipe,
            $coat->mm,
            [$zone->outline ?? []],
            37_500.0,
            0.0,
            20,
            [],
            29_000_000,
            29_000_020,
        );
    }
}
