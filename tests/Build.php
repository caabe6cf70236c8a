<?php

declare(strict_types=1);

namespace Tests;

use App\Computed\Library\LibraryFiles;
use DateTimeImmutable;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Coats\ZoneSurvey;
use IdleRidge\Core\Geometry\HeightGrid;
use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\Grading;
use IdleRidge\Core\Land\Ground;
use IdleRidge\Core\Land\GroundProblem;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Schedule\BenchRules;
use IdleRidge\Core\Schedule\BenchTime;
use IdleRidge\Core\Schedule\BenchTimeKind;
use IdleRidge\Core\Track\FormationProfile;
use IdleRidge\Core\Track\Run;
use Random\Randomizer;
use Symfony\Component\Uid\Ulid;

/** Short ways to the values that tests start from. */
final class Build
{
    public static function uid(int $n): string
    {
        return (string) Ulid::fromBinary(str_pad(pack('J', $n), 16, "\0", STR_PAD_LEFT));
    }

    /**
     * @param  list<array{kind: string, length_mm?: float, radius_mm?: float, angle_deg?: float}>  $pieces
     * @param  list<array{float|int, float|int}>  $grades station, height
     * @param  array<string, float>  $profile
     * @param  list<array{kind: string, from_mm: float, to_mm: float}>  $structures
     */
    public static function run(
        int $n,
        float $x,
        float $y,
        float $heading,
        array $pieces,
        float $level,
        array $grades = [],
        array $profile = [],
        array $structures = [],
    ): Run {
        return Run::lay(
            self::uid($n),
            "Run {$n}",
            new Point($x, $y),
            $heading,
            $pieces,
            $level,
            array_map(fn (array $g): array => ['station_mm' => (float) $g[0], 'height_mm' => (float) $g[1]], $grades),
            FormationProfile::from($profile),
            $structures,
        );
    }

    /**
     * A straight run along x over a board of 1200 mm.
     *
     * @param  array<string, float>  $profile
     * @param  list<array{kind: string, from_mm: float, to_mm: float}>  $structures
     */
    public static function straight(
        int $n,
        float $y,
        float $from,
        float $to,
        array $profile = [],
        float $length = 1200.0,
        array $structures = [],
    ): Run {
        return self::run($n, 0.0, $y, 0.0, [['kind' => 'tangent', 'length_mm' => $length]], $from, [[$length, $to]], $profile, $structures);
    }

    /** @return array<string, float> */
    public static function evenProfile(float $halfWidth = 25.0, float $batter = 1.5): array
    {
        return [
            'half_width_left_mm' => $halfWidth,
            'half_width_right_mm' => $halfWidth,
            'batter_cut_left' => $batter,
            'batter_cut_right' => $batter,
            'batter_fill_left' => $batter,
            'batter_fill_right' => $batter,
        ];
    }

    /** @param  list<Run>  $runs */
    public static function flatLand(
        float $ground,
        array $runs,
        float $width = 1200.0,
        float $depth = 600.0,
        ?float $reach = null,
    ): LandModel {
        $lattice = GroundSolver::solve(GroundProblem::over(0.0, 0.0, $width, $depth, [], base: $ground));

        return new LandModel($width, $depth, new Ground($lattice, new Placement(0.0, 0.0, 0.0)), new Grading($runs, $reach));
    }

    /**
     * @param  list<Run>  $runs
     * @param  list<LandFeature>  $features
     * @param  array<string, mixed>  $sheet named arguments of the layout sheet
     */
    public static function project(array $runs = [], array $features = [], array $sheet = [], float $base = 0.0): Project
    {
        return Project::of(
            new LayoutSheet(...['uid' => self::uid(900), 'name' => 'Trial', 'ratio' => 87.1, 'gauge' => 16.5, ...$sheet]),
            [Section::of(self::uid(901), 'Board', 1200.0, 600.0, base: $base)],
            $runs,
            $features,
        );
    }

    public static function study(Project $project, float $cell = 5.0): LandStudy
    {
        $section = $project->sections[0];
        $model = $project->land($section, GroundSolver::solve($project->groundProblem($section)));

        return LandStudy::of($project, $section, $model, $model->terrain($cell));
    }

    public static function library(): Library
    {
        static $library = null;

        return $library ??= LibraryFiles::read(__DIR__.'/../library');
    }

    public static function recipe(string $id): Recipe
    {
        return self::library()->recipe($id);
    }

    /**
     * A survey of zones on a board of 1200 × 600 whose height is a plane, at 5 mm.
     *
     * @param  list<Zone>  $zones
     * @param  list<Run>  $runs
     */
    public static function planeSurvey(array $zones, float $riseX = 0.0, float $riseY = 0.0, array $runs = []): ZoneSurvey
    {
        $z = [];
        for ($j = 0; $j < 120; $j++) {
            for ($i = 0; $i < 240; $i++) {
                $z[] = 20.0 + $riseX * ($i + 0.5) * 5.0 + $riseY * ($j + 0.5) * 5.0;
            }
        }
        $byUid = array_column(array_map(fn (Zone $zone): array => [$zone->uid, $zone], $zones), 1, 0);

        return new ZoneSurvey(
            HeightGrid::cells(240, 120, 5.0, 0.0, 0.0, $z),
            1200.0,
            600.0,
            0.0,
            new Placement(0.0, 0.0, 0.0),
            $runs,
            $byUid,
        );
    }

    /**
     * @param  array<string, mixed>  $with named arguments of Zone::of
     */
    public static function zone(int $n, array $with = []): Zone
    {
        return new Zone(...['uid' => self::uid($n), 'section' => self::uid(901), 'name' => "Zone {$n}", ...$with]);
    }

    /** @return list<array{float, float}> */
    public static function square(float $x1, float $y1, float $x2, float $y2): array
    {
        return [[$x1, $y1], [$x2, $y1], [$x2, $y2], [$x1, $y2]];
    }

    public static function between(Randomizer $random, float $low, float $high): float
    {
        return $low + (($high - $low) * $random->getInt(0, 1_000_000)) / 1e6;
    }

    public static function minute(string $iso): int
    {
        return intdiv((new DateTimeImmutable($iso))->getTimestamp(), 60);
    }

    /** The work of a flat board with some zones and coats, planned from a moment. */
    public static function work(Works $works, string $now, string $zone = 'UTC', ?BenchRules $rules = null): BenchWork
    {
        $project = Project::of(
            new LayoutSheet(
                ...['uid' => self::uid(900), 'name' => 'Trial', 'ratio' => 87.1, 'gauge' => 16.5, 'zone' => $zone, 'bench' => $rules],
            ),
            [Section::of(self::uid(901), 'Board', 1200.0, 600.0)],
            works: $works,
        );
        $survey = self::planeSurvey($works->zones);

        return new BenchWork(
            $project,
            [
                self::uid(901) => SectionSurvey::of(
                    $survey,
                    new Placement(0.0, 0.0, 0.0),
                    $works->zonesOf(self::uid(901)),
                    $works->coats,
                    $works->laid,
                ),
            ],
            self::minute($now),
        );
    }

    /** Hours at the bench of every week on a day (1 is Monday), minutes of it. */
    public static function weekly(int $n, int $weekday, int $from, int $to): BenchTime
    {
        return new BenchTime(self::uid($n), BenchTimeKind::Weekly, $weekday, null, $from, $to);
    }

    public static function spot(int $n, float $x, float $y, float $z): LandFeature
    {
        return new LandFeature(self::uid($n), FeatureKind::Spot, [new Spot($x, $y, $z)]);
    }
}
