<?php

declare(strict_types=1);

namespace App\Pages\Coats;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Stripping;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\StripWork;
use IdleRidge\Core\Shelf\PackPrice;

/** What it would take to take a laid coat off again, before one does. */
final class ShowStrip
{
    /**
     * @return array{how: string, with: list<string>, rows: list<array{label: string, figure: Quantity, after?: string}>, dry: string,
     *     wet: bool}|null null where nothing of it is laid
     */
    public static function of(BenchWork $work, Coat $coat, Library $library): ?array
    {
        $strip = StripWork::of($work, $coat);
        if ($strip === null) {
            return null;
        }
        $s = $strip->stripping;
        $grams = $library->grams($s->lost, true);
        $used = array_column(array_map(fn ($a): array => [$a->material, $a->amount], $s->lost), 1, 0);
        [$minor, $unpriced] = PackPrice::cost($used, $work->project->works->prices);
        $hands = new Quantity($s->minutes, 'min', 'what is laid × minutes a dm² to lift or to cut it out', [], 'starting value');
        $off = new Quantity($grams, 'g', 'amounts laid × what of them stays', decimals: 0);
        $water = new Quantity($s->water, 'ml', Format::sentence('{300 ml/m²} on what is wetted'), [], 'starting value', 0);
        $currency = $work->project->layout->currency;
        $lost = Quantity::money($minor, $currency, 'amounts × price of a pack ÷ what is in it', [], 'yours');
        $rows = [
            ['label' => 'At the bench', 'figure' => $hands, 'after' => $s->wet ? 'min, and '.Stripping::SOAK_MINUTES.' to soak' : 'min'],
            ['label' => 'Comes off', 'figure' => $off],
            ...$s->water > 0.0 ? [['label' => 'Water', 'figure' => $water]] : [],
            ...$minor > 0 ? [['label' => 'Is lost', 'figure' => $lost, 'after' => $currency.($unpriced === [] ? '' : ' at least')]] : [],
        ];

        return [
            'how' => $coat->recipe->undo,
            'with' => $strip->with,
            'rows' => $rows,
            'dry' => $s->wet ? ClockWords::range($strip->dryAfter(0.5), $strip->dryAfter(0.9)) : '',
            'wet' => $s->wet,
        ];
    }
}
