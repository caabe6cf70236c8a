<?php

declare(strict_types=1);

namespace App\Workshop\Coats;

use App\Models\Layout;
use App\Workshop\LoadProject;
use App\Workshop\Plan\PlanDesk;
use IdleRidge\Core\Interchange\CsvText;
use IdleRidge\Core\Plan\TakeOff;
use IdleRidge\Core\Shelf\Price;

/** What all coats still to lay take, as CSV: one row for each coat and material. */
final readonly class TakeOffFile
{
    public function __construct(private LoadProject $load, private PlanDesk $desk)
    {
    }

    /** @param  string  $section uid, or empty for the whole layout */
    public function csv(Layout $layout, string $section): string
    {
        $plan = $this->desk->planOf($this->load->of($layout), $this->desk->minute());
        $prices = $plan->work->project->works->prices;
        $cost = function (array $i) use ($prices): string {
            [$minor, $without] = Price::cost([$i['material'] => $i['amount']], $prices);

            return $without === [] ? sprintf('%.2f', $minor / 100.0) : '';
        };
        $rows = array_map(fn (array $i): array => [$i['section'], $i['zone'], $i['coat'], $i['material'], round($i['amount'], 1), round($i['at_hand'], 1), $i['unit'], $cost($i)], TakeOff::items($plan->work, $section === '' ? null : $section));

        return CsvText::of(['section', 'zone', 'coat', 'material', 'used_up', 'to_lie_ready', 'unit', 'cost'], $rows);
    }
}
