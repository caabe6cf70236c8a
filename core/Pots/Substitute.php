<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Coats\RecipeTrait;
use IdleRidge\Core\Coats\Way;
use IdleRidge\Core\Coats\WayRecipe;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Plan\BenchWork;
use IdleRidge\Core\Plan\Move;

/** Another recipe for a coat of which a material is short: whether it does, why not, and what changes in days and amounts. */
final readonly class Substitute
{
    /** Families of which one sees what they are made of. */
    private const LOOKS = [Family::Cover, Family::Fibre, Family::Ballast, Family::Growth];

    /** As loose material is held where its recipe says nothing else. */
    private const USUAL_WAY = 'flooded+water+white';

    /**
     * @param  list<string>  $against why it does not do
     * @param  list<string>  $mind what is to be minded
     * @param  float  $days until the next coat, more than with the old one; less than nothing where it is sooner
     * @param  list<MaterialAmount>  $amounts of what it takes that the old one does not
     */
    private function __construct(
        public Move $move,
        public Recipe $recipe,
        public array $against,
        public array $mind,
        public float $days,
        public array $amounts,
    ) {
    }

    public function fits(): bool
    {
        return $this->against === [];
    }

    /**
     * For the first move of every recipe that takes a material: what does first, the quickest of it first.
     *
     * @return list<self>
     */
    public static function of(BenchWork $work, Library $library, string $material): array
    {
        $out = $seen = [];
        foreach ($work->moves as $move) {
            $act = $move->coat->recipe;
            if (isset($seen[$act->id]) || ! in_array($material, array_column($move->amounts, 'material'), true)) {
                continue;
            }
            $seen[$act->id] = true;
            foreach (self::others($library, $act, $material) as $recipe) {
                $out[] = self::weighed($work, $move, $recipe);
            }
        }
        $rank = fn (self $s): array => [! $s->fits(), $s->days, $s->recipe->name];
        usort($out, fn (self $a, self $b): int => $rank($a) <=> $rank($b));

        return $out;
    }

    /** @return list<Recipe> without the material: held by another glue, or of the same kind */
    private static function others(Library $library, Recipe $old, string $material): array
    {
        $out = [];
        $loose = WayRecipe::isLoose($old);
        $text = $old->way() ?? ($loose ? self::USUAL_WAY : null);
        $way = $text === null ? null : $library->ways->read($text);
        if ($way?->glue?->material === $material) {
            foreach ($library->ways->glues as $glue) {
                $new = new Way($way->order, $way->wetting, $way->strength, $glue, $glue->parts, $glue->water);
                try {
                    $out[] = $library->laid($old->base(), $new->text());
                } catch (InvalidValue) {
                    // Not every glue goes with every order.
                    continue;
                }
            }
        } else {
            foreach ($library->recipes as $id => $recipe) {
                $alike = $recipe->family === $old->family && $recipe->stage === $old->stage && $recipe->bed === $old->bed;
                if ($alike && $id !== $old->base() && WayRecipe::isLoose($recipe) === $loose) {
                    $out[] = $old->way() === null ? $recipe : self::likewise($library, (string) $id, $old->way()) ?? $recipe;
                }
            }
        }

        return array_values(array_filter($out, fn (Recipe $r): bool => ! in_array($material, $r->materials(), true)));
    }

    private static function likewise(Library $library, string $id, string $way): ?Recipe
    {
        try {
            return $library->laid($id, $way);
        } catch (InvalidValue) {
            return null;
        }
    }

    private static function weighed(BenchWork $work, Move $move, Recipe $new): self
    {
        $old = $move->coat->recipe;
        $room = $work->drying($move->section)->room;
        $against = $mind = [];
        $film = $new->cure->filmTemperature;
        $cold = round($work->drying($move->section)->air->coldest(), 1);
        if ($film !== null && $film > $cold) {
            [$film, $coldest] = [Format::text($film, '°C', 1), Format::text($cold, '°C', 1)];
            $against[] = "no film forms under {$film}, and {$room->name} falls to {$coldest}";
        }
        if ($new->is(RecipeTrait::Solvent)) {
            $first = $work->project->works->coatsOf($move->zone->uid)[0] ?? null;
            if ($first?->uid === $move->coat->uid) {
                $against[] = 'its solvent attacks bare foam';
            } else {
                $mind[] = 'its solvent attacks foam that shows';
            }
        }
        if ($new->is(RecipeTrait::Rewets) && ! $old->is(RecipeTrait::Rewets)) {
            $mind[] = 'it softens again when it is wetted';
        }
        if ($new->is(RecipeTrait::Seals) && ! $old->is(RecipeTrait::Seals)) {
            $mind[] = 'it shuts in what is below: that has to be dry through';
        }
        if ($new->base() !== $old->base() && in_array($new->family, self::LOOKS, true)) {
            $mind[] = 'it looks otherwise';
        }
        $next = fn (Recipe $r): float => isset($r->cure->minutes[Milestone::NextCoat->value])
            ? $work->drying($move->section)->reached(
                $r->cure,
                Milestone::NextCoat,
                $r->cure->referenceMm,
                (float) $work->now,
                $work->certainty(),
            )
            : (float) $work->now;
        $mm = $new->cure->referenceMm;
        $amounts = array_values(
            array_filter(
                MaterialAmount::sum($new->amounts($move->area, $move->area * $mm)),
                fn (MaterialAmount $a): bool => ! in_array($a->material, $old->materials(), true) && $a->amount > 0.0,
            ),
        );

        return new self($move, $new, $against, $mind, ($next($new) - $next($old)) / 1440.0, $amounts);
    }

    /** “a day later”, “2.5 days sooner”, “as soon” */
    public function daysWords(): string
    {
        $days = Decimal::trimmed(abs($this->days), 1);

        return match (true) {
            abs($this->days) < 0.05 => 'as soon',
            default => ($days === '1' ? 'a day' : "{$days} days").($this->days > 0.0 ? ' later' : ' sooner'),
        };
    }
}
