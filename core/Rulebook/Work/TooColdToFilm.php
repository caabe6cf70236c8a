<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Cure\Drying;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Schedule\ReasonKind;

/** A room that is too cold, before it is touch-dry, for what is laid or to be laid: no film forms, and the coat is spoiled. */
final class TooColdToFilm implements WorkRule
{
    public function ids(): array
    {
        return ['too-cold-to-film'];
    }

    public function check(BenchPlan $plan): array
    {
        $work = $plan->work;
        $found = [];
        foreach ($work->project->works->laid as $laid) {
            $drying = $work->dryingOf($laid);
            $end = (float) $work->endOf($laid);
            if ($drying->spoils($laid->recipe->cure, $laid->mm, $end, $work->certainty(), $laid->watched())) {
                $chance = $drying->spoilChance($laid->recipe->cure, $laid->mm, $end, $laid->watched());
                $found[] = $this->finding(
                    $laid->section,
                    $laid->title,
                    (float) $laid->recipe->cure->filmTemperature,
                    $chance,
                    $drying,
                    $this->onSection($plan, $laid->section, $laid->zone),
                    true,
                );
            }
        }
        $seen = [];
        foreach ($plan->unplaced as $unplaced) {
            $move = $unplaced->move;
            if ($unplaced->kind === ReasonKind::Cold && ! isset($seen[$move->coat->uid])) {
                $seen[$move->coat->uid] = true;
                $found[] = $this->finding(
                    $move->section->uid,
                    $move->coat->title(),
                    (float) $move->recipe->cure->filmTemperature,
                    $this->chanceTonight($plan, $move),
                    $work->drying($move->section),
                    $this->onSection($plan, $move->section->uid, $move->zone->uid),
                    false,
                );
            }
        }

        return $found;
    }

    private function chanceTonight(BenchPlan $plan, Move $move): float
    {
        $session = $plan->session();

        return $session === null
            ? 1.0
            : $plan->work->drying($move->section)->spoilChance($move->recipe->cure, $move->coat->mm, (float) $session[1]);
    }

    private function onSection(BenchPlan $plan, string $section, string $zone): Place
    {
        $area = $plan->work->surveys[$section]->zones[$zone] ?? null;
        [$x, $y] = $area?->middle() ?? [0.0, 0.0];

        return Place::inZone($zone, $x, $y);
    }

    private function finding(string $section, string $title, float $film, float $chance, Drying $drying, Place $place, bool $laid): Finding
    {
        $room = $drying->room;
        $cold = min($room->day->temperature, $room->night->temperature);

        return new Finding(
            'too-cold-to-film',
            Severity::Stop,
            $laid ? "{$title} was laid too cold" : "{$room->name} is too cold for {$title}",
            $section,
            $place,
            [
                'film' => new Quantity($film, '°C', 'lowest temperature at which a film forms', [], 'starting value', 1),
                'spoilt' => new Quantity(
                    100.0 * $chance,
                    '%',
                    'of all cases, those that pass more than a tenth of their drying up to touch-dry below it',
                    ['room' => Format::text($cold, '°C', 1)],
                    decimals: 0,
                ),
            ],
            'Below that the glue dries to dust: it is spoiled, not delayed.',
            $laid
                ? 'Test a corner; where it rubs off, lay it again in the warm.'
                : 'Heat the room through the night, or give it a session in the morning.',
        );
    }
}
