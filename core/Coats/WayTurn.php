<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;

/** What a way does once the coat has come so far, an application of its own: vacuums, lifts tape, sands, puts more on. */
final readonly class WayTurn
{
    /**
     * @param  list<WayStep>  $steps
     * @param  array{float, float}|null  $window minutes after the end of what it follows, and after its start, between which it is done
     * @param  string|null  $as recipe whose cure and cautions it has
     */
    public function __construct(
        public string $name,
        public string $action,
        public StepRelation $after,
        public array $steps,
        public ?array $window = null,
        public string $missed = '',
        public ?string $as = null,
    ) {
        if (! $after->waits()) {
            throw new InvalidValue('What goes on at once is a step, not a turn.', 'after');
        }
    }
}
