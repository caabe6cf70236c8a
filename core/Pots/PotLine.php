<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

/** One thing that goes into the cup: how much of it, what the scale shows then, and in spoons and parts. */
final readonly class PotLine
{
    /**
     * @param  float|null  $scale g on a scale that was set to nothing with the empty cup; null where a density is not known
     * @param  float|null  $parts of it to one of the least
     */
    public function __construct(public Portion $portion, public ?float $scale, public ?float $parts)
    {
    }
}
