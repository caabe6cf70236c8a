<?php

declare(strict_types=1);

namespace App\Computed\Plan;

use App\Computed\Land\ComputedLand;
use IdleRidge\Core\Coats\SectionSurvey;
use IdleRidge\Core\Coats\ZoneSurvey;
use IdleRidge\Core\Interchange\Csv;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\PlacedMove;
use IdleRidge\Core\Plan\TakeOff;
use IdleRidge\Core\Plan\UnplacedMove;
use IdleRidge\Core\Project\GrowthZones;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Project\WaterZones;

/** The work of a project that came from a file: the same steps as the screens take, without a database. */
final class PlanReport
{
    public function work(Project $project, int $now): BenchWork
    {
        $surveys = [];
        foreach ($project->sections as $section) {
            if ($project->works->zonesOf($section->uid) !== []) {
                $surveys[$section->uid] = self::survey($project, $section);
            }
        }

        return new BenchWork($project, $surveys, $now);
    }

    public static function survey(Project $project, Section $section, ?LandModel $model = null): SectionSurvey
    {
        $zones = $project->works->zonesOf($section->uid);
        $model ??= $project->land($section, GroundSolver::solve($project->groundProblem($section), ComputedLand::CELL_MM));
        $survey = ZoneSurvey::ofLand(
            $model,
            ComputedLand::CELL_MM,
            $section->base,
            $section->placement,
            $zones,
            $project->layout->northDeg,
            WaterZones::filled(
                $project,
                $section,
                $model,
                ComputedLand::CELL_MM,
                $zones,
                (new GrowthZones($project))->standing($section),
            ),
        );

        return SectionSurvey::of($survey, $section->placement, $zones, $project->works->coats, $project->works->laid);
    }

    /** @return array<string, mixed> the form of docs/formats/takeoff.schema.json */
    public function takeOff(BenchWork $work, ?string $section): array
    {
        return [
            'items' => array_map(
                fn (array $item): array => ['amount' => round($item['amount'], 3), 'at_hand' => round($item['at_hand'], 3)] + $item,
                TakeOff::items($work, $section),
            ),
        ];
    }

    /** The moves as a table, moments in UTC. */
    public function csv(BenchPlan $plan): string
    {
        $iso = fn (int $minute): string => gmdate('Y-m-d\TH:i\Z', $minute * 60);

        return Csv::write(
            ['start', 'end', 'minutes', 'section', 'zone', 'move', 'why_not_sooner'],
            array_map(
                fn (PlacedMove $p): array => [
                    $iso($p->start),
                    $iso($p->end),
                    $p->minutes(),
                    $p->move->section->name,
                    $p->move->zone->name,
                    $p->move->title(),
                    $p->reason()->text,
                ],
                $plan->moves,
            ),
        );
    }

    /** @return array<string, mixed> the form of docs/formats/plan.schema.json */
    public function plan(BenchPlan $plan): array
    {
        $iso = fn (?int $minute): ?string => $minute === null ? null : gmdate('Y-m-d\TH:i\Z', $minute * 60);
        $ready = fn (float $quantile): ?string => $iso($plan->ready($quantile));

        return [
            'now' => $iso($plan->work->now),
            'status' => $plan->status,
            'bound' => $iso($plan->bound),
            'late' => array_map(
                fn (int $minutes, string $uid): array => ['section' => $plan->work->project->section($uid)->name, 'minutes' => $minutes],
                $plan->late(),
                array_keys($plan->late()),
            ),
            'last_hands_on' => $iso($plan->lastHandsOn()),
            'ready' => ['p50' => $ready(0.5), 'p80' => $ready(0.8), 'p90' => $ready(0.9)],
            'moves' => array_map(
                fn (PlacedMove $p): array => [
                    'id' => $p->move->id,
                    'section' => $p->move->section->name,
                    'zone' => $p->move->zone->name,
                    'coat' => $p->move->coat->title(),
                    'title' => $p->move->title(),
                    'start' => $iso($p->start),
                    'end' => $iso($p->end),
                    'minutes' => $p->minutes(),
                    'reason' => $p->reason(),
                ],
                $plan->moves,
            ),
            'unplaced' => array_map(
                fn (UnplacedMove $u): array => [
                    'id' => $u->move->id,
                    'section' => $u->move->section->name,
                    'zone' => $u->move->zone->name,
                    'coat' => $u->move->coat->title(),
                    'kind' => $u->kind,
                    'text' => $u->text,
                ],
                $plan->unplaced,
            ),
        ];
    }
}
