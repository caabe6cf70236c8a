<?php

declare(strict_types=1);

namespace App\Pages\Land;

use IdleRidge\Core\Land\Cut;
use IdleRidge\Core\Measure\Format;

/** How a cut line is named: by station on a run, by its x where there is none. */
final class CutWords
{
    public static function at(Cut $cut): string
    {
        return ($cut->run === null ? 'x ' : 'st ').Format::cell($cut->station);
    }
}
