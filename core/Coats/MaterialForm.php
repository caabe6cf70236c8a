<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

/** What a material is in the hand. */
enum MaterialForm: string
{
    /** Poured, thinned, mixed by parts. */
    case Liquid = 'liquid';

    /** Weighed or spooned dry. */
    case Loose = 'loose';

    /** Powder that sets with water. */
    case Sets = 'sets';

    /** Used from its can, tube or bag. */
    case AsSold = 'as sold';

    /** Counted, cut or unrolled. */
    case Counted = 'counted';
}
