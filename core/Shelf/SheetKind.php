<?php

declare(strict_types=1);

namespace IdleRidge\Core\Shelf;

/** Foam as it was bought, or what was left of it. */
enum SheetKind: string
{
    case Sheet = 'sheet';
    case Offcut = 'offcut';
}
