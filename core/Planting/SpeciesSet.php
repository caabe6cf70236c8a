<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

/** Species that grow together, in their parts, and how they lie to one another: what a stand begins from. */
final readonly class SpeciesSet
{
    /** @param  non-empty-list<Species>  $mix */
    public function __construct(public string $id, public string $name, public StandPattern $pattern, public array $mix)
    {
    }

    /** Spacing that such a stand begins with, in widths of crowns. */
    public function spacing(): float
    {
        return $this->pattern === StandPattern::Orchard ? 1.25 : 0.8;
    }
}
