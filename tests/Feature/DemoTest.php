<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Computed\Cuts\CutComputation;
use App\Computed\Land\LandReport;
use App\Computed\Plan\PlanReport;
use App\Computed\ProjectLoader;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Cuts\FoamStack;
use IdleRidge\Core\Cuts\Layer;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Journal\Journal;
use IdleRidge\Core\Journal\JournalEntry;
use IdleRidge\Core\Journal\Learned;
use IdleRidge\Core\Journal\Photo;
use IdleRidge\Core\Land\Graded;
use IdleRidge\Core\Land\Grading;
use IdleRidge\Core\Land\LandClasses;
use IdleRidge\Core\Land\Wall;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\DryingState;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Planting\RowKind;
use IdleRidge\Core\Planting\RowLayout;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Planting\StandPattern;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\GrowthStudy;
use IdleRidge\Core\Project\GrowthSurvey;
use IdleRidge\Core\Project\HiddenThing;
use IdleRidge\Core\Project\Joints;
use IdleRidge\Core\Project\LandFeature;
use IdleRidge\Core\Project\LandStudy;
use IdleRidge\Core\Project\SightStudy;
use IdleRidge\Core\Project\WaterStudy;
use IdleRidge\Core\Project\WaterSurvey;
use IdleRidge\Core\Rounds\RoundsDue;
use IdleRidge\Core\Rounds\StallMap;
use IdleRidge\Core\Rulebook\Rulebook;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Track\Arc;
use IdleRidge\Core\Track\Clothoid;
use IdleRidge\Core\Track\Crossing;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunEnds;
use IdleRidge\Core\Track\RunKind;
use IdleRidge\Core\Track\Structure;
use IdleRidge\Core\Track\StructureKind;
use IdleRidge\Core\Track\Tangent;
use IdleRidge\Core\Track\Turnout;
use LogicException;
use Psr\Clock\ClockInterface;

/** The table in docs/demo.md is true, and names everything that is looked for here. */
final class DemoTest extends FeatureCase
{
    public function test_every_feature_stands_in_the_section_that_the_table_names(): void
    {
        $project = app(ProjectLoader::class)->complete($this->demo());
        $work = (new PlanReport())->work($project, intdiv(app(ClockInterface::class)->now()->getTimestamp(), 60));
        preg_match_all(
            '/^\| (?!to be seen)([^|]+) \| ([^|]+) \| [^|]+ \|$/m',
            (string) file_get_contents(base_path('docs/demo.md')),
            $rows,
            PREG_SET_ORDER,
        );
        $looks = $this->looks();
        $this->assertEqualsCanonicalizing(array_keys($looks), array_column($rows, 1));
        $studies = [];
        foreach ($rows as [, $feature, $name]) {
            $section = $project->section($name);
            $study = $studies[$name] ??= (new LandReport())->of($project, $section);
            $this->assertTrue($looks[$feature]($study, $work), "{$feature} on {$name}");
        }
        $this->assertCount(4, $studies, 'every section shows something');
    }

