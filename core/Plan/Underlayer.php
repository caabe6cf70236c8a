<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\FollowWindow;
use IdleRidge\Core\Cure\Milestone;

/** What a move goes over, laid already or itself a move; what that must have reached first, or the window it has to meet. */
final readonly class Underlayer
{
    public function __construct(public Move|CoatApplication $under, public Milestone $milestone, public ?FollowWindow $window = null)
    {
    }

    /** @return array{figures: \IdleRidge\Core\Cure\CureFigures, mm: float} */
    public function cure(): array
    {
        return $this->under instanceof CoatApplication
            ? ['figures' => $this->under->recipe->cure, 'mm' => $this->under->mm]
            : ['figures' => $this->under->recipe->cure, 'mm' => $this->under->coat->mm];
    }
}
