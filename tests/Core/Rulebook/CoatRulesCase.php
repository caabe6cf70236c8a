<?php

declare(strict_types=1);

namespace Tests\Core\Rulebook;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Cuts\CutSettings;
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

/** Small layouts of one board for the rules about coats. */
abstract class CoatRulesCase extends TestCase
{
    protected const NOW = '2026-10-12T12:00Z';

    protected function zone(): Zone
    {
        return Build::zone(1, ['outline' => Build::square(100, 100, 500, 350)]);
    }

    /**
     * @param  list<string>  $ids
     * @return list<Coat>
     */
    protected function coats(array $ids): array
    {
        return array_map(fn (int $k): Coat => new Coat(Build::uid(20 + $k), Build::uid(1), Build::recipe($ids[$k])), array_keys($ids));
    }

    /**
     * @param  list<string>  $ids
     * @param  list<int>  $laid
     */
    protected function works(array $ids, array $laid = []): Works
    {
        $coats = $this->coats($ids);
        $done = array_map(fn (int $k): CoatApplication => $this->lay($coats[$k], 50 + $k, 29_000_000 + 10_000 * $k), $laid);

        return new Works([$this->zone()], $coats, $done);
    }

    protected function lay(Coat $coat, int $n, int $from): CoatApplication
    {
        return new CoatApplication(
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
            $from,
            $from + 20,
        );
    }

    /**
     * @param  list<\IdleRidge\Core\Track\Run>  $runs
     * @return list<string>
     */
    protected function ids(Works $works, ?CutSettings $cuts = null, array $runs = []): array
    {
        return array_values(array_unique(array_map(fn (Finding $f): string => $f->id, $this->findings($works, $cuts, $runs))));
    }

    /**
     * @param  list<\IdleRidge\Core\Track\Run>  $runs
     * @return list<Finding>
     */
    protected function findings(Works $works, ?CutSettings $cuts = null, array $runs = []): array
    {
        $project = Project::of(
            new LayoutSheet(Build::uid(900), 'Trial', 87.1, 16.5, cuts: $cuts),
            [Section::of(Build::uid(901), 'Board', 1200.0, 600.0)],
            $runs,
            works: $works,
        );
        $survey = SectionSurvey::of(
            Build::planeSurvey($works->zones, runs: $runs),
            new Placement(0.0, 0.0, 0.0),
            $works->zonesOf(Build::uid(901)),
            $works->coats,
            $works->laid,
        );

        return Rulebook::checkWork(BenchPlan::make(new BenchWork($project, [Build::uid(901) => $survey], Build::minute(self::NOW))));
    }
}
