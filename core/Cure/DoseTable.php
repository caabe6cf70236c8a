<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cure;

use IdleRidge\Core\Measure\Sorted;

/**
 * The dose that a mechanism gathers in a room over time: exact, since the air changes only at a few moments of the day. Times
 * are minutes of Unix time, doses minutes at the reference rate.
 */
final class DoseTable
{
    /** Bone-dry air would never cure what lives on moisture; it only takes very long. */
    private const MIN_RATE = 1e-4;

    /** @var list<int> */
    private array $at;

    /** @var list<float> */
    private array $dose = [0.0];

    /** @var list<float> rate from each moment on */
    private array $rate = [];

    /** @var list<float> temperature from each moment on */
    private array $temperature = [];

    /** @param  int  $from  no dose is asked for before */
    public function __construct(private readonly Mechanism $mechanism, private readonly RoomAir $air, int $from)
    {
        $this->at = [$from];
    }

    public function at(float $minute): float
    {
        while ($this->at[count($this->at) - 1] <= $minute) {
            $this->extend();
        }
        $k = Sorted::gap($this->at, $minute);

        return $this->dose[$k] + ($minute - $this->at[$k]) * $this->rate[$k];
    }

    /** When so much is gathered since the table's beginning. */
    public function when(float $dose): float
    {
        while ($this->dose[count($this->dose) - 1] <= $dose) {
            $this->extend();
        }
        $k = Sorted::gap($this->dose, $dose);

        return $this->at[$k] + ($dose - $this->dose[$k]) / $this->rate[$k];
    }

    /** The share of the dose between two moments that was gathered below a temperature, 0 … 1. */
    public function shareBelow(float $temperature, float $from, float $to): float
    {
        $whole = $this->at($to) - $this->at($from);
        $cold = 0.0;
        for ($k = Sorted::gap($this->at, $from); $k < count($this->rate) && $this->at[$k] < $to; $k++) {
            $overlap = min($to, $this->at[$k + 1]) - max($from, $this->at[$k]);
            if ($overlap > 0.0 && $this->temperature[$k] < $temperature) {
                $cold += $overlap * $this->rate[$k];
            }
        }

        return $whole > 0.0 ? $cold / $whole : 0.0;
    }

    private function extend(): void
    {
        $last = count($this->at) - 1;
        $air = $this->air->at($this->at[$last]);
        $next = $this->air->nextChange($this->at[$last]);
        $this->rate[] = max(self::MIN_RATE, $this->mechanism->rate($air));
        $this->temperature[] = $air->temperature;
        $this->dose[] = $this->dose[$last] + ($next - $this->at[$last]) * $this->rate[$last];
        $this->at[] = $next;
    }
}
