<?php

declare(strict_types=1);

namespace Tests;

use IdleRidge\Core\Geometry\Placement;
use IdleRidge\Core\Geometry\Point;
use IdleRidge\Core\Land\Grading;
use IdleRidge\Core\Land\Ground;
use IdleRidge\Core\Land\GroundProblem;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Land\Spot;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\LayoutSheet;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Track\FormationProfile;
use IdleRidge\Core\Track\Run;
use Symfony\Component\Uid\Ulid;

/** Short ways to the values that tests start from. */
final class Build
{
    public static function uid(int $n): string
    {
        return (string) Ulid::fromBinary(str_pad(pack('J', $n), 16, "\0", STR_PAD_LEFT));
    }

    /**
     * @param list<array{kind: string, length_mm?: float, radius_mm?: float, angle_deg?: float}> $pieces
     * @param list<array{float|int, float|int}> $grades station, height
     * @param array<string, float> $profile
     */
    public static function run(int $n, float $x, float $y, float $heading, array $pieces, float $level, array $grades = [], array $profile = []): Run
    {
        return Run::lay(
            self::uid($n), "Run {$n}", new Point($x, $y), $heading, $pieces, $level,
            array_map(fn (array $g): array => ['station_mm' => (float) $g[0], 'height_mm' => (float) $g[1]], $grades), FormationProfile::from($profile),
        );
    }

    /**
     * A straight run along x over a board of 1200 mm.
     *
     * @param array<string, float> $profile
     */
    public static function straight(int $n, float $y, float $from, float $to, array $profile = [], float $length = 1200.0): Run
    {
        return self::run($n, 0.0, $y, 0.0, [['kind' => 'tangent', 'length_mm' => $length]], $from, [[$length, $to]], $profile);
    }

    /** @return array<string, float> */
    public static function evenProfile(float $halfWidth = 25.0, float $batter = 1.5): array
    {
        return [
            'half_width_left_mm' => $halfWidth, 'half_width_right_mm' => $halfWidth,
            'batter_cut_left' => $batter, 'batter_cut_right' => $batter, 'batter_fill_left' => $batter, 'batter_fill_right' => $batter,
        ];
    }

    /** @param  list<Run>  $runs */
    public static function flatLand(float $ground, array $runs, float $width = 1200.0, float $depth = 600.0, ?float $reach = null): LandModel
    {
        $lattice = GroundSolver::solve(GroundProblem::over(0.0, 0.0, $width, $depth, [], base: $ground));

        return new LandModel($width, $depth, new Ground($lattice, new Placement(0.0, 0.0, 0.0)), new Grading($runs, $reach));
    }

    /**
     * @param list<Run> $runs
     * @param list<LandFeature> $features
     * @param array<string, mixed> $sheet named arguments of the layout sheet
     */
    public static function project(array $runs = [], array $features = [], array $sheet = [], float $base = 0.0): Project
    {
        return Project::of(
            LayoutSheet::of(...['uid' => self::uid(900), 'name' => 'Trial', 'ratio' => 87.1, 'gauge' => 16.5, ...$sheet]),
            [Section::of(self::uid(901), 'Board', 1200.0, 600.0, base: $base)], $runs, $features,
        );
    }

    public static function study(Project $project, float $cell = 5.0): LandStudy
    {
        $section = $project->sections[0];
        $model = $project->land($section, GroundSolver::solve($project->groundProblem($section)));

        return LandStudy::of($project, $section, $model, $model->terrain($cell));
    }

    public static function spot(int $n, float $x, float $y, float $z): LandFeature
    {
        return LandFeature::of(self::uid($n), 'spot', [new Spot($x, $y, $z)]);
    }
}
