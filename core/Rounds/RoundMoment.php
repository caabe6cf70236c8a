<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rounds;

/** When something has to be looked at. */
enum RoundMoment: string
{
    case BeforeGluing = 'before gluing';
    case AfterGluing = 'after gluing';
    case BeforeNext = 'before going on';
    case BeforeVisit = 'before the visit';
    case BeforeShow = 'before the show';

    /** Its place on a round: what is about to be glued over comes first. */
    public function turn(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
