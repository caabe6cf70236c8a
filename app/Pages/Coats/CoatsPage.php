<?php

declare(strict_types=1);

namespace App\Pages\Coats;

use IdleRidge\Core\Coats\Zone;
use IdleRidge\Core\Coats\ZoneArea;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\CoatState;
use IdleRidge\Core\Project\Section;

/** The Coats screen of a section, worked out: its zones in order, how each coat stands, what is picked. */
final readonly class CoatsPage
{
    /**
     * @param  array<string, Zone>  $zones
     * @param  array<string, ZoneArea>  $areas
     * @param  array<string, list<CoatState>>  $states zone → its coats as they are laid
     * @param  callable(array<string, string>): string  $address of this screen with a query
     */
    public function __construct(
        public BenchPlan $plan,
        public Section $section,
        public array $zones,
        public array $areas,
        public array $states,
        public ?Zone $zone,
        public ?CoatState $picked,
        public ClockWords $words,
        public float $sheet,
        public mixed $address,
    ) {
    }
}
