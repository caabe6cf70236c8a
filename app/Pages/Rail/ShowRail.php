<?php

declare(strict_types=1);

namespace App\Pages\Rail;

use App\Computed\Land\ComputedLand;
use App\Computed\Plan\ComputedPlan;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\DryingState;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;

/** The boards beside a screen, all to one scale, in running order. */
final readonly class ShowRail
{
    public function __construct(private ComputedLand $desk, private ComputedPlan $plans)
    {
    }

    /**
     * @param  Section|null  $current the board that the screen is about
     * @param  BenchWork|null  $work where the screen has it already
     * @return list<array{uid: string, name: string, current: bool, thumb: Svg, state: DryingState, word: string}>
     */
    public function of(Project $project, ?Section $current, ?BenchWork $work = null): array
    {
        $work ??= new BenchWork($project, [], $this->plans->minute());
        $widest = max([1200.0, ...array_map(fn (Section $s): float => $s->width, $project->sections)]);
        $thumbs = $this->desk->thumbs($project);
        $out = [];
        foreach ($project->sections as $section) {
            $out[] = [
                'uid' => $section->uid,
                'name' => $section->name,
                'current' => $section->uid === $current?->uid,
                ...$this->pressing($work, $section),
                'thumb' => ThumbDrawing::of($section, $thumbs[$section->uid], $project->runsNear($section), 90.0 / $widest),
            ];
        }

        return $out;
    }

    /** @return array{state: DryingState, word: string} the most pressing state of what is laid, and how many are in it */
    private function pressing(BenchWork $work, Section $section): array
    {
        $counts = [];
        foreach ($work->project->works->laidOn($section->uid) as $laid) {
            $counts[$work->state($laid)->value][$laid->coat] = true;
        }
        foreach ([DryingState::Wet, DryingState::Setting] as $state) {
            if (isset($counts[$state->value])) {
                return ['state' => $state, 'word' => count($counts[$state->value]).' '.$state->value];
            }
        }
        $state = isset($counts['ready']) ? DryingState::Ready : DryingState::Bare;

        return ['state' => $state, 'word' => $state->value];
    }
}
