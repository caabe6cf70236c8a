<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Track\Vehicle;

/** What runs on a layout, and what has to stay free beside it. */
final readonly class LayoutClearance
{
    public const MAX_VEHICLES = 12;

    public const MAX_MARGIN_MM = 100.0;

    /** @var non-empty-list<Vehicle> */
    public array $vehicles;

    /**
     * @param  list<Vehicle>|null  $vehicles  a coach where none are given
     * @param  float  $margin  mm, to each side and above
     *
     * @throws InvalidValue naming the field
     */
    public function __construct(?array $vehicles = null, public float $margin = 8.0)
    {
        $this->vehicles = self::distinct($vehicles ?? [Vehicle::coach()]);
        InvalidValue::unlessBetween($margin, 0.0, self::MAX_MARGIN_MM, 'The margin', 'mm', 'clearance_margin_mm');
    }

    /** Height of the tallest vehicle over the rails, mm. */
    public function tallest(): float
    {
        return max(array_map(fn (Vehicle $v): float => $v->height, $this->vehicles));
    }

    /**
     * @param  list<Vehicle>  $vehicles
     * @return non-empty-list<Vehicle>
     *
     * @throws InvalidValue
     */
    private static function distinct(array $vehicles): array
    {
        if ($vehicles === []) {
            throw new InvalidValue('A layout needs one vehicle at least: what runs decides what has to clear.', 'vehicles');
        }
        if (count($vehicles) > self::MAX_VEHICLES) {
            throw new InvalidValue('At most 12 vehicles: the ones that need most room are enough.', 'vehicles');
        }
        $names = [];
        foreach ($vehicles as $k => $vehicle) {
            if (isset($names[mb_strtolower($vehicle->name)])) {
                throw new InvalidValue("Two vehicles are called “{$vehicle->name}”.", "vehicles/{$k}/name");
            }
            $names[mb_strtolower($vehicle->name)] = true;
        }

        return $vehicles;
    }
}
