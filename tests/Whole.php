<?php

declare(strict_types=1);

namespace Tests;

use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\ZoneSurvey;
use IdleRidge\Core\Interchange\RidgeReader;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Project\GrowthStudy;
use IdleRidge\Core\Project\GrowthSurvey;
use IdleRidge\Core\Project\GrowthZones;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\WaterStudy;
use IdleRidge\Core\Project\WaterSurvey;
use IdleRidge\Core\Project\WaterZones;

/** Whole layouts from files, worked out once a process: what the core says of them stands under fixtures/whole. */
final class Whole
{
    /** The moment at which the layouts are looked at. */
    public const NOW = '2026-10-14T17:10Z';

    public const LAYOUTS = ['branch', 'tramway', 'troubles'];

    private const CELL_MM = 5.0;

    /** @var array<string, Project> */
    private static array $projects = [];

    /** @var array<string, LandStudy> */
    private static array $studies = [];

    /** @var array<string, BenchPlan> */
    private static array $plans = [];

    public static function project(string $layout): Project
    {
        return self::$projects[$layout] ??= RidgeReader::read(Fixtures::text("whole/{$layout}.ridge.json"), Build::library());
    }

    /** @return array<string, array{string, string}> of all layouts: layout and section */
    public static function sections(): array
    {
        $out = [];
        foreach (self::LAYOUTS as $layout) {
            foreach (self::project($layout)->sections as $section) {
                $out["{$layout}, {$section->name}"] = [$layout, $section->name];
            }
        }

        return $out;
    }

    public static function study(string $layout, string $section): LandStudy
    {
        $project = self::project($layout);
        $board = $project->section($section);

        return self::$studies["{$layout}/{$section}"] ??= (function () use ($project, $board): LandStudy {
            $model = self::model($project, $board);

            return LandStudy::of($project, $board, $model, $model->terrain(self::CELL_MM));
        })();
    }

    public static function plan(string $layout): BenchPlan
    {
        return self::$plans[$layout] ??= (function () use ($layout): BenchPlan {
            $project = self::project($layout);
            $surveys = [];
            foreach ($project->sections as $section) {
                if ($project->works->zonesOf($section->uid) !== []) {
                    $surveys[$section->uid] = self::survey($layout, $section);
                }
            }

            return BenchPlan::make(new BenchWork($project, $surveys, Build::minute(self::NOW)));
        })();
    }

    public static function survey(string $layout, Section $section): SectionSurvey
    {
        $project = self::project($layout);
        $zones = $project->works->zonesOf($section->uid);
        $model = self::study($layout, $section->name)->model;
        $standing = (new GrowthZones($project))->standing($section);
        $filled = WaterZones::filled($project, $section, $model, self::CELL_MM, $zones, $standing);
        $north = $project->layout->northDeg;
        $survey = ZoneSurvey::ofLand($model, self::CELL_MM, $section->base, $section->placement, $zones, $north, $filled);

        return SectionSurvey::of($survey, $section->placement, $zones, $project->works->coats, $project->works->laid);
    }

    public static function water(LandStudy $study): WaterSurvey
    {
        return WaterSurvey::of(WaterStudy::of($study));
    }

    public static function growth(LandStudy $study): GrowthSurvey
    {
        $growth = new GrowthStudy($study->project);
        $rows = $growth->rows();
        $grid = $study->terrain->grid();
        [$width, $depth] = [$study->section->width, $study->section->depth];
        $slopes = $grid->with($grid->slopes())->mesh($width, $depth);
        $ground = $growth->ground($study->section, $study->model, $grid->mesh($width, $depth), $slopes, $rows['sets']);

        return new GrowthSurvey($study->project, $study->section, $ground, $rows['sets'], $rows['faults']);
    }

    /** What stands of a layout's figures, or is to be written down now. */
    public static function difference(string $name, mixed $is): ?string
    {
        $file = __DIR__."/fixtures/whole/{$name}.json";
        $digest = Digest::of($is);
        if (getenv('RIDGE_WRITE_WHOLE') !== false) {
            file_put_contents($file, json_encode($digest, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)."\n");
        }

        return Digest::difference(json_decode((string) file_get_contents($file), true, 64, JSON_THROW_ON_ERROR), $digest);
    }

    private static function model(Project $project, Section $section): LandModel
    {
        return $project->land($section, GroundSolver::solve($project->groundProblem($section), self::CELL_MM));
    }
}