    /** @return array<string, callable(LandStudy, BenchWork): bool> */
    private function looks(): array
    {
        $runs = fn (LandStudy $s): array => array_values(
            array_filter(
                $s->model->grading->runs,
                fn (Run $r): bool => ($r->within($s->section->width, $s->section->depth) ?? [0.0, 0.0])[1] > 10.0,
            ),
        );
        $built = fn (string $kind): callable => fn (LandStudy $s): bool => array_filter(
            $runs($s),
            fn (Run $r): bool => array_filter($r->structures, fn (Structure $b): bool => $b->kind->value === $kind) !== [],
        ) !== [];
        $found = fn (string $id): callable => fn (LandStudy $s): bool => array_filter(
            Rulebook::check($s),
            fn (Finding $f): bool => $f->id === $id,
        ) !== [];
        $graded = fn (int $kind): callable => fn (LandStudy $s): bool => count(
            array_filter($s->terrain->graded, fn (Graded $g): bool => $g->kind === $kind),
        ) > 200;
        $line = fn (string $kind): callable => fn (LandStudy $s): bool => array_filter(
            $s->project->features,
            fn (LandFeature $f): bool => $f->kind->value === $kind &&
                $f->points[0]->x > $s->section->placement->x &&
                $f->points[0]->x < $s->section->placement->x + $s->section->width,
        ) !== [];
        $states = function (LandStudy $s, BenchWork $w): array {
            $states = [];
            foreach ($s->project->works->zonesOf($s->section->uid) as $zone) {
                foreach ($s->project->works->coatsOf($zone->uid) as $coat) {
                    $laid = array_filter($s->project->works->laid, fn (CoatApplication $l): bool => $l->coat === $coat->uid);
                    $states[] = $laid === [] ? DryingState::Bare : $w->state(end($laid));
                }
            }

            return $states;
        };
        $stack = fn (LandStudy $s): FoamStack => (new CutComputation())->page($s->project, $s->model, $s->section)->stack() ??
            throw new LogicException('the demo is made of foam');

        return [
            'grade that changes' => fn (LandStudy $s): bool => count(
                array_unique(
                    array_map(fn (float $at): int => (int) round(100 * $runs($s)[0]->grade->gradeAt($at)), [300.0, 700.0, 1100.0]),
                ),
            ) === 3,
            'pots of a session' => fn (LandStudy $s, BenchWork $w): bool => array_filter(
                $w->moves,
                fn (Move $m): bool => $m->section === $s->section && in_array('white glue', array_column($m->amounts, 'material'), true),
            ) !== [],
            'lots open, nearly empty, past their time, taken up again' => function (LandStudy $s, BenchWork $w): bool {
                $store = $s->project->works->store;
                $has = fn (callable $is): bool => array_filter($store->materials(), $is) !== [];

                return $has(fn (MaterialLot $l): bool => $l->openedAt !== null) &&
                    $has(fn (MaterialLot $l): bool => $l->openedAt === null && ! $l->recovered) &&
                    $has(fn (MaterialLot $l): bool => $store->amount($l->uid) < 0.15 * (float) $l->pack) &&
                    $has(fn (MaterialLot $l): bool => ($l->goodUntil($w->zone()) ?? PHP_INT_MAX) < $w->now) &&
                    $has(fn (MaterialLot $l): bool => $l->recovered);
            },
            'short of two materials, two shops, carriage, a budget' => fn (LandStudy $s, BenchWork $w): bool => $w->short() !== [] &&
                count(array_unique(array_column($s->project->works->prices, 'supplier'))) === 2 &&
                $w->rules()->shelf->carriage !== [] &&
                $w->rules()->shelf->budget !== null,
            'siding beside the line' => fn (LandStudy $s): bool => count($runs($s)) >= 2,
            'wall between two formations' => fn (LandStudy $s): bool => $s->walls !== [],
            'what strikes the coach' => $found('clearance'),
            'face too steep for plaster' => $found('face-too-steep'),
            'ridge line' => $line('ridge'),
            'valley line' => $line('hollow'),
            'pond that holds its water' => fn (LandStudy $s): bool => $s->model->ground->basins !== [] && ! $found('basin-spills')($s),
            'zones at every state' => fn (LandStudy $s, BenchWork $w): bool => array_diff(
                ['bare', 'setting', 'ready'],
                array_column($states($s, $w), 'value'),
            ) === [],
            'foam seen as layers' => fn (LandStudy $s): bool => count($stack($s)->layers) > 5,
            'cutting' => $graded(Grading::CUT),
            'tunnel' => $built('tunnel'),
            'thin lid over a tunnel' => $found('tunnel-lid'),
            'foam cut open by a bore' => fn (LandStudy $s): bool => count(
                array_filter($stack($s)->layers, fn (Layer $layer): bool => count($layer->pieces) === 2),
            ) === 3,
            'bank' => $graded(Grading::FILL),
            'bridge' => $built('bridge'),
            'coat still wet' => fn (LandStudy $s, BenchWork $w): bool => in_array(DryingState::Wet, $states($s, $w), true),
            ...$this->remembered(),
            'nights too cold for a film' => fn (LandStudy $s): bool => $s->project->works->room($s->section)->night->temperature < 8.0,
            'curve, then straight' => fn (LandStudy $s): bool => array_filter(
                $runs($s),
                fn (Run $r): bool => $r->alignment->elements[0] instanceof Arc && $r->alignment->elements[1] instanceof Tangent,
            ) !== [],
            'vertical curve' => fn (LandStudy $s): bool => array_filter($runs($s), fn (Run $r): bool => max($r->grade->curves) > 100.0) !==
                [],
            'rough ground' => fn (LandStudy $s): bool => array_filter(
                $s->project->shapesNear($s->section),
                fn (LandFeature $f): bool => $f->kind === FeatureKind::Rough && $f->figures['height_mm'] > 0.0,
            ) !== [],
            'transition' => fn (LandStudy $s): bool => array_filter(
                $runs($s),
                fn (Run $r): bool => $r->alignment->elements[0] instanceof Clothoid,
            ) !== [],
            'run that goes on from the board before' => fn (LandStudy $s): bool => ! $found('run-joint')($s) &&
                array_filter(
                    $s->model->grading->runs,
                    fn (Run $r): bool => array_filter(
                        $s->model->grading->runs,
                        fn (Run $o): bool => RunEnds::meet($r, $r->alignment->length, $o, 0.0),
                    ) !== [],
                ) !== [],
            'turnouts that keep clear' => fn (LandStudy $s): bool => count($s->turnouts) === 2 &&
                array_filter($s->turnouts, fn (Turnout $t): bool => $t->to - $t->from < 250.0) === [],
            'two tracks with a ditch between' => fn (LandStudy $s): bool => $s->model->heightAt(560.0, 185.5) < 79.0 &&
                abs($s->model->heightAt(560.0, 165.0) - 80.0) < 0.5 &&
                abs($s->model->heightAt(560.0, 206.0) - 80.0) < 0.5,
            'road over a turnout' => $found('road-on-turnout'),
            'placed wall' => fn (LandStudy $s): bool => array_filter(
                $s->walls,
                fn (Wall $w): bool => $w->cause === 'placed' && $w->highest > 15.0 && count($w->profile) > 20,
            ) !== [],
            'pad for a yard' => fn (LandStudy $s): bool => abs($s->model->heightAt(500.0, 60.0) - 72.0) < 1e-6 && ! $found('pad-cut')($s),
            'edge fixed for another club' => fn (LandStudy $s): bool => isset($s->section->edges['right']),
            'joint agreed with the next board' => fn (LandStudy $s): bool => isset($s->section->edges['right']) &&
                ! $found('joint-land')($s) &&
                Joints::of($s->section, $s->project->sections)['right']->edges['left'] === $s->section->edges['right'],
            'level crossing' => fn (LandStudy $s): bool => ! $found('level-crossing')($s) &&
                array_filter(
                    $s->model->grading->runs,
                    fn (Run $road): bool => $road->kind === RunKind::Road &&
                        array_filter(
                            $runs($s),
                            fn (Run $t): bool => $t->kind === RunKind::Track && Crossing::between($t, $road) !== [],
                        ) !== [],
                ) !== [],
            'stream under the bridge' => fn (LandStudy $s): bool => $s->model->ground->streams !== [] &&
                $s->model->ground->streams[0]->fall() > 30.0 &&
                ! $found('stream-dammed')($s),
            'bridge on piers' => fn (LandStudy $s): bool => array_filter(
                $runs($s),
                fn (Run $r): bool => array_filter($r->structures, fn (Structure $b): bool => $b->piers > 0) !== [],
            ) !== [],
            'lining in a tunnel' => fn (LandStudy $s): bool => array_filter(
                $runs($s),
                fn (Run $r): bool => array_filter(
                    $r->structures,
                    fn (Structure $b): bool => $b->kind === StructureKind::Tunnel && $b->thick > 0.0,
                ) !== [],
            ) !== [],
            ...$this->growing(),
            'hidden by the land' => fn (LandStudy $s): bool => (SightStudy::of($s->project->layout->viewing, $s->section, $s->model)
                ->land->value ??
                100.0) <
                98.0,
            'damp ground, slopes, sun side' => fn (LandStudy $s): bool => count(
                LandClasses::slopes($s->terrain->grid(), $s->section->width, $s->section->depth),
            ) === 5 && LandClasses::damp($s->terrain->grid(), $s->section->width, $s->section->depth)[0]->area > 0.0,
            'two vehicles' => fn (LandStudy $s): bool => count($s->project->layout->clearance->vehicles) === 2,
        ];
    }

