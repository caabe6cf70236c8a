<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Geometry\Polygon;

/** What a stack takes: minutes of work, kilograms as it stands, cost in minor units (null where a sheet has no price yet). */
final readonly class FoamWork
{
    /** kg/m³: extruded foam board, and pulp plaster as it sets. Starting values of general trade practice. */
    public const FOAM_KG_PER_M3 = 32.0;

    public const FILLER_KG_PER_M3 = 1100.0;

    /**
     * Minutes: a piece, a metre of its outline, a layer glued, a dm² carved, a dm² filled; of what is both, half is either. Starting
     * values.
     */
    private const MINUTES_PER_PIECE = 5.0;

    private const MINUTES_PER_CUT_METRE = 10.0;

    private const MINUTES_PER_LAYER = 5.0;

    private const MINUTES_PER_CARVED = 8.0;

    private const MINUTES_PER_FILLED = 4.0;

    private function __construct(
        public float $cutting,
        public float $gluing,
        public float $shaping,
        public float $weight,
        public ?float $cost,
    ) {
    }

    /** @param  float  $surface true area of the land that is shaped, mm² */
    public static function of(FoamStack $stack, CutSettings $cuts, float $surface): self
    {
        $outline = 0.0;
        $pieces = 0;
        foreach ($stack->layers as $layer) {
            foreach ($layer->pieces as $piece) {
                $outline += array_sum(array_map(Polygon::perimeter(...), $piece->rings));
                $pieces++;
            }
        }
        $cost = 0.0;
        foreach ($stack->sheets($cuts) as ['thickness' => $thickness, 'count' => $count]) {
            $price = ($cuts->ofThickness($thickness)[0] ?? $cuts->first())->price;
            $cost = $price === null || $cost === null ? null : $cost + $count * $price;
        }

        return new self(
            self::MINUTES_PER_PIECE * $pieces + (self::MINUTES_PER_CUT_METRE * $outline) / 1000.0,
            self::MINUTES_PER_LAYER * count($stack->layers),
            (($surface / 1e4) *
                (self::MINUTES_PER_CARVED * ($stack->carved > 0.0 ? 1.0 : 0.0) +
                    self::MINUTES_PER_FILLED * ($stack->filler > 0.0 ? 1.0 : 0.0))) /
                ($stack->carved > 0.0 && $stack->filler > 0.0 ? 2.0 : 1.0),
            (self::FOAM_KG_PER_M3 * ($stack->foam - $stack->carved) + self::FILLER_KG_PER_M3 * $stack->filler) / 1e9,
            $cost,
        );
    }

    public function minutes(): float
    {
        return $this->cutting + $this->gluing + $this->shaping;
    }
}
