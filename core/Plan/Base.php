<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Coats\Laid;
use IdleRidge\Core\Cure\Milestone;

/** What a move goes over, laid already or itself a move, and what that must have reached first. */
final readonly class Base
{
    public function __construct(public Move|Laid $under, public Milestone $milestone)
    {
    }
}
