<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\AlcoholVapour;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;

/** Alcohol or solvent in one session, against the air of its room. */
final class VapourInRoom implements WorkRule
{
    public function ids(): array
    {
        return ['vapour'];
    }

    public function check(BenchPlan $plan): array
    {
        $work = $plan->work;
        $found = [];
        foreach ($work->sessions as [$from, $to]) {
            $ml = [];
            foreach ($plan->within($from, $to) as $placed) {
                $alcohol = AlcoholVapour::pure($placed->move->amounts);
                if ($alcohol > 0.0) {
                    $room = $work->project->works->room($placed->move->section);
                    $ml[$room->uid] = [($ml[$room->uid][0] ?? 0.0) + $alcohol, $room, $placed];
                }
            }
            foreach ($ml as [$sum, $room, $placed]) {
                $vapour = AlcoholVapour::of($sum, 1.0, $room->volume, $room->airChanges);
                if ($vapour->ppm >= AlcoholVapour::CARE_PPM) {
                    $found[] = CoatPair::on(
                        $plan,
                        $placed->move->section->uid,
                        $placed->move->zone->uid,
                        'vapour',
                        $vapour->ppm >= AlcoholVapour::STOP_PPM ? Severity::Stop : Severity::Care,
                        "Too much alcohol for {$room->name}",
                        [
                            'well_mixed' => new Quantity(
                                $vapour->ppm,
                                'ppm',
                                'ml × strength × 0.785 / 60.1 × 24.055 × 1000 / m³, as if all of it hung in the room at once',
                                ['pure' => Format::text($sum, 'ml'), 'room' => Format::text($room->volume, 'm³')],
                                decimals: 0,
                            ),
                            'until_200_ppm' => new Quantity(
                                $vapour->minutes,
                                'min',
                                '60 / air changes an hour × ln(ppm / 200)',
                                ['air changes' => $room->airChanges.' an hour'],
                                decimals: 0,
                            ),
                        ],
                        'Well mixed it is this much; near the mist far more. It '
                            .'burns, and it makes you dizzy before you smell it no longer.',
                        'Mist less at a time, open windows, a fan blowing out; no '
                            .'flame, heater or fibre applicator until the smell is gone.',
                    );
                }
            }
        }

        return $found;
    }
}