    /** @return array<string, callable(LandStudy, BenchWork): bool> */
    private function remembered(): array
    {
        $journal = fn (LandStudy $s): Journal => $s->project->works->journal;
        $here = fn (LandStudy $s, array $all): array => array_values(
            array_filter($all, fn ($one): bool => $one->section === $s->section->uid),
        );

        return [
            'three months of journal, notes, verdicts' => function (LandStudy $s) use ($journal, $here): bool {
                $entries = $here($s, $journal($s)->entries);
                $at = array_map(fn (JournalEntry $e): int => $e->at, $entries);
                $judged = array_filter($entries, fn (JournalEntry $e): bool => $e->verdict !== null);

                return max($at) - min($at) > 85 * 1440 && count($judged) > 2;
            },
            'pictures, a colour under a lamp balanced by a card' => fn (LandStudy $s): bool => array_filter(
                $here($s, $journal($s)->photos),
                fn (Photo $p): bool => $p->white !== null,
            ) !== [],
            'two zones of one build-up, their pictures apart' => fn (LandStudy $s): bool => count(
                array_unique(array_map(fn (Photo $p): ?string => $p->zone, $here($s, $journal($s)->photos))),
            ) > 2,
            'figures that came out otherwise than the recipe' => fn (LandStudy $s): bool => Learned::of(
                $journal($s)->entries,
                $s->project->works->laid,
                $s->project->works->store,
            )->work('earth-paint')->low() > 1.0,
            'a trial on scrap' => fn (LandStudy $s): bool => $journal($s)->trials !== [],
            'checks due, a place where it stalls' => fn (LandStudy $s, BenchWork $w): bool => RoundsDue::of($w)->due !== [] &&
                count(StallMap::repeats($journal($s)->stalls)) === 1,
            'hidden wire and screw' => fn (LandStudy $s): bool => count(HiddenThing::on($s->project, $s->section)) === 2,
        ];
    }

