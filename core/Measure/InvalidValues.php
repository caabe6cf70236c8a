<?php

declare(strict_types=1);

namespace IdleRidge\Core\Measure;

use DomainException;

/** Several refusals at once, so that a form or a file can show every fault in one go. */
final class InvalidValues extends DomainException
{
    /** @param  non-empty-list<InvalidValue>  $all */
    public function __construct(public readonly array $all)
    {
        parent::__construct(implode("\n", array_map(fn (InvalidValue $r): string => trim($r->place.': '.$r->getMessage(), ': '), $all)));
    }
}
