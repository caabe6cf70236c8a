<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\PlasterLayer;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\ZoneArea;
use IdleRidge\Core\Cure\Climate;
use IdleRidge\Core\Cure\CureClock;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\CoatState;
use IdleRidge\Core\Plan\Countdown;
use IdleRidge\Core\Plan\IdleTime;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Plan\PackingList;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Plan\ReadyBy;
use IdleRidge\Core\Plan\SchoolTrial;
use IdleRidge\Core\Plan\TakeOff;
use IdleRidge\Core\Plan\UnplacedMove;
use IdleRidge\Core\Plan\WhatIf;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Rulebook\Rulebook;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Build;
use Tests\Whole;

/** The work on whole layouts, to the minute and the last digit as it was when it was looked at with care. */
final class WholePlanTest extends TestCase
{
    #[DataProvider('layouts')]
    public function test_zones_and_what_they_take_are_as_they_were(string $layout): void
    {
        $plan = Whole::plan($layout);
        $zones = [];
        foreach ($plan->work->surveys as $uid => $survey) {
            $zones[$plan->work->project->section((string) $uid)->name] = $this->survey($survey, $plan);
        }
        $this->assertNull(Whole::difference("{$layout}-zones", $zones));
        $this->assertNull(Whole::difference("{$layout}-moves", array_map($this->move(...), $plan->work->moves)));
        $this->assertNull(Whole::difference("{$layout}-take-off", [TakeOff::items($plan->work), TakeOff::byMaterial($plan->work)]));
    }

    #[DataProvider('layouts')]
    public function test_plans_and_why_not_sooner_are_as_they_were(string $layout): void
    {
        $plan = Whole::plan($layout);
        $this->assertNull(Whole::difference("{$layout}-plan", $this->plan($plan)));
        $this->assertNull(Whole::difference("{$layout}-work-findings", Rulebook::checkWork($plan)));
    }

    #[DataProvider('layouts')]
    public function test_what_would_be_is_as_it_was(string $layout): void
    {
        $plan = Whole::plan($layout);
        $project = $plan->work->project;
        $from = $plan->work->now;
        $room = $project->works->rooms[0]->uid;
        $by = ReadyBy::of($plan->work, $from + 4 * 1440);
        $out = [
            'by' => [
                array_map(
                    fn (array $one): array => ['id' => $one['placed']->move->id] + array_filter($one, fn ($v): bool => ! is_object($v)),
                    $by->moves,
                ),
                array_map(fn ($one): mixed => is_object($one) ? null : $one, $by->left),
                $by->isDry(),
            ],
        ];
        foreach (
            [
                'warmer' => WhatIf::warmer($project, $room, 23.5, $from), 'aired' => WhatIf::airflow($project, $room, 2.2, $from),
                'hands' => WhatIf::hands($project, 3),
            ] as $what => $changed
        ) {
            $out[$what] = $this->short($changed, $plan);
        }
        foreach ($plan->work->surveys as $uid => $survey) {
            $section = $project->section((string) $uid);
            $zone = array_values($project->works->zonesOf($section->uid))[0];
            foreach (array_slice(Build::library()->schools, 0, 6) as $key => $school) {
                $out['schools'][$section->name][$key] = array_diff_key(
                    // Its steps are the moves of its coats once more.
                    get_object_vars(SchoolTrial::of($plan->work, $section, $zone, $school, Build::library())),
                    ['steps' => true],
                );
            }
        }
        $this->assertNull(Whole::difference("{$layout}-what-if", $out));
    }

    public function test_cures_of_the_whole_library_are_as_they_were(): void
    {
        $out = [];
        foreach ([new Climate(20.0, 50.0), new Climate(9.0, 84.0, 0.6), new Climate(26.5, 31.0, 2.2)] as $k => $air) {
            foreach (Build::library()->recipes as $recipe) {
                $out[$k][$recipe->id] = CureClock::medians($recipe->cure, $air, 1.7 * $recipe->cure->referenceMm);
            }
        }
        $this->assertNull(Whole::difference('cures', $out));
    }

    /** @return array<string, array{string}> */
    public static function layouts(): array
    {
        return array_combine(Whole::LAYOUTS, array_map(fn (string $name): array => [$name], Whole::LAYOUTS));
    }

