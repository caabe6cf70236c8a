<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

/** The part of a row that lies on one board, between two of its stations, mm. */
final readonly class RowPart
{
    public function __construct(public string $section, public float $from, public float $to)
    {
    }

    public function length(): float
    {
        return $this->to - $this->from;
    }
}
