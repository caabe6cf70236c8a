<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

/** How the land is made: of foam layers cut away from too much, built out from too little or both; or as a shell over ribs. */
enum CutSchool: string
{
    case Carved = 'carved';
    case Fill = 'fill';
    case Balanced = 'balanced';
    case Web = 'web';
    case Towel = 'towel';

    /** The level, from a layer's bottom, at which its outline follows the land; 0 … 1 of its thickness. */
    public function share(): float
    {
        return match ($this) {
            self::Fill => 1.0,
            self::Balanced => 0.5,
            default => 0.0,
        };
    }

    /** Whether it is a stack of layers; otherwise it is a shell. */
    public function isFoam(): bool
    {
        return $this !== self::Web && $this !== self::Towel;
    }

    public function words(): string
    {
        return match ($this) {
            self::Carved => 'cut away to shape',
            self::Fill => 'filled out to shape',
            self::Balanced => 'cut and filled to shape',
            self::Web => 'plaster cloth over card strips',
            self::Towel => 'towels dipped in plaster',
        };
    }

    /** @return list<self> those of layers */
    public static function foams(): array
    {
        return [self::Carved, self::Fill, self::Balanced];
    }
}
