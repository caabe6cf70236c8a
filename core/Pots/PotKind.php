<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

/**
 * What becomes of a mix in the cup: dry or thinned it keeps when closed, plaster sets, two parts set and heat themselves. What is used
 * as sold needs no cup.
 */
enum PotKind: string
{
    case Dry = 'dry';

    case Keeps = 'keeps';

    case AsSold = 'as sold';

    case Sets = 'sets';

    case TwoPart = 'two parts';

    /** Mixing itself takes so long of what it can be worked, min. Starting values. */
    public function mixingMinutes(): float
    {
        return match ($this) {
            self::Sets => 2.0,
            self::TwoPart => 3.0,
            default => 0.0,
        };
    }

    /** Days that a pot keeps closed; null where it sets, or never spoils. Thinned glue and paint sour. Starting values. */
    public function keepsDays(): ?int
    {
        return $this === self::Keeps ? 14 : null;
    }

    public function sets(): bool
    {
        return $this === self::Sets || $this === self::TwoPart;
    }
}
