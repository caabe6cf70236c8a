<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

/**
 * How far a layout's history went when the page was made that a request comes from, or that goes out now. What was changed
 * after it was not seen there.
 */
final class SeenRevision
{
    /** The id of the last revision seen; null where nobody looked, as from the command line. */
    public ?int $step = null;

    /** @var list<int> revisions that this request itself made */
    public array $own = [];
}
