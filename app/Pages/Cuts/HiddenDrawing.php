<?php

declare(strict_types=1);

namespace App\Pages\Cuts;

use App\Computed\Cuts\CutResult;
use App\Pages\Drawing\BoardPlan;
use IdleRidge\Core\Interchange\Svg;
use IdleRidge\Core\Project\HiddenThing;

/** Where things lie under a board's land, with the runs over them. */
final class HiddenDrawing
{
    private const WIDTH = 734.0;

    private const MARGIN_MM = 20.0;

    public static function of(CutResult $page): Svg
    {
        $plan = new BoardPlan($page->section, $page->project, [], "Hidden under {$page->section->name}", self::WIDTH, self::MARGIN_MM, [
            'class' => 'board-plan hidden-plan',
        ]);
        foreach (HiddenThing::on($page->project, $page->section) as $thing) {
            $at = array_map(fn (array $p): array => $plan->at(...$p), $thing->points);
            [$x, $y] = $at[0];
            if ($thing->kind->isLine()) {
                $plan->svg->path('lead', 'M'.implode('L', array_map(fn (array $p): string => Svg::n($p[0]).' '.Svg::n($p[1]), $at)));
            } else {
                $plan->svg->path('thing', 'M'.Svg::n($x - 5.0).' '.Svg::n($y).'h10M'.Svg::n($x).' '.Svg::n($y - 5.0).'v10');
            }
            $plan->svg->text('called', $x + 8.0, $y - 6.0, $thing->called());
        }

        return $plan->svg;
    }
}