    /** @return array<string, mixed> */
    private function survey(SectionSurvey $survey, BenchPlan $plan): array
    {
        $out = ['bare' => $survey->bare];
        foreach ($survey->zones as $uid => $area) {
            $out[$uid] = [$this->area($area), $survey->over((string) $uid)];
            foreach (array_keys($survey->zones) as $other) {
                $out[$uid]['beside'][$other] = $survey->touches((string) $uid, (string) $other);
            }
        }
        $coats = array_values(array_filter($plan->work->project->works->coats, fn (Coat $c): bool => isset($survey->zones[$c->zone])));
        foreach ($coats as $coat) {
            $out['left'][$coat->uid] = [$survey->left($coat, 1)->surface, $survey->isWhole($coat, 1)];
        }
        $plaster = array_values(array_filter($coats, fn (Coat $c): bool => $c->recipe->family === Family::Plaster));

        return $out + ['plaster' => $plaster === [] ? null : PlasterLayer::of($survey, $plaster)];
    }

    /** @return array<string, mixed> */
    private function area(ZoneArea $area): array
    {
        return [
            'rings' => $area->rings, 'plan' => $area->plan, 'surface' => $area->surface, 'height' => $area->height,
            'slopes' => $area->bySlope,
            'edge' => $area->edge(), 'length' => $area->length(), 'middle' => $area->middle(), 'strips' => [
                $area->acrossX->strips(5, false), $area->acrossY->strips(4, true), $area->trackX->total(),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function move(Move $move): array
    {
        return [
            'minutes' => $move->minutes, 'area' => $move->area, 'track' => $move->track, 'strip' => $move->band,
            'amounts' => $move->amounts,
            'title' => $move->title(), 'place' => $move->place(),
        ];
    }

    /** @return array<string, mixed> */
    private function placed(PlacedMove $placed): array
    {
        return ['start' => $placed->start, 'end' => $placed->end, 'reason' => $placed->reason()];
    }

    /** @return array<string, mixed> */
    private function plan(BenchPlan $plan): array
    {
        $placed = array_column(array_map(fn (PlacedMove $p): array => [$p->move->id, $this->placed($p)], $plan->moves), 1, 0);
        $through = fn (PlacedMove $p): array => array_map(
            fn (float $q): int => $plan->reached($p, BenchPlan::through($p->move->coat->recipe->cure->minutes), $q), [0.2, 0.5, 0.9],
        );

        return [
            'moves' => $placed,
            'unplaced' => array_map(fn (UnplacedMove $u): array => [$u->move->id, $u->kind, $u->text], $plan->unplaced),
            'status' => $plan->status,
            'bound' => $plan->bound,
            'through' => array_map($through, $plan->moves),
            'laid' => array_map(
                fn (CoatApplication $l): array => [
                    $plan->work->state($l), $plan->work->reached($l, BenchPlan::through($l->recipe->cure->minutes), 0.8),
                    $plan->work->reached($l, Milestone::TouchDry, 0.5),
                ],
                array_values(
                    array_filter($plan->work->project->works->laid, fn ($l): bool => isset($l->recipe->cure->minutes['touch_dry'])),
                ),
            ),
            'ready' => [
                $plan->ready(0.5),
                $plan->ready(0.8),
                $plan->ready(0.9),
                $plan->lastHandsOn(),
                $plan->sessionsUsed(),
                $plan->minutes(),
            ],
            'late' => $plan->late(),
            'slack' => $plan->slack(),
            'chain' => array_map(fn ($one): mixed => $one instanceof PlacedMove ? $one->move->id : $one, $plan->chain()),
            'states' => array_map(
                fn (Coat $c): array => [
                    CoatState::of($plan, $c)->state->value,
                    CoatState::of($plan, $c)->isWhole(),
                ], $plan->work->project->works->coats,
            ),
            'countdown' => Countdown::of($plan->work),
            'idle' => array_map(fn (IdleTime $i): int => $i->minutes(), IdleTime::of($plan)),
            'packed' => PackingList::of($plan->moves),
            'sessions' => array_map(fn (array $s): array => [$s, $plan->freeIn($s)], $plan->work->sessions),
        ];
    }

    /** @return array<string, mixed> */
    private function short(Project $project, BenchPlan $plan): array
    {
        $changed = BenchPlan::make(new \IdleRidge\Core\Plan\BenchWork($project, $plan->work->surveys, $plan->work->now));

        return [array_map(fn (PlacedMove $p): array => [$p->move->id, $p->start], $changed->moves), $changed->ready(0.8)];
    }
}
