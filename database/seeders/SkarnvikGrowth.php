<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Computed\Clock\UlidGenerator;
use App\Computed\Library\SpeciesSets;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Land\GroundSolver;
use IdleRidge\Core\Planting\Gate;
use IdleRidge\Core\Planting\Growth;
use IdleRidge\Core\Planting\Planter;
use IdleRidge\Core\Planting\PlantingRule;
use IdleRidge\Core\Planting\Row;
use IdleRidge\Core\Planting\RowKind;
use IdleRidge\Core\Planting\Socket;
use IdleRidge\Core\Planting\Stand;
use IdleRidge\Core\Planting\StandPattern;
use IdleRidge\Core\Planting\Tree;
use IdleRidge\Core\Project\GrowthStudy;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Track\Run;

/** What grows on the demo's boards, set out but not yet among the work: a birch wood, an orchard corner, willows, fence, poles, hedge. */
final readonly class SkarnvikGrowth
{
    public function __construct(private UlidGenerator $uids, private SpeciesSets $sets)
    {
    }

    public function on(Project $land): Project
    {
        $zones = [
            new Zone(
                $this->uids->next(),
                $land->section('Birch Cutting')->uid,
                'Wood',
                [[1210.0, 300.0], [1480.0, 285.0], [1700.0, 330.0], [1960.0, 330.0], [2190.0, 390.0], [2190.0, 490.0], [1210.0, 490.0]],
            ),
            new Zone(
                $this->uids->next(),
                $land->section('Fell Halt')->uid,
                'Orchard',
                [[3800.0, 15.0], [4045.0, 15.0], [4045.0, 110.0], [3800.0, 110.0]],
            ),
        ];
        $bare = $land->working($land->works->with(['zones' => [...$land->works->zones, ...$zones]]));
        $rows = $this->rows($bare);
        $bare = $bare->working($bare->works->with(['growth' => new Growth([], $rows)]));
        $stands = [
            $this->stand($bare, 'Birch Cutting', 'birch-wood', $zones[0], new PlantingRule(spacing: 0.85, seed: 14), new Socket(2.5, 15.0)),
            $this->stand($bare, 'Fell Halt', 'orchard', $zones[1], new PlantingRule(StandPattern::Orchard, 0.9, dead: 0.0, seed: 3)),
            $this->willows($bare),
        ];

        return $bare->working($bare->works->with(['growth' => new Growth($stands, $rows)]));
    }

    private function stand(Project $land, string $board, string $set, Zone $zone, PlantingRule $rule, ?Socket $socket = null): Stand
    {
        $section = $land->section($board);
        $of = $this->sets->all()[$set];
        $stand = new Stand($this->uids->next(), $section->uid, $of->name, $zone->uid, $of->mix, $rule, [], $socket);
        $model = $land->land($section, GroundSolver::solve($land->groundProblem($section), 5.0));
        $grid = $model->terrain(5.0)->grid();
        $study = new GrowthStudy($land);
        $ground = $study->ground(
            $section,
            $model,
            $grid->mesh($section->width, $section->depth),
            $grid->with($grid->slopes())->mesh($section->width, $section->depth),
            $study->rows()['sets'],
        );
        $trees = (new Planter($stand, $ground, [$zone->outlineOn($section->placement) ?? []], $land->layout->scale))->plant();

        return $stand->but(trees: array_map(fn (Tree $t): Tree => $t->placed($section->placement), $trees));
    }

    /** Three by the tarn, set by hand. */
    private function willows(Project $land): Stand
    {
        $section = $land->section('Tarnhead');
        $mix = $this->sets->all()['marsh']->mix;
        $trees = array_map(
            fn (array $t): Tree => (new Tree($t[0], $t[1], 0, $t[2], $t[3], fixed: true))->placed($section->placement),
            [[402.0, 108.0, 58.0, 44.0], [420.0, 66.0, 47.0, 38.0], [376.0, 74.0, 52.0, 40.0]],
        );

        return new Stand(
            $this->uids->next(), $section->uid, 'Willows', null, $mix, new PlantingRule(StandPattern::ByHand, clear: 2.0), $trees,
        );
    }

    /** @return list<Row> */
    private function rows(Project $land): array
    {
        $run = fn (string $name): string => array_values(array_filter($land->runs, fn (Run $r): bool => $r->name === $name))[0]->uid;
        $row = fn (RowKind $kind, string $name, string $along, mixed ...$with): Row => new Row(
            ...$with + [
                'uid' => $this->uids->next(), 'kind' => $kind, 'figures' => $kind->figures(), 'name' => $name, 'run' => $run($along),
                'fromEdge' => true,
            ],
        );

        return [
            $row(RowKind::Fence, 'Line fence', 'Weir line', offset: 30.0, from: 20.0, to: 400.0, gates: [new Gate(180.0, 3.6)]),
            $row(RowKind::Poles, 'Pole line', 'Halt line', offset: -22.0, from: 12.0),
            $row(RowKind::Hedge, 'Drove hedge', 'Drove road', offset: 9.0, from: 10.0, to: 150.0),
        ];
    }
}
