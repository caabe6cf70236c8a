<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cuts;

use IdleRidge\Core\Cure\Climate;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * A strip of material that bridges a gap, laid on at its ends or arched between them: what a hand on its middle and what lies on it
 * make it bend, how near it comes to breaking, and what the air does to its length. Lengths in mm, forces in N.
 *
 * Flat it is a beam on two supports with its shear (S. Timoshenko, Strength of Materials I, 1955, §§ 20, 39). Arched it is a parabola
 * hinged at both feet, whose thrust takes most of the bending: under a load P at the crown H = 25/128 · P·L/f, under a load w of
 * every millimetre H = w·L²/8f, both over 1 + β for what the thrust shortens, β = 15/8 · I/(A·f²) (S. Timoshenko and D. Young,
 * Theory of Structures, 1965, ch. 9). With no rise β grows past all bounds and the arch is the beam.
 */
final readonly class Span
{
    public const MIN_SPAN_MM = 10.0;

    public const MAX_SPAN_MM = 5000.0;

    /** It may bend by this share of its span under a hand: more shows, and scenery cracks. */
    public const MAX_BEND = 1.0 / 250.0;

    /** Foam that bears more than this share of what breaks it goes on sinking for months. */
    public const MAX_LOAD = 0.25;

    public const NEWTON_PER_KG = 9.81;

    /** Of a rectangular section's area, that bears shear. */
    private const SHEAR_SHARE = 5.0 / 6.0;

    private const MAX_THICK_MM = 400.0;

    /**
     * @param  float  $rise of an arch over its feet; 0 for a flat strip
     * @param  float  $hand what leans on its middle, kg
     * @param  float  $bears what lies on it, kg/m²
     *
     * @throws InvalidValue naming the field
     */
    public function __construct(
        public SpanMaterial $material,
        public float $length,
        public float $width,
        public float $thick,
        public float $rise = 0.0,
        public float $hand = 3.0,
        public float $bears = 6.0,
    ) {
        InvalidValue::unlessBetween($length, self::MIN_SPAN_MM, self::MAX_SPAN_MM, 'The span', 'mm', 'span');
        InvalidValue::unlessBetween($width, 5.0, 5000.0, 'The width', 'mm', 'wide');
        InvalidValue::unlessBetween($thick, 0.5, self::MAX_THICK_MM, 'The thickness', 'mm', 'thick');
        InvalidValue::unlessBetween($rise, 0.0, $length / 2.0, 'The rise of an arch', 'mm', 'rise');
        InvalidValue::unlessBetween($hand, 0.0, 100.0, 'What leans on it', 'kg', 'hand');
        InvalidValue::unlessBetween($bears, 0.0, 200.0, 'What lies on it', 'kg/m²', 'bears');
    }

    /** How far the middle goes down under the hand, mm. */
    public function bendsByHand(): float
    {
        $force = $this->hand * self::NEWTON_PER_KG;
        $cube = $force * $this->length ** 3 / $this->flexural();

        return $cube * (1.0 / 48.0 - (25.0 / 128.0) * (40.0 / 384.0) * $this->arched()) +
            $force * $this->length / (4.0 * $this->shears()) * $this->flat();
    }

    /** How far the middle goes down under itself and what lies on it, mm. */
    public function bendsByItself(): float
    {
        $load = $this->lies();

        return (5.0 / 384.0 * $load * $this->length ** 4 / $this->flexural() + $load * $this->length ** 2 / (8.0 * $this->shears())) *
            $this->flat();
    }

    /** What bending and thrust take of what breaks it, hand and load together; 1 breaks it. */
    public function load(): float
    {
        [$force, $load] = [$this->hand * self::NEWTON_PER_KG, $this->lies()];
        $moment = $force * $this->length * (1.0 / 4.0 - 25.0 / 128.0 * $this->arched()) + $load * $this->length ** 2 / 8.0 * $this->flat();
        $stress = 6.0 * $moment / ($this->width * $this->thick ** 2) + $this->thrust() / ($this->width * $this->thick);

        return $stress / $this->material->strength();
    }

    /** What an arch pushes its feet apart with, N. */
    public function thrust(): float
    {
        return $this->rise <= 0.0
            ? 0.0
            : (25.0 / 128.0 * $this->hand * self::NEWTON_PER_KG + $this->lies() * $this->length / 8.0) *
                $this->length / $this->rise * $this->arched();
    }

    public function holds(): bool
    {
        return $this->bendsByHand() <= self::MAX_BEND * $this->length && $this->load() <= self::MAX_LOAD;
    }

    /** The same, as thick as it has to be to hold, to the next half millimetre; null where nothing that is sold does. */
    public function thickEnough(): ?float
    {
        $low = 0;
        $high = (int) (2.0 * self::MAX_THICK_MM);
        if (! $this->of($high / 2.0)->holds()) {
            return null;
        }
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $this->of($middle / 2.0)->holds() ? [$low, $middle] : [$middle, $high];
        }

        return $high / 2.0;
    }

    /**
     * What its length changes by between those of some airs that are furthest apart for it, mm.
     *
     * @param  list<Climate>  $airs
     */
    public function moves(array $airs): float
    {
        $grown = array_map(
            fn (Climate $air): float => $this->material->growsPerPercent() * $air->humidity +
                $this->material->growsPerKelvin() * $air->temperature,
            $airs,
        );

        return $grown === [] ? 0.0 : (max($grown) - min($grown)) * $this->length / 1000.0;
    }

    /**
     * How far up a flat strip goes that would grow by so much between ends that do not give way, mm: it is pressed together until it
     * buckles, at a strain of π²·I/(A·L²), and the rest of the growth goes into half a sine (S. Timoshenko and J. Gere, Theory of
     * Elastic Stability, 1961, §§ 2.1, 2.7).
     */
    public function bows(float $growth): float
    {
        $pressed = M_PI ** 2 * $this->thick ** 2 / 12.0 / $this->length;

        return 2.0 / M_PI * sqrt($this->length * max(0.0, $growth - $pressed));
    }

    /** What it presses on such ends with until then, N. */
    public function presses(float $growth): float
    {
        return $this->material->stiffness() * $this->width * $this->thick * max(0.0, $growth) / $this->length;
    }

    private function of(float $thick): self
    {
        return new self($this->material, $this->length, $this->width, max(0.5, $thick), $this->rise, $this->hand, $this->bears);
    }

    /** E·I, N·mm². */
    private function flexural(): float
    {
        return $this->material->stiffness() * $this->width * $this->thick ** 3 / 12.0;
    }

    /** κ·G·A, N. */
    private function shears(): float
    {
        return self::SHEAR_SHARE * $this->material->shear() * $this->width * $this->thick;
    }

    /** N/mm */
    private function lies(): float
    {
        return self::NEWTON_PER_KG * $this->width * ($this->bears * 1e-6 + $this->thick * $this->material->density() * 1e-9);
    }

    /** 1/(1 + β): what of the full thrust there is; none in a flat strip. */
    private function arched(): float
    {
        return $this->rise <= 0.0 ? 0.0 : 1.0 / (1.0 + 15.0 / 8.0 * ($this->thick / $this->rise) ** 2 / 12.0);
    }

    private function flat(): float
    {
        return 1.0 - $this->arched();
    }
}
