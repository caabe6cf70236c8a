<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\School;
use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Project\Section;
use IdleRidge\Core\Shelf\PackPrice;

/**
 * A school tried on a zone before it is taken: hands-on minutes, and how long it takes in the room where the section stands if
 * every coat is laid as soon as the one below allows (as surely as the layout asks), up to all dry through (50 and 90 %); grams wet and
 * dry.
 */
final readonly class SchoolTrial
{
    /**
     * @param  list<MaterialAmount>  $amounts
     * @param  list<Coat>  $coats
     * @param  int  $cost of what is used up, in the currency's smallest unit
     * @param  list<string>  $unpriced materials without a price
     * @param  list<TrialStep>  $steps its applications, as early as each may be
     * @param  float  $body of the weight, grams of foam or ribs that its coats go over
     */
    private function __construct(
        public School $school,
        public array $coats,
        public int $minutes,
        public int $moves,
        public float $days50,
        public float $days90,
        public float $wet,
        public float $dry,
        public array $amounts,
        public int $cost,
        public array $unpriced,
        public float $body,
        public array $steps,
    ) {
    }

    /**
     * Which of some trials is best in what: the least of each figure. What not all have a price for is not compared, nor what all are alike
     * in.
     *
     * @param  list<self>  $trials
     * @return array<string, list<int>> minutes, days, wet, dry, cost → places in the list, several where they are even
     */
    public static function best(array $trials): array
    {
        $priced = array_filter($trials, fn (self $t): bool => $t->unpriced !== []) === [];
        $figures = [
            'minutes' => array_map(fn (self $t): float => (float) $t->minutes, $trials),
            'days' => array_map(fn (self $t): float => $t->days50, $trials),
            'wet' => array_map(fn (self $t): float => $t->wet, $trials),
            'dry' => array_map(fn (self $t): float => $t->dry, $trials),
            'cost' => $priced ? array_map(fn (self $t): float => (float) $t->cost, $trials) : [],
        ];
        $best = [];
        foreach ($figures as $figure => $values) {
            $least = $values === [] ? [] : array_keys($values, min($values), true);
            $best[$figure] = count($least) < count($values) ? $least : [];
        }

        return $best;
    }

    /**
     * @param  array{grams: float, minor: int|null}|null  $body foam or ribs that a school of landform asks for under the zone, and what
     *     that costs; null of the price where sheets have none
     */
    public static function of(BenchWork $work, Section $section, Zone $zone, School $school, Library $library, ?array $body = null): self
    {
        $cutter = $work->cutter();
        $area = $work->surveys[$section->uid]->zones[$zone->uid];
        $drying = $work->drying($section);
        $number = 0;
        $coats = $school->coats($zone->uid, function () use (&$number): string {
            return 'trial'.++$number;
        }, $library);
        $at = $start = (float) $work->planFrom();
        $minutes = $moves = 0;
        $amounts = [];
        // The pass before, and what is done already of this one: its wet part cures on while the rest of it waits.
        $before = $own = $steps = [];
        foreach ($coats as $coat) {
            for ($pass = 1; $pass <= $coat->applications(); $pass++) {
                $recipe = $coat->recipeOf($pass);
                if ($recipe === $coat->recipe) {
                    [$before, $own] = [$own, []];
                }
                foreach ($own === [] ? $before : $own as [$below, $mm, $end]) {
                    $at = max($at, $drying->reached($below->cure, $recipe->needsOf($below), $mm, $end, $work->certainty()));
                }
                $from = $at;
                $taken = $moved = [];
                foreach ($cutter->moves($section, $zone, $coat, $pass, $area, $area->surface) as $move) {
                    $at += $move->minutes;
                    $minutes += $move->minutes;
                    $moves++;
                    array_push($taken, ...$move->amounts);
                    $moved[] = $move;
                }
                array_push($amounts, ...$taken);
                $steps[] = new TrialStep($coat, $pass, $from - $start, $at - $start, $moved, MaterialAmount::sum($taken));
                $own[] = [$recipe, $coat->mm, $at];
            }
        }
        $through = fn (float $quantile): float => (max(
            array_map(
                fn (array $o): float => $drying->reached($o[0]->cure, BenchPlan::through($o[0]->cure->minutes), $o[1], $o[2], $quantile),
                $own,
            ),
        ) - $start) / 1440.0;
        $amounts = MaterialAmount::sum($amounts);
        $used = [];
        foreach ($amounts as $amount) {
            $used[$amount->material] = ($used[$amount->material] ?? 0.0) + $amount->amount;
        }
        [$cost, $unpriced] = PackPrice::cost($used, $work->project->works->prices);

        $grams = $body['grams'] ?? 0.0;
        if ($body !== null && $body['minor'] === null) {
            $unpriced[] = 'foam sheets';
        }

        return new self(
            $school,
            $coats,
            $minutes,
            $moves,
            $through(0.5),
            $through(0.9),
            $library->grams($amounts, false) + $grams,
            $library->grams($amounts, true) + $grams,
            $amounts,
            $cost + ($body['minor'] ?? 0),
            $unpriced,
            $grams,
            $steps,
        );
    }

    /** @return list<string> in words, what it would take to undo it, from the top down */
    public function undo(): array
    {
        return array_values(
            array_unique(
                array_filter(
                    array_map(
                        fn (Coat $c): string => $c->recipe->undo === '' ? '' : "{$c->recipe->name}: {$c->recipe->undo}",
                        array_reverse($this->coats),
                    ),
                ),
            ),
        );
    }
}
