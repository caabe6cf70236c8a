<?php

declare(strict_types=1);

namespace App\Pages\Water;

use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\SchoolTrial;
use IdleRidge\Core\Plan\TrialStep;
use IdleRidge\Core\Pots\Mixtures;
use IdleRidge\Core\Pots\PotKind;
use IdleRidge\Core\Pots\PotPlan;
use IdleRidge\Core\Water\WaterPlan;

/** The applications of a water in words: every pour by itself, thin coats together; what each takes, its pots, and the wait after it. */
final readonly class WaterSteps
{
    public function __construct(private Library $library)
    {
    }

    /**
     * @return list<array{title: string, deep: string, takes: list<string>, pots: string, hot: bool, minutes: Quantity, from: Quantity,
     *     wait: string}>
     */
    public function of(BenchWork $work, SchoolTrial $trial, WaterPlan $plan): array
    {
        $rows = [];
        $steps = $trial->steps;
        for ($k = 0; $k < count($steps); $k++) {
            $step = $steps[$k];
            $recipe = $step->coat->recipeOf($step->application);
            $count = 1;
            while (! $this->isPour($recipe) && isset($steps[$k + 1]) && $steps[$k + 1]->coat === $step->coat) {
                $k++;
                $count++;
            }
            $rows[] = $this->row($work, $step, $recipe, $count, $steps[$k], $steps[$k + 1] ?? null, $plan);
        }

        return $rows;
    }

    /**
     * @return array{title: string, deep: string, takes: list<string>, pots: string, hot: bool, minutes: Quantity, from: Quantity,
     *     wait: string}
     */
    private function row(
        BenchWork $work,
        TrialStep $step,
        Recipe $recipe,
        int $count,
        TrialStep $last,
        ?TrialStep $next,
        WaterPlan $plan,
    ): array {
        $minutes = array_sum(array_map(fn ($move): int => $move->minutes, $step->moves));
        $title = $step->coat->title();
        if ($this->isPour($recipe)) {
            $title = "Pour {$step->application} of {$step->coat->passes}";
        } elseif ($count > 1) {
            $title .= ", {$count} coats";
        }
        ['words' => $pots, 'hot' => $hot] = $this->pots($work, $step, $plan);

        return [
            'title' => $title,
            'deep' => $this->deep($step, $recipe),
            'takes' => array_map($this->amount(...), $step->amounts),
            'pots' => $count > 1 ? 'each; '.Format::text($count * $step->total('ml'), 'ml').' in all' : $pots,
            'hot' => $hot,
            'minutes' => new Quantity((float) $minutes, 'min', 'rate of the recipe for its area, and what it takes to begin', decimals: 0),
            'from' => new Quantity(
                $step->from / 1440.0,
                'd',
                'as soon as what lies below allows, in this room',
                ['as surely as' => Decimal::trimmed(100.0 * $work->certainty(), 0).' %'],
                'starting value',
                1,
            ),
            'wait' => $next === null ? '' : $this->wait($recipe, $step, $last, $next, $count),
        ];
    }

    private function isPour(Recipe $recipe): bool
    {
        return $recipe->is(RecipeTrait::Pour);
    }

    private function deep(TrialStep $step, Recipe $recipe): string
    {
        if (! $this->isPour($recipe) || $recipe->pour === null) {
            return '';
        }
        $mm = $step->coat->mm;
        $poured = $recipe->pour->poured($mm);

        return $recipe->pour->loss > 0.0 ? Format::length($poured, 1).', dries to '.Format::length($mm, 1) : Format::length($mm, 1);
    }

    private function amount(MaterialAmount $amount): string
    {
        $grams = $this->library->materials[$amount->material]?->grams($amount->amount, $amount->unit, false);
        $words = Format::text($amount->amount, $amount->unit, $amount->amount < 10.0 ? 2 : 0)." {$amount->material}";

        return $amount->unit === 'g' || $amount->unit === 'm²' || $grams === null
            ? $words
            : $words.', '.Format::text($grams, 'g', $grams < 10.0 ? 1 : 0);
    }

    /** @return array{words: string, hot: bool} pots of two parts: how many, how large, how long each can be poured */
    private function pots(BenchWork $work, TrialStep $step, WaterPlan $plan): array
    {
        foreach ($step->moves as $move) {
            foreach ((new Mixtures($this->library->materials))->ofMove($work, $move) as $mixture) {
                if ($mixture->kind !== PotKind::TwoPart) {
                    continue;
                }
                [$grams, $volume] = [(float) $mixture->grams(), (float) $mixture->volume()];
                $cup = $plan->potG === null || $grams <= 0.0
                    ? null
                    : max(PotPlan::MIN_CUP_ML, (($plan->potG / $grams) * $volume) / PotPlan::FILL);
                $pots = PotPlan::of($mixture, $cup);
                $each = (float) $pots->pot()->grams();
                $within = (int) round((float) $pots->useWithin());

                return [
                    'words' => ($pots->count === 1 ? '1 pot' : "{$pots->count} pots").' of '.Format::text($each, 'g')
                        .", {$within} min each".($pots->count > 1 ? '; more at once heats itself' : ''),
                    'hot' => $pots->count > 1,
                ];
            }
        }

        return ['words' => '', 'hot' => false];
    }

    private function wait(Recipe $recipe, TrialStep $step, TrialStep $last, TrialStep $next, int $count): string
    {
        $window = $recipe->window;
        $hours = fn (float $minutes): string => $minutes >= 2880.0
            ? Decimal::trimmed($minutes / 1440.0, 1).' d'
            : Decimal::trimmed($minutes / 60.0, 0).' h';
        if ($next->coat === $step->coat && $window !== null && is_float($window->opens) && is_float($window->closes)) {
            return 'next '.Decimal::trimmed($window->opens / 60.0, 1).' to '.$hours($window->closes).' on, while tacky; or after '
                .$hours($next->from - $last->to).', scuffed';
        }
        if ($count > 1) {
            return 'one every '.$hours(($last->from - $step->from) / ($count - 1)).', then '.$hours($next->from - $last->to);
        }

        return 'then '.$hours($next->from - $last->to);
    }
}
