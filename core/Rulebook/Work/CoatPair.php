<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use WeakMap;

/** Two coats that lie over one another: on one zone, or on two that overlap. */
final readonly class CoatPair
{
    private function __construct(
        private BenchWork $work,
        public string $section,
        public Coat $one,
        public Coat $other,
        public bool $sameZone,
        private int $onePlace,
        private int $otherPlace,
    ) {
    }

    /** @return list<self> both ways round; worked out once for a plan */
    public static function all(BenchPlan $plan): array
    {
        /** @var WeakMap<BenchPlan, list<self>>|null $known */
        static $known = null;
        $known ??= new WeakMap();

        return $known[$plan] ??= self::pairs($plan);
    }

    /** @return list<self> */
    private static function pairs(BenchPlan $plan): array
    {
        $works = $plan->work->project->works;
        $out = [];
        foreach ($plan->work->surveys as $section => $survey) {
            $coats = [];
            foreach ($works->zonesOf((string) $section) as $zone) {
                foreach ($works->coatsOf($zone->uid) as $place => $coat) {
                    $coats[] = [$coat, $place];
                }
            }
            foreach ($coats as [$one, $p]) {
                foreach ($coats as [$other, $q]) {
                    if ($one !== $other && ($one->zone === $other->zone || $survey->overlap($one->zone, $other->zone) !== null)) {
                        $out[] = new self($plan->work, (string) $section, $one, $other, $one->zone === $other->zone, $p, $q);
                    }
                }
            }
        }

        return $out;
    }

    /** Whether the one, which should lie below, is put over the other, or is still to come when the other was begun. */
    public function isUpsideDown(): bool
    {
        return ($this->sameZone && $this->onePlace > $this->otherPlace) ||
            ($this->laid($this->other) !== [] && ! $this->work->surveys[$this->section]->isWhole($this->one, $this->one->passes));
    }

    /** Whether the other is the next coat over the one on its own zone. */
    public function isNext(): bool
    {
        return $this->sameZone && $this->otherPlace === $this->onePlace + 1;
    }

    public function isOver(): bool
    {
        return $this->sameZone
            ? $this->otherPlace > $this->onePlace
            : $this->other->recipe->stage->value > $this->one->recipe->stage->value;
    }

    /** @return list<CoatApplication> */
    public function laid(Coat $coat): array
    {
        return array_values(array_filter($this->work->project->works->laid, fn (CoatApplication $l): bool => $l->coat === $coat->uid));
    }

    /** @param  array<string, Quantity>  $figures */
    public function finding(string $id, Severity $severity, string $subject, array $figures, string $why, string $do): Finding
    {
        return self::at($this->work, $this->section, $this->other->zone, $id, $severity, $subject, $figures, $why, $do);
    }

    /** @param  array<string, Quantity>  $figures */
    public static function on(
        BenchPlan $plan,
        string $section,
        string $zone,
        string $id,
        Severity $severity,
        string $subject,
        array $figures,
        string $why,
        string $do,
    ): Finding {
        return self::at($plan->work, $section, $zone, $id, $severity, $subject, $figures, $why, $do);
    }

    /** @param  array<string, Quantity>  $figures */
    private static function at(
        BenchWork $work,
        string $section,
        string $zone,
        string $id,
        Severity $severity,
        string $subject,
        array $figures,
        string $why,
        string $do,
    ): Finding {
        [$x, $y] = ($work->surveys[$section]->zones[$zone] ?? null)?->middle() ?? [0.0, 0.0];

        return new Finding($id, $severity, $subject, $section, Place::inZone($zone, $x, $y), $figures, $why, $do);
    }
}
