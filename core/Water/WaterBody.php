<?php

declare(strict_types=1);

namespace IdleRidge\Core\Water;

use IdleRidge\Core\Geometry\DepthCurve;

/** One water on one board: how much it holds and at which depths, what closes it along the edges, and how high it may rise. */
final readonly class WaterBody
{
    /** A margin under this is none: waves of the hand that pours, mm. */
    public const LEAST_MARGIN_MM = 1.0;

    /**
     * @param  float  $level of a pond; of a stream at its lowest on the board
     * @param  float  $shore length of its line against land, mm
     * @param  float  $steeper true area of its bed over plan area
     * @param  array{float, float}  $deepest place
     * @param  Spill|null  $spill where it leaves what holds it; null where nothing but dams does
     * @param  list<Dam>  $dams
     * @param  list<Reach>  $reaches of a stream
     * @param  list<Fall>  $falls of a stream
     */
    public function __construct(
        public string $uid,
        public string $name,
        public bool $isStream,
        public float $level,
        public DepthCurve $curve,
        public float $shore,
        public float $steeper,
        public array $deepest,
        public ?Spill $spill,
        public array $dams,
        public array $reaches = [],
        public array $falls = [],
    ) {
    }

    public function called(): string
    {
        return $this->name !== '' ? $this->name : ($this->isStream ? 'The stream' : 'The water');
    }

    /** How far its water may rise before it runs out, mm; null where only dams hold it; less than 0 where it runs out as it is. */
    public function margin(): ?float
    {
        return $this->spill === null ? null : $this->spill->level - $this->level;
    }

    public function runsOut(): bool
    {
        return $this->margin() !== null && $this->margin() < 0.0;
    }

    /**
     * The bed by depth, in bands of even depth from the shore to the deepest place.
     *
     * @return list<DepthBand>
     */
    public function bands(int $count): array
    {
        $out = [];
        for ($k = 0; $k < $count; $k++) {
            [$from, $to] = [($this->curve->most * $k) / $count, ($this->curve->most * ($k + 1)) / $count];
            $band = $this->curve->band($from, $to);
            $out[] = new DepthBand($from, $to, $band['area'], $band['volume'], $band['area'] * $this->steeper);
        }

        return $out;
    }
}