    /** @return array<string, callable(LandStudy, BenchWork): bool> */
    private function growing(): array
    {
        $survey = function (LandStudy $s): GrowthSurvey {
            $growth = new GrowthStudy($s->project);
            $sets = $growth->rows()['sets'];
            $grid = $s->terrain->grid();
            [$w, $d] = [$s->section->width, $s->section->depth];
            $ground = $growth->ground($s->section, $s->model, $grid->mesh($w, $d), $grid->with($grid->slopes())->mesh($w, $d), $sets);

            return new GrowthSurvey($s->project, $s->section, $ground, $sets);
        };
        $stand = fn (LandStudy $s, StandPattern $pattern): ?Stand => array_values(array_filter(
            $s->project->works->growth->standsOn($s->section->uid),
            fn (Stand $one): bool => $one->rule->pattern === $pattern && count($one->trees) > 2,
        ))[0] ?? null;
        $row = fn (LandStudy $s, RowKind $kind): ?RowLayout => array_values(array_filter(
            $survey($s)->sets,
            fn (RowLayout $set): bool => $set->row->kind === $kind &&
                in_array($s->section->uid, array_column($set->parts, 'section'), true),
        ))[0] ?? null;
        $ids = fn (LandStudy $s): array => array_map(fn (Finding $f): string => $f->id, Rulebook::checkGrowth($survey($s)));

        return [
            'birch wood whose trees lift off' => fn (LandStudy $s): bool => $stand($s, StandPattern::Wood)?->socket !== null,
            // Nothing but that is found: the demo's wood stands as it should.
            'tree line that parts a scene' => fn (LandStudy $s): bool => $ids($s) === ['tree-line'],
            'tarn in thin coats, its bed by depth, its way out' => function (LandStudy $s): bool {
                $tarn = WaterStudy::of($s)->bodies()[0] ?? null;

                return $tarn !== null && $tarn->margin() > 0.0 && $s->project->works->waters->planOf($tarn->uid)?->coats === 10;
            },
            'dams where an edge cuts water off, a stream that falls' => function (LandStudy $s): bool {
                $burn = WaterStudy::of($s)->bodies()[0] ?? null;

                $drop = max([0.0, ...array_map(fn ($r): float => $r->drop(), $burn->reaches ?? [])]);

                return $burn !== null && $burn->isStream && $burn->dams !== [] && $drop > 20.0;
            },
            'mirror at a stream’s end, and what is seen in it' => fn (LandStudy $s): bool => WaterSurvey::of(WaterStudy::of($s))
                ->mirrors[0]->view->isGood(),
            'willows set by hand' => fn (LandStudy $s): bool => $stand($s, StandPattern::ByHand) !== null && $ids($s) === [],
            'grass in patches, colours by weight' => fn (LandStudy $s): bool => array_filter(
                $s->project->works->coats,
                fn ($c): bool => $c->recipe->length !== null && $c->share < 1.0,
            ) !== [],
            'fence with a gate' => fn (LandStudy $s): bool => ($row($s, RowKind::Fence)?->roles()['gate'] ?? 0) === 2 && $ids($s) === [],
            'hedge along a road' => fn (LandStudy $s): bool => ($row($s, RowKind::Hedge)?->laid($s->section->uid) ?? 0.0) > 100.0,
            'orchard corner' => fn (LandStudy $s): bool => $stand($s, StandPattern::Orchard) !== null,
            'pole line with stays' => fn (LandStudy $s): bool => ($row($s, RowKind::Poles)?->roles()['stayed'] ?? 0) > 1 && $ids($s) === [],
        ];
    }
}
