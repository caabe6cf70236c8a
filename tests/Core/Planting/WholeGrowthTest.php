<?php

declare(strict_types=1);

namespace Tests\Core\Planting;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Scale;
use IdleRidge\Core\Planting\Gate;
use IdleRidge\Core\Planting\GrassPatches;
use IdleRidge\Core\Planting\Growth;
use IdleRidge\Core\Planting\Planter;
use IdleRidge\Core\Planting\PlantingRule;
use IdleRidge\Core\Planting\Row;
use IdleRidge\Core\Planting\RowFigures;
use IdleRidge\Core\Planting\RowKind;
use IdleRidge\Core\Planting\RowLayout;
use IdleRidge\Core\Planting\RowTemplates;
use IdleRidge\Core\Planting\RowThing;
use IdleRidge\Core\Planting\Socket;
use IdleRidge\Core\Planting\Species;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Planting\StandPattern;
use IdleRidge\Core\Planting\StandTemplate;
use IdleRidge\Core\Planting\Tree;
use IdleRidge\Core\Planting\TreeForm;
use IdleRidge\Core\Project\GrowthStudy;
use IdleRidge\Core\Project\GrowthZones;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\LayoutGrowth;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\Works;
use IdleRidge\Core\Rulebook\Rulebook;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Build;
use Tests\Whole;

/** What grows and stands along lines, to the last digit as it was when it was looked at with care. */
final class WholeGrowthTest extends TestCase
{
    #[DataProvider('sections')]
    public function test_growth_of_a_section_is_as_it_was(string $layout, string $section): void
    {
        $name = strtolower(str_replace(' ', '-', $section));
        $this->assertNull(Whole::difference("{$layout}-growth-{$name}", $this->told(Whole::study($layout, $section))));
    }

    /** @return array<string, array{string, string}> */
    public static function sections(): array
    {
        return Whole::sections();
    }

