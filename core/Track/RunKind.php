<?php

declare(strict_types=1);

namespace IdleRidge\Core\Track;

/** What a run is. */
enum RunKind: string
{
    case Track = 'track';
    case Road = 'road';
}
