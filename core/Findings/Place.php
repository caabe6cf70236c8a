<?php

declare(strict_types=1);

namespace IdleRidge\Core\Findings;

use IdleRidge\Core\Measure\Side;

/** Where a finding stands: a stretch of a run (stations in mm), or a spot in section coordinates (mm). */
final readonly class Place
{
    private function __construct(
        public ?string $run,
        public ?float $fromMm,
        public ?float $toMm,
        public float $xMm,
        public float $yMm,
        public ?Side $side = null,
        public ?string $zone = null,
    ) {
    }

    /** (x, y) is where a mark goes: the middle of the stretch. */
    public static function onRun(string $run, float $fromMm, float $toMm, float $xMm, float $yMm, ?Side $side = null): self
    {
        return new self($run, $fromMm, $toMm, $xMm, $yMm, $side);
    }

    public static function at(float $xMm, float $yMm): self
    {
        return new self(null, null, null, $xMm, $yMm);
    }

    /** In a zone; (x, y) is a place within it. */
    public static function inZone(string $zone, float $xMm, float $yMm): self
    {
        return new self(null, null, null, $xMm, $yMm, null, $zone);
    }

    /** @return array<string, float|string> */
    public function toArray(): array
    {
        if ($this->run === null) {
            return ['x_mm' => round($this->xMm, 1), 'y_mm' => round($this->yMm, 1)] + ($this->zone === null ? [] : ['zone' => $this->zone]);
        }

        return ['run' => $this->run, 'from_mm' => round((float) $this->fromMm, 1), 'to_mm' => round((float) $this->toMm, 1)]
            + ($this->side === null ? [] : ['side' => $this->side->value]);
    }
}
