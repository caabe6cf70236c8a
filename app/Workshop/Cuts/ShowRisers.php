<?php

declare(strict_types=1);

namespace App\Workshop\Cuts;

use App\Drawing\RisersDrawing;
use App\Drawing\Svg;
use IdleRidge\Core\Cuts\Riser;
use IdleRidge\Core\Cuts\Risers;
use IdleRidge\Core\Land\LandModel;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Track\Run;

/** Risers under a run of a section. */
final class ShowRisers
{
    /** @return array{run: Run|null, runs: list<Run>, risers: list<Riser>, drawing: Svg|null, stretch: float} */
    public function of(Project $project, Section $section, LandModel $model, string $uid): array
    {
        $here = [];
        foreach ($model->grading->runs as $run) {
            $over = $run->within($section->width, $section->depth);
            if ($over !== null && $over[1] - $over[0] > 20.0) {
                $here[] = [$run, $over];
            }
        }
        // Without a choice the longest.
        usort($here, fn (array $a, array $b): int => ($b[1][1] - $b[1][0]) <=> ($a[1][1] - $a[1][0]));
        $runs = array_column($here, 0);
        foreach ([...array_filter($here, fn (array $h): bool => $h[0]->uid === $uid), ...$here] as [$run, $over]) {
            $risers = Risers::along($run, $over, $section->base, 0.0, $project->layout->cuts->first()->thickness);
            $drawn = RisersDrawing::of($run, $risers, $over, $section->base);

            return ['run' => $run, 'runs' => $runs, 'risers' => $risers, 'drawing' => $drawn['drawing'], 'stretch' => $drawn['stretch']];
        }

        return ['run' => null, 'runs' => [], 'risers' => [], 'drawing' => null, 'stretch' => 1.0];
    }
}
