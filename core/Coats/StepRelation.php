<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Cure\Milestone;

/** How a step follows the one before it. What goes on at once or into the wet is one application; what waits is one of its own. */
enum StepRelation: string
{
    case AtOnce = 'at once';

    case IntoTheWet = 'into the wet';

    case WhenTacky = 'when tacky';

    case AfterFlash = 'after flash';

    case WhenSet = 'when set';

    case WhenDry = 'when dry';

    case WhenDryThrough = 'when dry through';

    public function waits(): bool
    {
        return $this !== self::AtOnce && $this !== self::IntoTheWet;
    }

    /** What the step before has to have reached; null where nothing is waited for. */
    public function milestone(): ?Milestone
    {
        return match ($this) {
            self::AtOnce, self::IntoTheWet => null,
            self::WhenTacky, self::WhenSet => Milestone::TouchDry,
            self::AfterFlash, self::WhenDry => Milestone::NextCoat,
            self::WhenDryThrough => Milestone::DryThrough,
        };
    }
}
