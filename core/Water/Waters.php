<?php

declare(strict_types=1);

namespace IdleRidge\Core\Water;

/** How the waters of a layout are to be made, and its mirrors. */
final readonly class Waters
{
    /**
     * @param  list<WaterPlan>  $plans
     * @param  list<Mirror>  $mirrors
     */
    public function __construct(public array $plans = [], public array $mirrors = [])
    {
    }

    /** What was chosen for a pond or stream. */
    public function planOf(string $water): ?WaterPlan
    {
        return array_values(array_filter($this->plans, fn (WaterPlan $p): bool => $p->water === $water))[0] ?? null;
    }

    public function mirror(string $uid): ?Mirror
    {
        return array_values(array_filter($this->mirrors, fn (Mirror $m): bool => $m->uid === $uid))[0] ?? null;
    }

    /** @return list<Mirror> of a board */
    public function mirrorsOn(string $section): array
    {
        return array_values(array_filter($this->mirrors, fn (Mirror $m): bool => $m->section === $section));
    }
}
