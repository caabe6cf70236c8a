<?php

declare(strict_types=1);

namespace App\Models;

/** What a device may do here. */
enum Role: string
{
    /** Everything that can be done at the bench. */
    case Builder = 'builder';

    /** Look, as on a club evening or at a show. */
    case Guest = 'guest';
}
