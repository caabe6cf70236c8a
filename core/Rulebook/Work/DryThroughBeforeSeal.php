<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\RecipeTrait;

/** What shuts the surface was laid over something that still held water. */
final class DryThroughBeforeSeal extends LaidTooSoon
{
    public function ids(): array
    {
        return ['dry-through-before-seal'];
    }

    protected function isAbout(CoatPair $pair): bool
    {
        return $pair->other->recipe->is(RecipeTrait::Seals);
    }

    protected function wanted(): string
    {
        return 'dry through';
    }

    protected function words(): array
    {
        return [
            'What is shut in cannot leave: it goes mouldy, or clouds the surface for good.',
            'Leave it open and warm; where it stays white, cut it out and lay it again.',
        ];
    }
}
