<?php

declare(strict_types=1);

namespace App\Pages\Rounds;

use App\Computed\Cuts\ComputedCuts;
use App\Computed\Journal\JournalRows;
use App\Computed\Land\ComputedLand;
use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Pages\Drawing\BoardPlan;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Rounds\SectionCard;
use IdleRidge\Core\Rounds\StallMap;

/** The card that goes with a board to a show or into its store: one A5 page. */
final readonly class ShowCard
{
    private const PLAN_WIDTH = 330.0;

    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private ComputedLand $land,
        private ComputedCuts $cuts,
    ) {
    }

    /** @return array<string, mixed> for the view rounds.card */
    public function of(Layout $layout, string $uid): array
    {
        $project = $this->load->of($layout);
        $section = $project->section($uid);
        $plan = $this->desk->planOf($project, $this->desk->minute());
        $words = new ClockWords($plan->work->zone(), $plan->work->now);
        $units = $project->layout->units;
        $card = SectionCard::of($plan->work, $section);
        $weight = $this->cuts->page($project, $section)->weight;
        $build = $project->cuts()->board;
        $show = fn (float $mm): string => Format::length($mm);
        $stalls = array_values(array_map(JournalRows::stall(...), $layout->stalls()->get()->all()));
        $repeats = array_filter(StallMap::repeats($stalls), function (array $place) use ($project, $section): bool {
            foreach ($project->runs as $run) {
                if ($run->uid === $place['run']) {
                    $at = $section->placement->toSection($run->alignment->pointAt($place['from']));

                    return $section->holds($at->x, $at->y);
                }
            }

            return false;
        });
        $drawing = new BoardPlan($section, $project, $this->land->thumb($project, $section), $section->name, self::PLAN_WIDTH, 15.0);
        [$x, $y] = $drawing->at($weight->centre[0], $weight->centre[1]);
        $drawing->svg->circle('mark-ring', $x, $y, 9.0)->circle('mark', $x, $y, 2.6);
        $passes = $weight->passes($build);

        return [
            'layout' => $layout,
            'project' => $project,
            'section' => $section,
            'today' => $words->at($words->now)->format('j F Y'),
            'drawing' => $drawing->svg,
            'size' => $show($weight->box[0]).' × '.$show($weight->box[1]).', '.$show($weight->box[2]).' high',
            'weight' => Format::text($weight->dry(), 'kg', 1),
            'wet' => Format::text($weight->wet(), 'kg', 1).' wet',
            'people' => $weight->people($build),
            'centre' => $show($weight->centre[0]).' from the left, '.$show($weight->centre[1]).' from the front',
            'passes' => $passes === null
                ? ''
                : ($passes['fits'] ? 'goes through the opening' : 'does not go through the opening: '.$show($passes['short']).' short'),
            'card' => $card,
            'curing' => array_map(fn (array $one): array => [
                'title' => $one['title'],
                'zone' => $one['zone'],
                'until' => $words->moment($one['until']),
            ], $card->curing),
            'repeats' => array_values(array_map(fn (array $r): string => $show($r['from']).' along: '.$r['told'], $repeats)),
        ];
    }
}
