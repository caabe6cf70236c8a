<?php

declare(strict_types=1);

namespace Tests\Core\Interchange;

use IdleRidge\Core\Interchange\RidgeReader;
use IdleRidge\Core\Interchange\RidgeWriter;
use IdleRidge\Core\Interchange\WorksFile;
use IdleRidge\Core\Journal\JournalEntry;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\InvalidValues;
use IdleRidge\Core\Planting\Growth;
use IdleRidge\Core\Project\LayoutGrowth;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Water\Waters;
use PHPUnit\Framework\TestCase;
use Tests\Build;
use Tests\Fixtures;

final class ProjectTest extends TestCase
{
    public function test_boards_that_meet_hang_together_and_others_do_not(): void
    {
        $a = Section::of(Build::uid(1), 'A', 1200.0, 600.0, runsOn: true);
        $b = Section::of(Build::uid(2), 'B', 900.0, 600.0, 1200.0, 0.0, runsOn: true);
        $c = Section::of(Build::uid(3), 'C', 900.0, 600.0, 2105.0, 0.0);
        $turned = Section::of(Build::uid(4), 'D', 400.0, 400.0, 2100.0, 600.0, 45.0, runsOn: true);
        $project = Project::of(new LayoutSheet(Build::uid(9), 'L', 87.1, 16.5), [$a, $b, $c, $turned]);
        $this->assertTrue($a->touches($b));
        $this->assertFalse($b->touches($c), 'a gap of 5 mm');
        $this->assertTrue($b->touches($turned), 'a corner of a turned board');
        $this->assertSame(['A', 'B', 'D'], array_map(fn (Section $s): string => $s->name, $project->joinedWith($a)));
        $this->assertSame(['right'], $project->joinedEdges($a));
        $this->assertSame(['left'], $project->joinedEdges($b));
        $this->assertSame([], $project->joinedEdges($c));
    }

    public function test_sections_that_touch_have_one_land(): void
    {
        $a = Section::of(Build::uid(1), 'A', 1200.0, 600.0, runsOn: true);
        $b = Section::of(Build::uid(2), 'B', 900.0, 600.0, 1200.0, 0.0, runsOn: true);
        $features = [
            Build::spot(5, 1000, 300, 90),
            Build::spot(6, 1500, 200, 20),
            Build::spot(7, 300, 100, 40),
            Build::spot(8, 2000, 500, 70),
        ];
        $project = Project::of(
            new LayoutSheet(Build::uid(9), 'L', 87.1, 16.5),
            [$a, $b],
            [Build::run(10, 900, 300, 5, [['kind' => 'tangent', 'length_mm' => 800.0]], 60)],
            $features,
        );
        $lattice = GroundSolver::solve($project->groundProblem($a));
        $this->assertEquals($project->groundProblem($a), $project->groundProblem($b));
        $left = $project->land($a, $lattice);
        $right = $project->land($b, $lattice);
        for ($y = 5.0; $y < 600.0; $y += 35.0) {
            $this->assertEqualsWithDelta($left->heightAt(1200.0, $y), $right->heightAt(0.0, $y), 1e-6);
        }
    }

    public function test_a_section_is_found_by_uid_or_name_and_the_rest_is_named(): void
    {
        $project = Build::project();
        $this->assertSame('Board', $project->section('board')->name);
        $this->assertSame('Board', $project->section(Build::uid(901))->name);
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessageMatches('/no section “Nowhere”.*Board/');
        $project->section('Nowhere');
    }

