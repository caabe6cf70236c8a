<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Zone;
use WeakMap;

/** What of the work lies where. Works stay as they are, so each is gone through once, when it is first asked. */
final class WorksIndex
{
    /** @var WeakMap<Works, self>|null */
    private static ?WeakMap $known = null;

    /** @var array<string, array<string, Zone>> section uid → uid → zone */
    public readonly array $zones;

    /** @var array<string, list<Coat>> zone uid → its coats in the builder’s order */
    public readonly array $coats;

    /** @var array<string, list<CoatApplication>> "coat/pass" → what was laid of it */
    public readonly array $laid;

    private function __construct(Works $works)
    {
        $zones = $coats = $laid = [];
        foreach ($works->zones as $zone) {
            $zones[$zone->section][$zone->uid] = $zone;
        }
        foreach ($works->coats as $coat) {
            $coats[$coat->zone][] = $coat;
        }
        foreach ($works->laid as $one) {
            $laid["{$one->coat}/{$one->pass}"][] = $one;
        }
        [$this->zones, $this->coats, $this->laid] = [$zones, $coats, $laid];
    }

    public static function of(Works $works): self
    {
        self::$known ??= new WeakMap();

        return self::$known[$works] ??= new self($works);
    }
}
