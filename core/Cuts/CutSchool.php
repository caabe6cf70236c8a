<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

/** How foam layers meet the land: cut away from too much, or filled out from too little. */
enum CutSchool: string
{
    case Carved = 'carved';
    case Fill = 'fill';

    /** The level, from a layer's bottom, at which its outline follows the land; 0 … 1 of its thickness. */
    public function share(): float
    {
        return match ($this) {
            self::Carved => 0.0,
            self::Fill => 1.0,
        };
    }
}
