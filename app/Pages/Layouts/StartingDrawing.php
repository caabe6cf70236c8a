<?php

declare(strict_types=1);

namespace App\Pages\Layouts;

use App\Pages\Drawing\BoardsPlan;
use App\Pages\Drawing\PlanFrame;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Measure\Side;
use IdleRidge\Core\Project\FeatureKind;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Track\Run;
use IdleRidge\Core\Track\RunKind;

/** A starting board from above: its land in a few contours, its water and level ground, road and track. */
final class StartingDrawing
{
    private const WIDTH = 300.0;

    private const HEIGHT = 150.0;

    private const AROUND = 5.0;

    /** @param  list<list<array{float, float}>>  $contours in the board's coordinates */
    public static function of(Project $project, array $contours): Svg
    {
        $room = [self::WIDTH - 2.0 * self::AROUND, self::HEIGHT - 2.0 * self::AROUND];
        $plan = BoardsPlan::of($project, ...[...$room, self::AROUND, self::AROUND]);
        \assert($plan !== null);
        $section = $project->sections[0];
        $svg = new Svg(self::WIDTH, $plan->frame->height + 2.0 * self::AROUND, $section->name, ['class' => 'drawing boards']);
        $plan->draw($svg, [$section->uid => $contours]);
        foreach ($project->features as $feature) {
            if ($feature->kind->isLevel()) {
                $isWater = $feature->kind === FeatureKind::Water;
                $svg->path($isWater ? 'open-water' : 'pad-ground', $plan->frame->d($feature->plan(), true));
            }
        }
        foreach ([RunKind::Road, RunKind::Track] as $kind) {
            foreach ($project->runs as $run) {
                if ($run->kind === $kind) {
                    self::run($svg, $plan->frame, $run);
                }
            }
        }

        return $svg;
    }

    /** A road as broad as it is, a track as one line over it. */
    private static function run(Svg $svg, PlanFrame $frame, Run $run): void
    {
        $line = $frame->d($run->alignment->polyline(0.0, $run->alignment->length, 0.0, 2.0));
        if ($run->kind === RunKind::Road) {
            $wide = max(3.0, 2.0 * $run->profile->halfWidth(Side::Left) * $frame->scale);
            $svg->path('road-edge', $line, ['stroke-width' => Svg::n($wide + 2.0)])->path('road', $line, ['stroke-width' => Svg::n($wide)]);
        } else {
            $svg->path('tr', $line);
        }
    }
}
