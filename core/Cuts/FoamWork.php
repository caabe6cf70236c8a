<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Geometry\Polygon;

/** What a stack takes: minutes of work, kilograms as it stands, cost in minor units (null where a sheet has no price yet). */
final readonly class FoamWork
{
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
            FormingMinutes::PER_FOAM_PIECE * $pieces + (FormingMinutes::PER_CUT_METRE * $outline) / 1000.0,
            FormingMinutes::PER_GLUED_LAYER * count($stack->layers),
            (($surface / 1e4) *
                (FormingMinutes::PER_CARVED_DM2 * ($stack->carved > 0.0 ? 1.0 : 0.0) +
                    FormingMinutes::PER_FILLED_DM2 * ($stack->filler > 0.0 ? 1.0 : 0.0))) /
                ($stack->carved > 0.0 && $stack->filler > 0.0 ? 2.0 : 1.0),
            (Densities::FOAM_KG_PER_M3 * ($stack->foam - $stack->carved) + Densities::PLASTER_KG_PER_M3 * $stack->filler) / 1e9,
            $cost,
        );
    }

    public function minutes(): float
    {
        return $this->cutting + $this->gluing + $this->shaping;
    }
}
