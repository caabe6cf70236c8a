<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

/** What a stack takes: minutes of work, kilograms as it stands, cost in minor units (null where a sheet has no price yet). */
final readonly class FoamWork
{
    /** kg/m³: extruded foam board, and lightweight filler as it sets. Starting values of general trade practice. */
    public const FOAM = 32.0;

    public const FILLER = 900.0;

    /** Minutes: a metre of outline, a layer glued, a litre carved, a litre filled. Starting values. */
    private const METRE = 2.0;

    private const LAYER = 5.0;

    private const CARVED = 12.0;

    private const FILLED = 18.0;

    private function __construct(public float $cutting, public float $gluing, public float $shaping, public float $weight, public ?float $cost)
    {
    }

    public static function of(FoamStack $stack, CutSettings $cuts): self
    {
        $outline = 0.0;
        foreach ($stack->layers as $layer) {
            foreach ($layer->pieces as $piece) {
                foreach ($piece->rings as $ring) {
                    foreach ($ring as $k => [$x, $y]) {
                        $next = $ring[($k + 1) % count($ring)];
                        $outline += hypot($next[0] - $x, $next[1] - $y);
                    }
                }
            }
        }
        $cost = 0.0;
        foreach ($stack->sheets($cuts) as ['thickness' => $thickness, 'count' => $count]) {
            $price = ($cuts->ofThickness($thickness)[0] ?? $cuts->first())->price;
            $cost = $price === null || $cost === null ? null : $cost + $count * $price;
        }

        return new self(
            self::METRE * $outline / 1000.0, self::LAYER * count($stack->layers), self::CARVED * $stack->carved / 1e6 + self::FILLED * $stack->filler / 1e6,
            (self::FOAM * ($stack->foam - $stack->carved) + self::FILLER * $stack->filler) / 1e9, $cost,
        );
    }

    public function minutes(): float
    {
        return $this->cutting + $this->gluing + $this->shaping;
    }
}
