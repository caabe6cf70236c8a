<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;

/**
 * One thing that hands do within a coat: what goes on in it, how it follows the step before, minutes to set up and minutes a dm².
 * With `patch` it is worked together with the next a hand's breadth at a time, and its open time does not limit the strip.
 */
final readonly class Step
{
    /** What a hand covers without moving on, dm²: nothing is worked in a smaller patch. A starting value. */
    public const HAND_DM2 = 0.5;

    /**
     * @param  string  $action what one does, in words of the bench
     * @param  list<Ingredient>  $parts
     * @param  list<string>  $tools
     * @param  list<array{do: string, why: string}>  $cautions of this step; those of the whole coat stand with its recipe
     *
     * @throws InvalidValue
     */
    public function __construct(
        public StepKind $kind,
        public string $action,
        public StepRelation $after = StepRelation::AtOnce,
        public array $parts = [],
        public float $setUp = 0.0,
        public float $perDm2 = 0.0,
        public bool $patch = false,
        public array $tools = [],
        public array $cautions = [],
    ) {
        if (trim($action) === '') {
            throw new InvalidValue('a step says what one does', 'do');
        }
        InvalidValue::unlessBetween($setUp, 0.0, 240.0, 'Setting up', 'min', 'setup_min');
        InvalidValue::unlessBetween($perDm2, 0.0, 120.0, 'The work', 'min/dm²', 'minutes_per_dm2');
    }

    /** Whether it wets what is there, so that the next can go into it. */
    public function wets(): bool
    {
        return in_array($this->kind, [StepKind::Bed, StepKind::Wetting, StepKind::Glue, StepKind::Fixing], true);
    }
}
