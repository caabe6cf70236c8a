<?php

declare(strict_types=1);

namespace App\Pages\Cuts;

use App\Computed\Cuts\CutResult;
use IdleRidge\Core\Cuts\Riser;
use IdleRidge\Core\Cuts\Risers;
use IdleRidge\Core\Cuts\RiserSet;
use IdleRidge\Core\Cuts\TrackBase;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Track\Run;

/** What carries a run of a section: risers, blocks that they are sliced from, the plate that lies on them. */
final class ShowRisers
{
    /**
     * @return array{run: Run|null, runs: list<Run>, risers: list<Riser>, sets: list<RiserSet>, base: TrackBase|null, drawing: Svg|null,
     *     stretch: float}
     */
    public function of(CutResult $page, string $uid): array
    {
        $here = $page->runs();
        $cuts = $page->cuts;
        // Without a choice the longest.
        foreach ([...array_filter($here, fn (array $h): bool => $h[0]->uid === $uid), ...$here] as [$run, $over]) {
            $risers = Risers::along($run, $over, $page->section->base, $cuts->plate, $cuts->packings(), $cuts->riserGap);
            $drawn = RisersDrawing::of($run, $risers, $over, $page->section->base);
            $longest = max(50.0, max($cuts->first()->width, $cuts->first()->depth) - 2.0 * $cuts->margin);

            return [
                'run' => $run,
                'runs' => array_column($here, 0),
                'risers' => $risers,
                'sets' => RiserSet::among($risers, $cuts->first()->thickness, $cuts->kerf),
                'base' => TrackBase::under($run, $over, $risers, $longest),
                'drawing' => $drawn['drawing'],
                'stretch' => $drawn['stretch'],
            ];
        }

        return ['run' => null, 'runs' => [], 'risers' => [], 'sets' => [], 'base' => null, 'drawing' => null, 'stretch' => 1.0];
    }
}
