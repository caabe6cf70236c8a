<?php

declare(strict_types=1);

namespace IdleRidge\Core\Journal;

/** The page beside which a picture is pinned as a reference. */
enum PhotoPin: string
{
    case Land = 'land';
    case Coats = 'coats';
}
