<?php

declare(strict_types=1);

namespace App\Pages\Coats;

use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Interchange\Csv;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Plan\TakeOff;
use IdleRidge\Core\Shelf\PackPrice;

/** What all coats still to lay take, as CSV: one row for each coat and material. */
final readonly class ExportTakeOff
{
    public function __construct(private ProjectLoader $load, private ComputedPlan $desk)
    {
    }

    /** @param  string  $section uid, or empty for the whole layout */
    public function csv(Layout $layout, string $section): string
    {
        $plan = $this->desk->planOf($this->load->of($layout), $this->desk->minute());
        $prices = $plan->work->project->works->prices;
        $cost = function (array $i) use ($prices): string {
            [$minor, $without] = PackPrice::cost([$i['material'] => $i['amount']], $prices);

            return $without === [] ? sprintf('%.2f', $minor / 100.0) : '';
        };
        $rows = array_map(
            fn (array $i): array => [
                $i['section'],
                $i['zone'],
                $i['coat'],
                $i['material'],
                Format::number($i['amount'], $i['unit'], 1),
                Format::number($i['at_hand'], $i['unit'], 1),
                Format::unit($i['unit']),
                $cost($i),
            ],
            TakeOff::items($plan->work, $section === '' ? null : $section),
        );

        return Csv::write(['section', 'zone', 'coat', 'material', 'used_up', 'to_lie_ready', 'unit', 'cost'], $rows);
    }
}
