<?php

declare(strict_types=1);

namespace IdleRidge\Core\Planting;

/** What grows and what stands along lines, of a whole layout. */
final readonly class Growth
{
    /**
     * @param  list<Stand>  $stands
     * @param  list<Row>  $rows
     */
    public function __construct(public array $stands = [], public array $rows = [])
    {
    }

    /** @return list<Stand> of a board */
    public function standsOn(string $section): array
    {
        return array_values(array_filter($this->stands, fn (Stand $s): bool => $s->section === $section));
    }

    public function row(string $uid): ?Row
    {
        return array_values(array_filter($this->rows, fn (Row $r): bool => $r->uid === $uid))[0] ?? null;
    }

    public function stand(string $uid): ?Stand
    {
        return array_values(array_filter($this->stands, fn (Stand $s): bool => $s->uid === $uid))[0] ?? null;
    }
}
