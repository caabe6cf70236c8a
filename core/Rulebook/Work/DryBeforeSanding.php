<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\RecipeTrait;

/** What is to be sanded was worked on before it was dry. */
final class DryBeforeSanding extends LaidTooSoon
{
    public function ids(): array
    {
        return ['dry-before-sanding'];
    }

    protected function isAbout(CoatPair $pair): bool
    {
        return $pair->one->recipe->is(RecipeTrait::Sand);
    }

    protected function wanted(): string
    {
        return 'dry';
    }

    protected function words(): array
    {
        return [
            'Damp plaster clogs the paper and tears; painted damp it flakes.',
            'Let it dry through, sand, and lay the next coat again where it lifts.',
        ];
    }
}
