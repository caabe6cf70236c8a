<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * The while in which one coat has to follow another: between two milestones of the lower one, or so many minutes after it,
 * as a hand knows it. `side` says whose coat the window is about: *below* (this recipe goes over such a coat), *above* (such a
 * coat goes over this one) or *self* (one pass over the one before). Once it is missed it may be done from `again` minutes on.
 */
final readonly class FollowWindow
{
    /**
     * @param  string  $coat family or trait of the other coat, or *
     * @param  Milestone|float  $opens minutes after the end of the lower coat
     * @param  Milestone|float  $closes minutes after its start
     *
     * @throws InvalidValue
     */
    public function __construct(
        public string $side,
        public string $coat,
        public Milestone|float $opens,
        public Milestone|float $closes,
        public ?float $again = null,
        public string $missed = '',
    ) {
        if (! in_array($side, ['below', 'above', 'self'], true)) {
            throw new InvalidValue('A window is about the coat below, above, or its own passes.', 'window/side');
        }
        if ($coat !== '*' && Family::tryFrom($coat) === null && RecipeTrait::tryFrom($coat) === null) {
            throw new InvalidValue('What it follows is a family, a trait or *.', 'window/coat');
        }
        if (is_float($opens) !== is_float($closes)) {
            throw new InvalidValue('A window lies between two milestones, or between two times.', 'window/closes');
        }
        if (is_float($opens) && is_float($closes)) {
            InvalidValue::unlessBetween($opens, 0.0, 100_000.0, 'The time at which it opens', 'min', 'window/opens');
            InvalidValue::unlessBetween($closes, 0.1, 100_000.0, 'The time at which it closes', 'min', 'window/closes');
        }
        if (self::rank($closes) <= self::rank($opens)) {
            throw new InvalidValue('A window closes after it opens.', 'window/closes');
        }
        if ($again !== null) {
            InvalidValue::unlessBetween($again, 0.0, 100_000.0, 'The later time', 'min', 'window/again');
        }
    }

    /** Whether it rules one coat over another. */
    public function rules(Recipe $lower, bool $samePass, Recipe $upper): bool
    {
        return match ($this->side) {
            'self' => $samePass,
            'below' => ! $samePass && self::isOf($lower, $this->coat),
            default => ! $samePass && self::isOf($upper, $this->coat),
        };
    }

    private static function isOf(Recipe $recipe, string $coat): bool
    {
        $trait = RecipeTrait::tryFrom($coat);

        return $coat === '*' || $recipe->family->value === $coat || ($trait !== null && $recipe->is($trait));
    }

    private static function rank(Milestone|float $at): float
    {
        return is_float($at) ? $at : (float) array_search($at, Milestone::cases(), true);
    }
}
