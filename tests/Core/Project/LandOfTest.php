<?php

declare(strict_types=1);

namespace Tests\Core\Project;

use IdleRidge\Core\Journal\Journal;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Rulebook\Rulebook;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Whole;

/** The part of a project that the land of a section can depend on: nothing that counts is missing, nothing else is there. */
final class LandOfTest extends TestCase
{
    #[DataProvider('sections')]
    public function test_it_gives_the_same_land_and_the_same_findings(string $layout, string $section): void
    {
        $whole = Whole::study($layout, $section);
        $part = $whole->project->landOf($whole->section);
        $board = $part->section($whole->section->uid);
        $model = $part->land($board, GroundSolver::solve($part->groundProblem($board), 5.0));
        $study = LandStudy::of($part, $board, $model, $model->terrain(5.0));
        $this->assertSame($whole->terrain->heights, $study->terrain->heights);
        $this->assertSame($whole->terrain->rim, $study->terrain->rim);
        $this->assertEquals($whole->figures(), $study->figures());
        $this->assertEquals(Rulebook::check($whole), Rulebook::check($study));
    }

    public function test_what_has_no_part_in_it_changes_nothing_of_it(): void
    {
        $project = Whole::project('branch');
        $section = $project->section('Tarnhead');
        $part = serialize($project->landOf($section));
        $works = $project->works->with(['journal' => new Journal(), 'prices' => []]);
        $this->assertSame($part, serialize($project->working($works)->landOf($section)));
        $this->assertSame($part, serialize($project->landOf($section->in('01M4XP8VJ0HG757SCGZ5QWBC0X'))));
        $this->assertSame([], $project->landOf($section)->works->zones);
        $this->assertLessThan(count($project->runs), count($project->landOf($section)->runs), 'runs far off are not there');
    }

    /** @return array<string, array{string, string}> */
    public static function sections(): array
    {
        return Whole::sections();
    }
}
