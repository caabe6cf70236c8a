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

    /** @var array<string, list<CoatApplication>> section uid → what was laid on it */
    public readonly array $laidOn;

    /** @var array<string, list<CoatApplication>> zone uid → what was laid in it */
    public readonly array $laidIn;

    /** @var array<string, list<CoatApplication>> coat uid → what was laid of it */
    public readonly array $laidFrom;

    private function __construct(Works $works)
    {
        $zones = $coats = $laid = $on = $in = $from = [];
        foreach ($works->zones as $zone) {
            $zones[$zone->section][$zone->uid] = $zone;
        }
        foreach ($works->coats as $coat) {
            $coats[$coat->zone][] = $coat;
        }
        foreach ($works->laid as $one) {
            $laid["{$one->coat}/{$one->pass}"][] = $on[$one->section][] = $in[$one->zone][] = $from[$one->coat][] = $one;
        }
        [$this->zones, $this->coats, $this->laid] = [$zones, $coats, $laid];
        [$this->laidOn, $this->laidIn, $this->laidFrom] = [$on, $in, $from];
    }

    public static function of(Works $works): self
    {
        self::$known ??= new WeakMap();

        return self::$known[$works] ??= new self($works);
    }
}