    #[TestWith([1])]
    #[TestWith([2])]
    #[TestWith([3])]
    #[TestWith([4])]
    #[TestWith([5])]
    #[TestWith([6])]
    public function test_rows_and_stands_of_random_boards_are_as_they_were(int $seed): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(2000 + $seed));
        $project = $this->random($random);
        $study = Build::study($project);
        $growth = new GrowthStudy($project);
        $grid = $study->terrain->grid();
        [$width, $depth] = [$study->section->width, $study->section->depth];
        $mesh = $grid->mesh($width, $depth);
        $slopes = $grid->with($grid->slopes())->mesh($width, $depth);
        $ground = $growth->ground($study->section, $study->model, $mesh, $slopes, $growth->rows()['sets']);
        $within = [Build::square(15.0, 15.0, $width - 15.0, $depth - 15.0)];
        $out = $planted = [];
        foreach (StandPattern::cases() as $k => $pattern) {
            $stand = $this->stand($pattern, $seed, 10 + $k);
            try {
                $trees = (new Planter($stand, $ground, $within, Scale::oneTo(87.1), $planted))->plant();
            } catch (InvalidValue $refusal) {
                $out[$pattern->value] = $refusal->getMessage();

                continue;
            }
            $out[$pattern->value] = [$trees, StandTemplate::of($stand, $trees, $width, $depth)];
            $planted = [...$planted, ...$trees];
        }
        $stood = $this->stand(StandPattern::Wood, $seed, 30)->but(trees: $planted, socket: new Socket(2.0, 15.0));
        $grown = $project->working(new Works(growth: new Growth([$stood], $project->works->growth->rows)));
        $this->assertNull(Whole::difference("random-growth-{$seed}", [
            'planted' => $out,
            'told' => $this->told(Build::study($grown)),
            'patches' => array_map(
                fn (float $share): GrassPatches => GrassPatches::of([Build::square(0.0, 0.0, 300.0, 200.0)], $share, 40.0, $seed),
                [0.1, 0.45, 0.8],
            ),
        ]));
    }

    /** @return array<string, mixed> */
    private function told(LandStudy $study): array
    {
        $survey = Whole::growth($study);
        $here = $study->section->uid;

        return [
            'tall' => $survey->tall(120.0),
            'faults' => array_values($survey->faults),
            'findings' => Rulebook::checkGrowth($survey),
            'standing' => (new GrowthZones($study->project))->standing($study->section),
            'against' => array_map(
                fn (Stand $stand): array => array_map(
                    fn (Tree $tree, int $k): mixed => $survey->ground->against($tree, $stand->rule, [$k]),
                    $stand->trees,
                    array_keys($stand->trees),
                ),
                $survey->stands(),
            ),
            'rows' => array_map(fn (RowLayout $set): array => [
                array_map(fn (RowThing $thing): array => get_object_vars($thing), $set->things),
                $set->stretches(), $set->spans(), $set->packs(), $set->wire(), $set->wire($here), $set->laid(), $set->laid($here),
                $set->roles(), $set->count($here), count($set->on($here)), RowTemplates::of($set),
            ], $survey->sets),
        ];
    }

    /** A row of every kind, along runs, edges, shores and drawn lines, on two boards of odd sizes. */
    private function random(Randomizer $random): Project
    {
        $of = fn (float $low, float $high): float => round(Build::between($random, $low, $high), 1);
        [$width, $depth] = [$of(701.0, 1301.0), $of(380.0, 620.0)];
        $run = Build::run(
            41,
            -40.0,
            $of(100.0, 200.0),
            $of(-2.0, 6.0),
            [
                ['kind' => 'tangent', 'length_mm' => 400.0],
                ['kind' => 'arc', 'radius_mm' => $of(600.0, 900.0), 'angle_deg' => $of(8.0, 20.0)],
                ['kind' => 'tangent', 'length_mm' => 900.0],
            ],
            $of(20.0, 40.0),
        );
        $spots = [
            Build::spot(1, 60.0, 60.0, $of(10.0, 50.0)),
            Build::spot(2, $width - 60.0, $depth - 60.0, $of(20.0, 90.0)),
            Build::spot(3, 80.0, $depth - 30.0, 40.0),
        ];
        $rows = [];
        foreach (RowKind::cases() as $k => $kind) {
            $wires = $kind === RowKind::Fence ? [0.3, 0.6] : [];
            $figures = new RowFigures($of(2.0, 30.0), $of(0.8, 6.0), $of(0.1, 0.5), $wires, $of(0.0, 1.0) > 0.5 ? 60.0 : 0.0);
            $along = $kind === RowKind::GradePosts || $k % 3 === 0
                ? [
                    'run' => Build::uid(41),
                    'offset' => ($k % 2 === 0 ? 1.0 : -1.0) * $of(2.0, 9.0),
                    'fromEdge' => true,
                    'from' => $of(0.0, 80.0),
                ]
                : [
                    'points' => [
                        [$of(20.0, 200.0), $of(220.0, 300.0)],
                        [$of(300.0, 500.0), $of(250.0, 340.0)],
                        [$of(620.0, 1200.0), $of(230.0, 330.0)],
                    ],
                ];
            $rows[] = new Row(
                ...[
                    'uid' => Build::uid(200 + $k),
                    'kind' => $kind,
                    'figures' => $figures,
                    'name' => ucfirst($kind->value),
                    'gates' => $kind === RowKind::Fence ? [new Gate($of(120.0, 260.0), 3.0)] : [],
                    'pack' => $of(0.0, 1.0) > 0.5 ? 250.0 : 0.0,
                ] + $along,
            );
        }
        $project = Build::project([$run], $spots, ['growth' => new LayoutGrowth($of(0.7, 1.0))]);
        $boards = [
            Section::of(Build::uid(901), 'Board', $width, $depth),
            Section::of(Build::uid(902), 'Next', 600.0, $depth, $width, 0.0),
        ];

        return Project::of($project->layout, $boards, $project->runs, $project->features)
            ->working(new Works(growth: new Growth([], $rows)));
    }

    private function stand(StandPattern $pattern, int $seed, int $n): Stand
    {
        return new Stand(Build::uid($n), Build::uid(901), ucfirst($pattern->value), null, [
            new Species('Birch', TreeForm::Round, 6.0, 14.0, 3.0, 6.0, 3.0),
            new Species('Fir', TreeForm::Cone, 9.0, 18.0, 2.5, 5.0, 2.0),
            new Species('Gorse', TreeForm::Bush, 1.0, 2.0, 1.0, 2.5, 5.0),
        ], new PlantingRule($pattern, 1.1, 0.4, 0.1, 40.0, 3.0, $seed));
    }
}
