<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Ingredient;
use IdleRidge\Core\Coats\Material;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\MaterialForm;
use IdleRidge\Core\Coats\Mix;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\Step;
use IdleRidge\Core\Cure\Mechanism;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\Move;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\Store;

/**
 * What an application takes, by the cup: what is written as one part of a recipe is mixed together; what sets with water goes into
 * one cup with all that is measured in its step. What is counted, cut or unrolled needs no cup.
 */
final readonly class Mixtures
{
    /** Nothing is used up in no time at all. */
    private const LEAST_MINUTES = 0.01;

    /** @param  array<string, Material>  $materials by name */
    public function __construct(private array $materials)
    {
    }

    /** @return list<Mixture> */
    public function ofMove(BenchWork $work, Move $move): array
    {
        return $this->of(
            $move->recipe,
            $move->amounts,
            [$move->id],
            (float) $move->minutes,
            $move->area / 1e4 * $move->recipe->layers($move->coat->mm),
            $this->workable($work, $move),
            $move->coat->colour,
        );
    }

    /** @return list<Mixture> of what was begun */
    public function ofLaid(BenchWork $work, CoatApplication $laid): array
    {
        $coats = array_column($work->project->works->coats, 'colour', 'uid');
        $known = isset($laid->recipe->cure->minutes[Milestone::WorkableUntil->value]);

        return $this->of(
            $laid->recipe,
            $laid->amounts,
            ["{$laid->coat}.{$laid->pass}"],
            (float) $laid->minutes,
            $laid->area / 1e4 * $laid->recipe->layers($laid->mm),
            $known
                ? $work->dryingOf($laid)->least($laid->recipe->cure, Milestone::WorkableUntil, $laid->mm, 1.0 - $work->certainty())
                : null,
            $coats[$laid->coat] ?? null,
        );
    }

    /**
     * @param  list<MaterialAmount>  $amounts as the recipe tells them, in its order
     * @param  list<string>  $moves
     * @param  float  $minutes of all of it
     * @param  float  $layers dm² × layers
     * @param  float|null  $workable in the room's air, min
     * @return list<Mixture>
     */
    public function of(
        Recipe $recipe,
        array $amounts,
        array $moves = [],
        float $minutes = 0.0,
        float $layers = 0.0,
        ?float $workable = null,
        ?string $colour = null,
    ): array {
        $known = $recipe->cure->minutes[Milestone::WorkableUntil->value] ?? null;
        $out = [];
        foreach ($this->cups($recipe, $amounts) as [$step, $parts, $portions]) {
            $kind = $this->kind($recipe, $portions);
            $over = $step === null || $step->perDm2 <= 0.0
                ? max(self::LEAST_MINUTES, $minutes - $recipe->labour->setUp)
                : max(self::LEAST_MINUTES, $step->perDm2 * $layers);
            $portions = $this->inOrder($kind, $portions);
            $tint = $colour !== null && self::isPaint($portions) ? $colour : null;
            $out[] = new Mixture(
                $this->key($recipe, $kind, $portions, $tint),
                $this->title($kind, $parts, $portions),
                $step->action ?? $recipe->action,
                $kind,
                $portions,
                $moves,
                $over,
                $kind->sets() ? $workable : null,
                $workable === null || $known === null || $known <= 0.0 ? 1.0 : $workable / $known,
                $parts[0]->bulk,
                $tint,
            );
        }

        return $out;
    }

    /**
     * @param  list<MaterialAmount>  $amounts
     * @return list<array{Step|null, non-empty-list<Ingredient>, non-empty-list<Portion>}>
     */
    private function cups(Recipe $recipe, array $amounts): array
    {
        $steps = $recipe->steps === [] ? [[null, $recipe->parts]] : array_map(fn (Step $s): array => [$s, $s->parts], $recipe->steps);
        $cups = [];
        $next = 0;
        foreach ($steps as [$step, $parts]) {
            $together = null;
            $setsHere = array_filter($parts, fn (Ingredient $p): bool => $this->setting($p)) !== [];
            foreach ($parts as $part) {
                $portions = [];
                foreach (array_slice($amounts, $next, count($part->of)) as $one) {
                    if (in_array($one->unit, ['g', 'ml'], true) && $one->amount > 0.0) {
                        $known = $this->materials[$one->material] ?? null;
                        $portions[] = Portion::of($known, $one->material, $one->atHand(), $one->unit, $one->amount);
                    }
                }
                $next += count($part->of);
                if ($portions === []) {
                    continue;
                }
                if ($setsHere && $together !== null) {
                    [$of, $mixed, $more] = $cups[$together];
                    $cups[$together] = [$of, [...$mixed, $part], [...$more, ...$portions]];
                } else {
                    $together = $setsHere ? count($cups) : null;
                    $cups[] = [$step, [$part], $portions];
                }
            }
        }

        return $cups;
    }

    private function setting(Ingredient $part): bool
    {
        return array_filter($part->of, fn (array $one): bool => $this->is($one['material'], MaterialForm::Sets)) !== [];
    }

    /** @param  list<Portion>  $portions */
    private function kind(Recipe $recipe, array $portions): PotKind
    {
        $all = fn (MaterialForm $form): bool => array_filter($portions, fn (Portion $p): bool => ! $this->is($p->material, $form)) === [];

        return match (true) {
            array_filter($portions, fn (Portion $p): bool => $this->is($p->material, MaterialForm::Sets)) !== [] => PotKind::Sets,
            $recipe->cure->mechanism === Mechanism::TwoPart && count($portions) > 1 => PotKind::TwoPart,
            $all(MaterialForm::Loose) => PotKind::Dry,
            $all(MaterialForm::AsSold) => PotKind::AsSold,
            default => PotKind::Keeps,
        };
    }

    private function is(string $material, MaterialForm $form): bool
    {
        return ($this->materials[$material] ?? null)?->form === $form;
    }

    /**
     * Powder is strewn into water; alcohol is poured last and closed at once; the rest as the recipe has it.
     *
     * @param  non-empty-list<Portion>  $portions
     * @return non-empty-list<Portion>
     */
    private function inOrder(PotKind $kind, array $portions): array
    {
        $rank = fn (Portion $p): int => match (true) {
            $p->isAlcohol() => 2,
            $kind === PotKind::Sets => $p->isWater() ? 0 : 1,
            default => 1,
        };
        $hasAlcohol = array_filter($portions, fn (Portion $p): bool => $p->isAlcohol()) !== [];
        if ($kind === PotKind::Sets || $hasAlcohol) {
            usort($portions, fn (Portion $a, Portion $b): int => $rank($a) <=> $rank($b));
        }

        return $portions;
    }

    /** @param  list<Portion>  $portions */
    private function key(Recipe $recipe, PotKind $kind, array $portions, ?string $colour): string
    {
        $sum = array_sum(array_map(fn (Portion $p): float => $p->amount, $portions));
        $parts = array_map(fn (Portion $p): string => $p->material.' '.round($p->amount / $sum, 3), $portions);

        return implode('|', [$kind->value, ...$parts, ...$kind->sets() ? [$recipe->cure->id] : [], ...$colour === null ? [] : [$colour]]);
    }

    /**
     * @param  non-empty-list<Ingredient>  $parts
     * @param  non-empty-list<Portion>  $portions
     */
    private function title(PotKind $kind, array $parts, array $portions): string
    {
        if ($kind === PotKind::Sets) {
            $powder = array_values(array_filter($portions, fn (Portion $p): bool => ! $p->isWater()))[0] ?? $portions[0];
            $water = array_sum(array_map(fn (Portion $p): float => $p->isWater() ? $p->amount : 0.0, $portions));

            return $powder->material.', '.Decimal::trimmed($water / max(1e-9, $powder->amount), 2).' water to powder';
        }
        $alcohol = array_values(array_filter($portions, fn (Portion $p): bool => $p->isAlcohol()))[0] ?? null;
        if ($alcohol !== null && count($portions) > 1) {
            $sum = array_sum(array_map(fn (Portion $p): float => $p->amount, $portions));

            return 'alcohol '.Decimal::trimmed(Alcohol::strengthOf($alcohol->material) * $alcohol->amount / $sum, 0).' %';
        }

        $of = $parts[0]->of;
        if (count($of) === 2 && $of[1]['material'] === 'water') {
            return $of[0]['material'].' '.Decimal::trimmed($of[0]['parts'], 2).':'.Decimal::trimmed($of[1]['parts'], 2).' with water';
        }

        return Mix::words($of);
    }

    /** The same from what stands on the shelf: alcohol out of a bottle of its strength, else out of the first that is strong enough. */
    public function atHand(Mixture $mixture, Store $store): Mixture
    {
        $alcohol = array_values(array_filter($mixture->portions, fn (Portion $p): bool => $p->isAlcohol()))[0] ?? null;
        foreach ($alcohol === null ? [] : self::bottles($store, $alcohol->material) as $lot) {
            try {
                $density = ($this->materials[$lot->material] ?? null)?->density;
                $strength = $lot->strength ?? Alcohol::strengthOf($lot->material);

                return $mixture->but(portions: Alcohol::from($mixture->portions, $lot->material, $strength, $density));
            } catch (InvalidValue) {
                // Too weak for it.
                continue;
            }
        }

        return $mixture;
    }

    /** @return list<MaterialLot> bottles of alcohol, those of a name first */
    private static function bottles(Store $store, string $material): array
    {
        $others = array_filter(
            $store->materials(),
            fn (MaterialLot $l): bool => $l->material !== $material &&
                Alcohol::strengthOf($l->material) > 0.0 &&
                $store->amount($l->uid) > 0.0,
        );

        return [...$store->lotsOf($material), ...array_values($others)];
    }

    /** @param  list<Portion>  $portions */
    private static function isPaint(array $portions): bool
    {
        return array_filter($portions, fn (Portion $p): bool => str_ends_with($p->material, 'paint')) !== [];
    }

    private function workable(BenchWork $work, Move $move): ?float
    {
        $minutes = $work->workable($move->section, $move->coat, $move->pass);

        return is_finite($minutes) ? $minutes : null;
    }
}