    public function test_a_layout_refuses_what_cannot_be(): void
    {
        foreach (
            [
                'name' => ['name' => '  '],
                'ratio' => ['ratio' => 0.5],
                'gauge_mm' => ['gauge' => -1.0],
                'zone' => ['zone' => 'Mars/Base'],
                'currency' => ['currency' => 'crowns'],
                'face_limit_deg' => ['faceLimitDeg' => 95.0],
                'bank_reach_mm' => ['bankReach' => 1.0],
                'tension' => ['tension' => 2.0],
                'stiffness_mm' => ['stiffness' => 1.0],
                'region' => ['region' => str_repeat('x', 200)],
            ] as $place => $with
        ) {
            try {
                Build::project(sheet: $with);
                $this->fail("{$place} accepted");
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
        foreach (
            ['width_mm' => ['width' => -100.0], 'depth_mm' => ['depth' => 10_000_000.0], 'name' => ['name' => '']] as $place => $with
        ) {
            try {
                Section::of(...['uid' => Build::uid(1), 'name' => 'A', 'width' => 100.0, 'depth' => 100.0, ...$with]);
                $this->fail("{$place} accepted");
            } catch (InvalidValue $refusal) {
                $this->assertSame($place, $refusal->place);
            }
        }
    }

    public function test_what_stands_twice_is_refused_with_its_pointer(): void
    {
        $faults = self::faults(
            fn () => Project::of(new LayoutSheet(Build::uid(9), 'L', 87.1, 16.5), [
                Section::of(Build::uid(1), 'A', 1200.0, 600.0),
                Section::of(Build::uid(1), 'a', 900.0, 600.0),
            ]),
        );
        $this->assertSame(['/sections/1/name', '/sections/1/uid'], $faults);
        $this->assertSame(
            ['/features/1/points/0'],
            self::faults(fn () => Build::project([], [Build::spot(1, 100, 100, 40), Build::spot(2, 100, 100, 60)])),
        );
    }

    public function test_every_field_of_a_file_comes_back_byte_for_byte(): void
    {
        $text = Fixtures::text('projects/version-7-full.ridge.json');
        $project = RidgeReader::read($text, Build::library());
        $this->assertSame($text, RidgeWriter::write($project, '2026-10-14T18:30:00Z'));
        $this->assertSame('Trial Branch', $project->layout->name);
        $this->assertSame(15.0, $project->sections[1]->placement->angleDeg);
        $this->assertSame(['width_mm' => '35 1/2"'], $project->sections[1]->typed);
        $this->assertSame(120.0, $project->layout->bankReach);
        $this->assertCount(2, $project->runs[0]->gradePoints);
    }

    public function test_a_file_of_the_first_version_comes_in_whole(): void
    {
        $project = RidgeReader::read(Fixtures::text('projects/version-1-full.ridge.json'), Build::library());
        $this->assertSame(['coach'], array_column($project->layout->clearance->vehicles, 'name'));
        $this->assertSame(8.0, $project->runs[0]->structures[0]->thick);
        $again = RidgeReader::read(RidgeWriter::write($project, '2026-10-14T18:30:00Z'), Build::library());
        $this->assertEquals($project, $again);
    }

    public function test_a_file_of_the_second_version_keeps_what_it_made(): void
    {
        $file = json_decode(Fixtures::text('projects/version-2-full.ridge.json'), true);
        $file['coats'][1]['passes'] = 3;
        $project = RidgeReader::read((string) json_encode($file), Build::library());
        // Three passes shared one bed of 3 mm; now each is told as thick as it is. Land ran on over every board.
        $this->assertSame([1.0, 3], [$project->works->coats[1]->mm, $project->works->coats[1]->passes]);
        $this->assertSame([true, true], array_column($project->sections, 'runsOn'));
        $this->assertSame([true, false, false], array_map(fn ($p): bool => $p->loose, $project->works->laid[0]->recipe->parts));
    }

    public function test_a_file_of_the_third_version_comes_into_its_order_with_glue_in_its_coats(): void
    {
        $file = json_decode(Fixtures::text('projects/version-3-full.ridge.json'), true);
        $soil = $file['coats'][0];
        $coat = fn (string $recipe, int $n): array => ['uid' => Build::uid($n), 'recipe' => $recipe, 'x_from' => 'shop'] + $soil;
        $file['coats'] = [$coat('fibre-2mm', 701), $coat('sifted-soil', 702), $coat('white-glue-1-1', 703), $coat('earth-paint', 704)];
        $file['laid'] = [];
        $coats = RidgeReader::read((string) json_encode($file), Build::library())->works->coats;
        $this->assertSame(
            ['earth-paint', 'sifted-soil+flooded+water+white-1-1', 'fibre-2mm'],
            array_map(fn ($c): string => $c->recipe->id, $coats),
        );
        $this->assertSame(['x_from' => 'shop'], $coats[1]->extra);
        // What is not in its form is left where it is, to be found fault with.
        $file['coats'][1]['zone'] = 7;
        $faults = self::faults(fn () => RidgeReader::read((string) json_encode($file), Build::library()));
        $this->assertContains('/coats/1/zone', $faults);
    }

    public function test_a_file_of_the_fourth_version_comes_in_with_its_journal(): void
    {
        $journal = RidgeReader::read(Fixtures::text('projects/version-4-full.ridge.json'), Build::library())->works->journal;
        $this->assertSame(['done'], array_map(fn (JournalEntry $e): string => $e->kind->value, $journal->entries));
        $this->assertNull($journal->entries[0]->work);
        $this->assertSame([], [...$journal->photos, ...$journal->checks, ...$journal->stalls, ...$journal->trials]);
    }

    public function test_a_file_of_the_fifth_version_comes_in_with_nothing_growing(): void
    {
        $project = RidgeReader::read(Fixtures::text('projects/version-5-full.ridge.json'), Build::library());
        $this->assertEquals(new Growth(), $project->works->growth);
        $this->assertEquals(new LayoutGrowth(), $project->layout->growth);
    }

    public function test_a_file_of_the_sixth_version_comes_in_with_no_water_planned(): void
    {
        $project = RidgeReader::read(Fixtures::text('projects/version-6-full.ridge.json'), Build::library());
        $this->assertEquals(new Waters(), $project->works->waters);
        $this->assertNotEquals(new Growth(), $project->works->growth);
    }

    public function test_zones_that_follow_growth_have_its_crowns_and_its_strip(): void
    {
        $works = RidgeReader::read(Fixtures::text('projects/version-7-full.ridge.json'), Build::library())->works;
        [$under, $along, $bed, $shore] = array_slice($works->zones, -4);
        $this->assertSame([true, false, 14.0], [$bed->isBed(), $shore->isBed(), $shore->shore]);
        $this->assertSame($works->growth->stands[0]->crowns(), $under->crowns);
        $this->assertNotNull($along->outline);
        $this->assertSame(['under'], array_values(array_intersect(['under', 'crowns'], array_keys(WorksFile::fromZone($under)))));
        $this->assertSame(['along'], array_values(array_intersect(['along', 'outline'], array_keys(WorksFile::fromZone($along)))));
    }

    public function test_faults_of_a_file_come_all_at_once_with_their_pointers(): void
    {
        $file = json_decode(Fixtures::text('projects/version-7-full.ridge.json'), true);
        $file['sections'][0]['width_mm'] = -4;
        $file['sections'][1]['depth_mm'] = 'deep';
        $file['runs'][0]['elements'][1]['radius_mm'] = 3;
        $file['runs'][0]['wheels'] = 4;
        $file['features'][1]['uid'] = 'short';
        unset($file['layout']['gauge_mm']);
        $this->assertSame(
            ['/layout/gauge_mm', '/sections/0/width_mm', '/sections/1/depth_mm', '/runs/0/elements/1/radius_mm', '/features/1/uid'],
            self::faults(fn () => RidgeReader::read((string) json_encode($file), Build::library())),
        );
    }

    public function test_faults_of_what_goes_onto_the_land_have_their_pointers(): void
    {
        $text = Fixtures::text('projects/version-7-full.ridge.json');
        foreach (
            [
                '/rooms/0/day_c' => fn (array &$f) => ($f['rooms'][0]['day_c'] = -40),
                '/rooms/0/night_rh' => fn (array &$f) => ($f['rooms'][0]['night_rh'] = 120),
                '/times/0/to' => fn (array &$f) => ($f['times'][0]['to'] = '19:00'),
                '/times/1/date' => fn (array &$f) => ($f['times'][1]['date'] = '2026-02-30'),
                '/zones/0/outline' => fn (array &$f) => ($f['zones'][0]['outline'] = [[3000, 3000], [3100, 3000], [3100, 3100]]),
                '/zones/1/near/to' => fn (array &$f) => ($f['zones'][1]['near']['to_mm'] = 0),
                '/zones/0/without' => fn (array &$f) => ($f['zones'][1]['without'] = [$f['zones'][0]['uid']]),
                '/coats/0/recipe' => fn (array &$f) => ($f['coats'][0]['recipe'] = 'moon-dust'),
                '/coats/1/zone' => fn (array &$f) => ($f['coats'][1]['zone'] = $f['layout']['uid']),
                '/laid/0/recipe/parts' => fn (array &$f) => ($f['laid'][0]['recipe']['parts'] = []),
                '/laid/0/ended_at' => fn (array &$f) => ($f['laid'][0]['ended_at'] = '2026-10-12T16:00Z'),
                '/laid/0/started_at' => fn (array &$f) => ($f['laid'][0]['started_at'] = 'on Monday'),
                '/sections/0/room' => fn (array &$f) => ($f['sections'][0]['room'] = $f['layout']['uid']),
                '/layout/show_on' => fn (array &$f) => ($f['layout']['show_on'] = 'soon'),
                '/journal/1/about' => fn (array &$f) => ($f['journal'][1]['about'] = $f['layout']['uid']),
                '/journal/1/verdict' => fn (array &$f) => ($f['journal'][1]['verdict'] = 'perhaps'),
                '/photos/0/hash' => fn (array &$f) => ($f['photos'][0]['hash'] = '../../etc'),
                '/photos/0/place/x_mm' => fn (array &$f) => ($f['photos'][0]['place']['x_mm'] = 1e9),
                '/photos/0/patch/hex' => fn (array &$f) => ($f['photos'][0]['patch']['hex'] = 'red'),
                '/photos/0/white' => fn (array &$f) => ($f['photos'][0]['white']['hex'] = '#101010'),
                '/checks/0/answer' => fn (array &$f) => ($f['checks'][0]['answer'] = 'maybe'),
                '/stalls/0/pass' => fn (array &$f) => ($f['stalls'][0]['pass'] = 0),
                '/trials/0/name' => fn (array &$f) => ($f['trials'][0]['name'] = ''),
                '/journal/0/kind' => fn (array &$f) => ($f['journal'][0]['kind'] = 'dreamt'),
            ] as $place => $spoil
        ) {
            $file = json_decode($text, true);
            $spoil($file);
            $this->assertSame(
                $place,
                str_replace(
                    '/layout//show_on',
                    '/layout/show_on',
                    self::faults(fn () => RidgeReader::read((string) json_encode($file), Build::library()))[0],
                ),
                $place,
            );
        }
    }

    public function test_foreign_and_broken_files_are_refused(): void
    {
        foreach (
            [
                '{"layout"' => '/',
                '[1, 2]' => '/',
                '{"format": "other"}' => '/format',
                '{"format": "idle-ridge/layout", "version": 9}' => '/version',
                '{"format": "idle-ridge/layout", "version": 1}' => '/layout',
            ] as $text => $place
        ) {
            $this->assertSame($place, self::faults(fn () => RidgeReader::read($text, Build::library()))[0], $text);
        }
    }

    public function test_unknown_keys_are_refused_and_keys_of_your_own_kept(): void
    {
        $file = json_decode(Fixtures::text('projects/version-7-full.ridge.json'), false);
        $file->sections[0]->x_shelf = (object) ['deep' => (object) [], 'list' => [1, 2]];
        $project = RidgeReader::read((string) json_encode($file), Build::library());
        $this->assertStringContainsString('"deep": {}', RidgeWriter::write($project, ''));
        $file->sections[0]->colour = 'green';
        $this->assertSame(['/sections/0/colour'], self::faults(fn () => RidgeReader::read((string) json_encode($file), Build::library())));
        unset($file->sections[0]->colour);
        $file->features[0]->points[0]->x_mark = 1;
        $this->assertSame(
            ['/features/0/points/0/x_mark'],
            self::faults(fn () => RidgeReader::read((string) json_encode($file), Build::library())),
        );
    }

    /** @return list<string> */
    private static function faults(callable $make): array
    {
        try {
            $make();
        } catch (InvalidValues $refusals) {
            return array_map(fn (InvalidValue $r): string => $r->place, $refusals->all);
        }
        self::fail('accepted');
    }
}
