<?php

declare(strict_types=1);

namespace Tests\Core\Cuts;

use IdleRidge\Core\Cuts\CutSchool;
use IdleRidge\Core\Cuts\EdgeBoard;
use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\FoamWork;
use IdleRidge\Core\Cuts\Frame;
use IdleRidge\Core\Cuts\Gluing;
use IdleRidge\Core\Cuts\LayerPieces;
use IdleRidge\Core\Cuts\Nesting\Nester;
use IdleRidge\Core\Cuts\Nesting\NestProblem;
use IdleRidge\Core\Cuts\Nesting\NestSheet;
use IdleRidge\Core\Cuts\Risers;
use IdleRidge\Core\Cuts\RiserSet;
use IdleRidge\Core\Cuts\SheetSequence;
use IdleRidge\Core\Cuts\Shell;
use IdleRidge\Core\Cuts\SkinnedLand;
use IdleRidge\Core\Cuts\Template;
use IdleRidge\Core\Cuts\TemplatePages;
use IdleRidge\Core\Cuts\TrackBase;
use IdleRidge\Core\Geometry\BoardEdge;
use IdleRidge\Core\Measure\StepBudget;
use IdleRidge\Core\Project\BoardPlan;
use IdleRidge\Core\Project\BoardWeight;
use IdleRidge\Core\Project\CutStudy;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Rulebook\Rulebook;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Whole;

/** What whole layouts are cut from, to the last digit as it was when it was looked at with care. */
final class WholeCutsTest extends TestCase
{
    #[DataProvider('sections')]
    public function test_foam_is_as_it_was(string $layout, string $section): void
    {
        $study = Whole::study($layout, $section);
        $out = [];
        foreach (CutSchool::foams() as $school) {
            $out[$school->value] = $this->foam($study, $school);
        }
        $this->assertNull(Whole::difference("{$layout}-foam-".strtolower(str_replace(' ', '-', $section)), $out));
    }

    #[DataProvider('sections')]
    public function test_shells_and_what_stands_under_them_are_as_they_were(string $layout, string $section): void
    {
        $study = Whole::study($layout, $section);
        $this->assertNull(Whole::difference("{$layout}-shell-".strtolower(str_replace(' ', '-', $section)), [
            'shell' => $this->shell($study), 'under' => $this->under($study),
        ]));
    }

    /** @return array<string, array{string, string}> */
    public static function sections(): array
    {
        return Whole::sections();
    }

    /** @return array<string, mixed> */
    private function foam(LandStudy $study, CutSchool $school): array
    {
        [$project, $section] = [$study->project, $study->section];
        $cuts = $project->cuts()->by($school);
        $skinned = new SkinnedLand($study->model, $cuts->skin);
        $land = $study->terrain->mesh();
        $shape = $skinned->grid($study->terrain)->mesh($section->width, $section->depth);
        $ways = SheetSequence::cheapest($shape, $section->base, $cuts);
        $bores = $project->bores($study->model->grading->runs);
        $stack = FoamStack::of($shape, $section->base, $ways[0], $school, $bores, $cuts->hollow, $skinned->at(...));
        $pieces = LayerPieces::of($stack, $cuts);
        $nested = [];
        foreach ($pieces->pieces as $thickness => $those) {
            $problem = new NestProblem([new NestSheet('s', 1250.0, 600.0, 30)], array_slice($those, 0, 40), $cuts->kerf, $cuts->margin);
            $laid = Nester::lay($problem, new StepBudget(4), 3);
            $nested[$thickness] = [$laid->placements, $laid->used, $laid->unplaced, $laid->usedLength(), $laid->utilisation()];
        }
        $gluing = Gluing::of($stack);
        $weight = BoardWeight::of(
            $section, $land, $shape, $cuts->skin, $stack, $cuts->board, $study->model->grading->runs, $project->layout->gauge,
        );

        return [
            'ways' => $ways,
            'stack' => [$stack->foam, $stack->carved, $stack->filler, $stack->hollowed, $stack->words(), $stack->sheets($cuts)],
            'layers' => $stack->layers,
            'work' => FoamWork::of($stack, $cuts, $land->surface()),
            'pieces' => [$pieces->pieces, $pieces->parted, $pieces->filler],
            'nested' => $nested,
            'gluing' => [$gluing->joints, $gluing->amounts()],
            'weight' => [$weight, $weight->dry(), $weight->wet(), $weight->passes($cuts->board)],
            'findings' => Rulebook::checkCuts(new CutStudy($section, $gluing, $weight, $cuts->board)),
            'templates' => array_map(fn (int $k): array => Template::ofLayer($stack, $k), [1, 2, count($stack->layers)]),
        ];
    }

    /** @return array<string, mixed> */
    private function shell(LandStudy $study): array
    {
        $section = $study->section;
        $land = $study->terrain->mesh();
        $exact = (new SkinnedLand($study->model, 2.0))->at(...);
        $bores = $study->project->bores($study->model->grading->runs);
        $shells = [];
        foreach ([CutSchool::Web, CutSchool::Towel] as $school) {
            $shell = Shell::over($land, $section->base, $school, $study->project->layout->cuts->shell, $bores, $land, $exact);
            $shells[$school->value] = [
                $shell, $shell->ribArea(), $shell->cover(), $shell->pieces(), $shell->formMinutes(), $shell->minutes(),
                $shell->weight(true), $shell->weight(false),
            ];
        }

        return $shells;
    }

    /** @return array<string, mixed> */
    private function under(LandStudy $study): array
    {
        [$section, $cuts] = [$study->section, $study->project->cuts()];
        $runs = [];
        foreach ($study->model->grading->runs as $run) {
            $over = $run->within($section->width, $section->depth);
            if ($over === null || $over[1] - $over[0] < 20.0) {
                continue;
            }
            $risers = Risers::along($run, $over, $section->base, $cuts->plate, $cuts->packings(), $cuts->riserGap);
            $base = TrackBase::under($run, $over, $risers, 600.0);
            $templates = $base->templates($run);
            $runs[$run->name] = [$risers, RiserSet::among($risers, 10.0, $cuts->kerf), $base, $templates];
        }
        $edges = [];
        foreach (['front', 'back', 'left', 'right'] as $edge) {
            $land = $study->model->heightAt(...);
            $board = EdgeBoard::along(BoardEdge::from($edge), $land, $section->width, $section->depth, $section->base, 30.0, 12.0);
            $edges[$edge] = [$board, $board->template()];
        }
        $plan = BoardPlan::of($study->project, $section, $study->model);
        $frame = Frame::under($section->width, $section->depth, $cuts->board);
        $pages = TemplatePages::of($plan->outlines(), 'a4');

        return [
            'runs' => $runs, 'edges' => $edges, 'plan' => $plan, 'frame' => [$frame, $frame->weight($cuts->board)],
            'pages' => [$pages, $pages->part(0, 0), $pages->name(1, 1)],
        ];
    }
}
