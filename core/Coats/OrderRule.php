<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/**
 * What belongs before what else, where it lies over it or beside it: the plan keeps to it across zones, and the rule book says where
 * it cannot. Within a zone the order is the builder's.
 */
enum OrderRule: string
{
    case Road = 'order-crossing-before-road-before-cover';

    case Run = 'test-run-before-next-stage';

    case Bed = 'order-seal-bed-before-scenery-at-the-bank';

    case Scenery = 'order-scenery-before-final-gloss';

    case Backdrop = 'order-trees-after-backdrop';

    case Wires = 'order-wires-last';

    case Fibre = 'order-short-fibre-before-long';

    /** What is inside a tunnel, and what lies on its lid: told by the zones, not by the recipes. */
    case Lid = 'order-inside-before-lid';

    /**
     * How near the two have to be, mm. Starting values: what runs under a strip, a finger, a bank, a brush held level, a hand that
     * reaches over; 0 for what lies over one another alone.
     */
    public function reachMm(): float
    {
        return match ($this) {
            self::Road => 30.0,
            self::Run => 40.0,
            self::Bed, self::Scenery => 25.0,
            self::Backdrop => 150.0,
            self::Wires => 80.0,
            self::Fibre, self::Lid => 0.0,
        };
    }

    public function isLower(Recipe $recipe): bool
    {
        return match ($this) {
            self::Road => $recipe->stage === Stage::Hard && $recipe->family !== Family::Cover,
            self::Run => $recipe->is(RecipeTrait::Run),
            self::Bed => $recipe->stage === Stage::Water && $recipe->family === Family::Paint,
            self::Scenery => $recipe->stage->value < Stage::Water->value &&
                in_array($recipe->family, [Family::Plaster, Family::Cover, Family::Fibre, Family::Growth], true) &&
                ! $recipe->is(RecipeTrait::Rails, RecipeTrait::Run),
            self::Backdrop => $recipe->is(RecipeTrait::Backdrop),
            self::Wires => $recipe->stage->value < Stage::Lineside->value &&
                $recipe->stage->value >= Stage::Hard->value &&
                ! $recipe->is(RecipeTrait::Wires, RecipeTrait::Backdrop),
            self::Fibre => $recipe->family === Family::Fibre && $recipe->length !== null,
            self::Lid => $recipe->family !== Family::Foam,
        };
    }

    public function isUpper(Recipe $recipe): bool
    {
        return match ($this) {
            self::Road, self::Run => self::isCover($recipe) && $recipe->stage->value >= Stage::Cover->value,
            self::Bed => self::isCover($recipe),
            self::Scenery => $recipe->stage === Stage::Water && in_array($recipe->family, [Family::Gloss, Family::Resin], true),
            self::Backdrop => $recipe->is(RecipeTrait::Trees),
            self::Wires => $recipe->is(RecipeTrait::Wires),
            self::Fibre => $recipe->family === Family::Fibre && $recipe->length !== null,
            self::Lid => $recipe->family !== Family::Foam,
        };
    }

    /** Whether the one belongs before the other, both being what the rule is about. */
    public function puts(Recipe $lower, Recipe $upper): bool
    {
        return $this !== self::Fibre || $lower->length < $upper->length;
    }

    private static function isCover(Recipe $recipe): bool
    {
        return in_array($recipe->family, [Family::Cover, Family::Fibre, Family::Growth], true) &&
            ! $recipe->is(RecipeTrait::Mask, RecipeTrait::Unmask, RecipeTrait::Rails, RecipeTrait::Run);
    }
}
