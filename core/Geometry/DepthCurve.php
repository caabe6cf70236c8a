<?php

declare(strict_types=1);

namespace IdleRidge\Core\Geometry;

/**
 * How much of a body of water lies deeper than a depth under its surface: its area there (mm²) and its volume below (mm³). What lies
 * between two depths follows from differences, so that layers and bands add up to the whole whatever they are cut at.
 */
final readonly class DepthCurve
{
    /** Depths at which it is known, from the surface to the deepest place; between them it goes straight. */
    private const STEPS = 64;

    /**
     * @param  float  $most depth, mm
     * @param  list<float>  $areas at even depths from the surface to the deepest place
     * @param  list<float>  $volumes below those depths
     */
    private function __construct(public float $most, private array $areas, private array $volumes)
    {
    }

    /** @param  list<array{float, float}>  $samples depths over 0, and the plan area that has each, mm and mm² */
    public static function of(array $samples): self
    {
        rsort($samples);
        $most = $samples[0][0] ?? 0.0;
        $areas = $volumes = [];
        $area = $moment = 0.0;
        $k = 0;
        for ($step = self::STEPS; $step >= 0; $step--) {
            $depth = $step === self::STEPS ? $most : ($most * $step) / self::STEPS;
            for (; $k < count($samples) && $samples[$k][0] > $depth; $k++) {
                $area += $samples[$k][1];
                $moment += $samples[$k][0] * $samples[$k][1];
            }
            $areas[$step] = $area;
            $volumes[$step] = $moment - $depth * $area;
        }
        ksort($areas);
        ksort($volumes);

        return new self($most, array_values($areas), array_values($volumes));
    }

    public function isEmpty(): bool
    {
        return $this->areas[0] <= 0.0;
    }

    /** Area of what is deeper than a depth, mm². */
    public function area(float $depth = 0.0): float
    {
        [$k, $t] = $this->at($depth);

        return $this->areas[$k] + $t * ($this->areas[$k + 1] - $this->areas[$k]);
    }

    /** Volume of what lies below a depth, mm³. */
    public function volume(float $depth = 0.0): float
    {
        [$k, $t] = $this->at($depth);

        return $this->volumes[$k] + $t * ($this->volumes[$k + 1] - $this->volumes[$k]);
    }

    /** Volume between two depths, mm³: what is poured from the lower up to the upper. */
    public function between(float $upper, float $lower): float
    {
        return $this->volume($upper) - $this->volume($lower);
    }

    /**
     * The places whose depth lies between two.
     *
     * @return array{area: float, volume: float} mm², and mm³ of the water that stands over them
     */
    public function band(float $from, float $to): array
    {
        $under = fn (float $depth): float => $this->volume($depth) + min($depth, $this->most) * $this->area($depth);

        return ['area' => $this->area($from) - $this->area($to), 'volume' => $under($from) - $under($to)];
    }

    /** The same with its areas so many times as large. */
    public function times(float $factor): self
    {
        $times = fn (float $v): float => $v * $factor;

        return new self($this->most, array_map($times, $this->areas), array_map($times, $this->volumes));
    }

    /** @return array{int, float} step, and the share of the way to the next */
    private function at(float $depth): array
    {
        $place = $this->most <= 0.0 ? 0.0 : max(0.0, min(1.0, $depth / $this->most)) * self::STEPS;
        $k = min(self::STEPS - 1, (int) $place);

        return [$k, $place - $k];
    }
}
