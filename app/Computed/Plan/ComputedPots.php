<?php

declare(strict_types=1);

namespace App\Computed\Plan;

use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Measure\Amount;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Pots\FreePot;
use IdleRidge\Core\Pots\Mixture;
use IdleRidge\Core\Pots\Mixtures;
use IdleRidge\Core\Pots\PotBoard;
use IdleRidge\Core\Pots\PotKind;
use IdleRidge\Core\Pots\PotOffer;

/** Pots of a plan, by what was asked for: a session, a single move, or a recipe that no move asks for. */
final readonly class ComputedPots
{
    /** What is asked for where nothing else is. */
    public const SESSION = ['move' => '', 'recipe' => '', 'by' => 'area', 'value' => null, 'material' => '', 'mix' => ''];

    public function __construct(private Library $library)
    {
    }

    /**
     * What was typed, its value in the unit of what it is for; null for one that cannot be read.
     *
     * @param  array<string, string>  $query move, recipe, by, value, material, mix
     * @return array{move: string, recipe: string, by: string, value: float|null, material: string, mix: string}
     */
    public function read(array $query): array
    {
        $word = fn (string $key, string $otherwise = ''): string => ($query[$key] ?? '') === '' ? $otherwise : $query[$key];
        $unit = match (true) {
            $word('mix') !== '' => 'g',
            $word('by', 'area') === 'area' => 'dm²',
            $word('by') === 'volume' => 'ml',
            default => $this->library->materials[$word('material')]->unit ?? 'g',
        };
        try {
            $value = Amount::knows($unit) ? Amount::parse($word('value'), $unit) : (float) $word('value');
        } catch (InvalidValue) {
            $value = null;
        }

        return [
            'move' => $word('move'),
            'recipe' => $word('recipe'),
            'by' => $word('by', 'area'),
            'value' => $value,
            'material' => $word('material'),
            'mix' => $word('mix'),
        ];
    }

    public function mixtures(): Mixtures
    {
        return new Mixtures($this->library->materials);
    }

    /** How many cups of the session are still to be weighed and mixed, into the cup that is taken usually. */
    public function toMix(BenchPlan $plan): int
    {
        return self::count($this->asked($plan, self::SESSION, $plan->work->rules()->shelf->cup()));
    }

    /** @param  list<PotOffer>  $offers */
    public static function count(array $offers): int
    {
        return (int) array_sum(
            array_map(fn (PotOffer $o): int => $o->mixture->kind === PotKind::AsSold ? 0 : $o->plan->count ?? 0, $offers),
        );
    }

    /**
     * @param  array{move: string, recipe: string, by: string, value: float|null, material: string, mix: string}  $asked empty
     *     words for the session
     * @param  float|null  $cup ml
     * @return list<PotOffer>
     *
     * @throws InvalidValue for what cannot be
     */
    public function asked(BenchPlan $plan, array $asked, ?float $cup): array
    {
        $board = new PotBoard($plan, $this->mixtures(), $cup);
        $store = $plan->work->project->works->store;
        if ($asked['mix'] !== '') {
            $blend = FreePot::blend($this->library->materials, $asked['mix'], $asked['value'] ?? NAN);

            return [PotOffer::of($blend, $store, $plan->work->now, null, $cup)];
        }
        if ($asked['recipe'] !== '') {
            return array_map(
                fn (Mixture $m): PotOffer => PotOffer::of($this->mixtures()->atHand($m, $store), $store, $plan->work->now, null, $cup),
                $this->free($plan, $asked),
            );
        }
        if ($asked['move'] !== '') {
            $move = $plan->work->moves[$asked['move']] ?? null;

            return $move === null
                ? throw new InvalidValue('That move is no longer in the plan.', 'move')
                : $board->move($move);
        }
        $session = $plan->session();

        return $board->session($session === null ? [] : $plan->within(min($plan->work->planFrom(), $session[0]), $session[1]));
    }

    /**
     * @param  array{move: string, recipe: string, by: string, value: float|null, material: string, mix: string}  $asked
     * @return list<Mixture>
     */
    private function free(BenchPlan $plan, array $asked): array
    {
        $recipe = $this->recipes($plan)[$asked['recipe']] ?? throw new InvalidValue('There is no such recipe.', 'recipe');
        $section = $plan->work->project->sections[0] ?? null;
        $known = isset($recipe->cure->minutes[Milestone::WorkableUntil->value]);

        return FreePot::of(
            $this->mixtures(),
            $recipe,
            $asked['by'],
            $asked['value'] ?? NAN,
            $asked['material'],
            $section === null || ! $known
                ? null
                : $plan->work
                    ->drying($section)
                    ->least($recipe->cure, Milestone::WorkableUntil, $recipe->cure->referenceMm, 1.0 - $plan->work->certainty()),
        );
    }

    /** @return array<string, Recipe> by id, as the layout works with them */
    public function recipes(BenchPlan $plan): array
    {
        return $plan->work->project->library($this->library)->recipes;
    }
}
