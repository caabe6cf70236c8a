<?php

declare(strict_types=1);

namespace IdleRidge\Core\Project;

use DateTimeZone;
use IdleRidge\Core\Cuts\CutSettings;
use IdleRidge\Core\Land\GroundProblem;
use IdleRidge\Core\Measure\Day;
use IdleRidge\Core\Measure\InvalidValue;
use IdleRidge\Core\Measure\Scale;
use IdleRidge\Core\Measure\Units;
use IdleRidge\Core\Schedule\BenchRules;

/** What holds for a whole layout. */
final readonly class LayoutSheet
{
    public string $name;

    public Scale $scale;

    public string $region;

    public string $season;

    public LayoutClearance $clearance;

    public CutSettings $cuts;

    public BenchRules $bench;

    /**
     * @param  array<string, string>  $typed field → what the builder typed
     * @param  array<string, mixed>  $extra keys beginning with x_, kept as they came
     * @param  float  $northDeg direction of north on the plan, counter-clockwise from x
     * @param  bool  $feltGrade whether what curves add to a grade is shown
     *
     * @throws InvalidValue naming the field
     */
    public function __construct(
        public string $uid,
        string $name,
        float $ratio,
        public float $gauge,
        public Units $units = Units::Metric,
        public string $zone = 'UTC',
        public string $currency = 'EUR',
        public Viewing $viewing = new Viewing(),
        string $region = '',
        string $season = '',
        ?LayoutClearance $clearance = null,
        public float $faceLimitDeg = 60.0,
        public ?float $bankReach = null,
        public float $tension = GroundProblem::TENSION,
        public float $stiffness = GroundProblem::STIFFNESS,
        ?CutSettings $cuts = null,
        public array $typed = [],
        public array $extra = [],
        public ?string $showOn = null,
        public float $northDeg = 90.0,
        public bool $feltGrade = true,
        ?BenchRules $bench = null,
        public LayoutGrowth $growth = new LayoutGrowth(),
    ) {
        InvalidValue::unlessBetween($northDeg, -360.0, 360.0, 'The direction of north', '°', 'north_deg');
        if ($showOn !== null) {
            Day::of($showOn, 'show_on');
        }
        if (trim($name) === '' || mb_strlen($name) > 80) {
            throw new InvalidValue('A layout needs a name of 1 to 80 characters.', 'name');
        }
        InvalidValue::unlessBetween($gauge, 2.0, 200.0, 'The gauge', 'mm', 'gauge_mm');
        if (! in_array($zone, DateTimeZone::listIdentifiers(), true)) {
            throw new InvalidValue("“{$zone}” is not a time zone; choose one such as Europe/Oslo.", 'zone');
        }
        if (preg_match('/^[A-Z]{3}$/', $currency) !== 1) {
            throw new InvalidValue('A currency is three capital letters, such as EUR.', 'currency');
        }
        foreach (['region' => $region, 'season' => $season] as $field => $text) {
            if (mb_strlen($text) > 120) {
                throw new InvalidValue('At most 120 characters.', $field);
            }
        }
        InvalidValue::unlessBetween($faceLimitDeg, 20.0, 89.0, 'The steepest face', '°', 'face_limit_deg');
        if ($bankReach !== null) {
            InvalidValue::unlessBetween($bankReach, 5.0, 5000.0, 'The width for slopes', 'mm', 'bank_reach_mm');
        }
        InvalidValue::unlessBetween($tension, 0.0, 1.0, 'The tension', '', 'tension');
        InvalidValue::unlessBetween($stiffness, 5.0, 1000.0, 'The stiffness length', 'mm', 'stiffness_mm');
        $this->name = trim($name);
        $this->scale = Scale::oneTo($ratio);
        $this->region = trim($region);
        $this->season = trim($season);
        $this->clearance = $clearance ?? new LayoutClearance;
        $this->cuts = $cuts ?? CutSettings::of();
        $this->bench = $bench ?? new BenchRules();
    }

    /** What of it land can depend on. */
    public function forLand(): self
    {
        return new self(
            $this->uid,
            'Land',
            $this->scale->ratio,
            $this->gauge,
            $this->units,
            clearance: $this->clearance,
            faceLimitDeg: $this->faceLimitDeg,
            bankReach: $this->bankReach,
            tension: $this->tension,
            stiffness: $this->stiffness,
        );
    }

    /**
     * What of it the rows of a layout can depend on.
     *
     * @return array{float, Viewing, LayoutGrowth}
     */
    public function forRows(): array
    {
        return [$this->scale->ratio, $this->viewing, $this->growth];
    }

    /** The same layout with a date on which it is shown, and other rules of planning. */
    public function planned(?string $showOn, BenchRules $bench): self
    {
        return new self(
            $this->uid,
            $this->name,
            $this->scale->ratio,
            $this->gauge,
            $this->units,
            $this->zone,
            $this->currency,
            $this->viewing,
            $this->region,
            $this->season,
            $this->clearance,
            $this->faceLimitDeg,
            $this->bankReach,
            $this->tension,
            $this->stiffness,
            $this->cuts,
            $this->typed,
            $this->extra,
            $showOn,
            $this->northDeg,
            $this->feltGrade,
            $bench,
            $this->growth,
        );
    }
}
