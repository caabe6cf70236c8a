<?php

declare(strict_types=1);

namespace IdleRidge\Core\Rulebook\Work;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\OrderRule;
use IdleRidge\Core\Findings\Finding;
use IdleRidge\Core\Findings\Place;
use IdleRidge\Core\Findings\Severity;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\BenchWork;
use WeakMap;

/** Two coats that lie over one another, on one zone or on two that overlap; or beside one another, where a rule speaks of that. */
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

    /**
     * What is inside a tunnel, and what lies on the land over it: no other rule speaks of them together.
     *
     * @return list<self>
     */
    public static function throughLids(BenchPlan $plan): array
    {
        return self::pairs($plan, true);
    }

    /** @return list<self> */
    private static function pairs(BenchPlan $plan, bool $throughLids = false): array
    {
        $out = [];
        foreach ($plan->work->surveys as $section => $survey) {
            $coats = self::coatsOn($plan->work, (string) $section);
            $zones = $plan->work->project->works->zonesOf((string) $section);
            foreach ($coats as [$one, $p]) {
                foreach ($coats as [$other, $q]) {
                    if ($throughLids !== ($zones[$one->zone]->isInside() !== $zones[$other->zone]->isInside())) {
                        continue;
                    }
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
        return $this->isUnder() ||
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
            : $this->work->order($this->section)->isBefore($this->one, $this->other);
    }

    private function isUnder(): bool
    {
        return $this->sameZone
            ? $this->otherPlace < $this->onePlace
            : $this->work->order($this->section)->isBefore($this->other, $this->one);
    }

    /**
     * Pairs that lie beside one another, and which of them a rule puts first.
     *
     * @return list<self>
     */
    public static function beside(BenchPlan $plan, OrderRule $rule): array
    {
        $out = [];
        foreach ($plan->work->surveys as $section => $survey) {
            $order = $plan->work->order((string) $section);
            $coats = self::coatsOn($plan->work, (string) $section);
            foreach ($coats as [$other, $q]) {
                foreach ($order->ruledBefore($other) as $uid => $by) {
                    [$one, $p] = $coats[$uid];
                    if ($by === $rule && $survey->overlap($one->zone, $other->zone) === null) {
                        $out[] = new self($plan->work, (string) $section, $one, $other, false, $p, $q);
                    }
                }
            }
        }

        return $out;
    }

    /**
     * Pairs of which a rule puts one first, and which cannot be: each would have to wait for the other.
     *
     * @return list<self>
     */
    public static function circles(BenchPlan $plan, OrderRule $rule): array
    {
        $out = [];
        foreach (array_keys($plan->work->surveys) as $section) {
            $coats = self::coatsOn($plan->work, (string) $section);
            foreach ($plan->work->order((string) $section)->circles as [$by, $one, $other]) {
                if ($by === $rule) {
                    $out[] = new self($plan->work, (string) $section, $one, $other, false, $coats[$one->uid][1], $coats[$other->uid][1]);
                }
            }
        }

        return $out;
    }

    /** @return array<string, array{Coat, int}> uid → coat and its place on its zone */
    private static function coatsOn(BenchWork $work, string $section): array
    {
        $out = [];
        foreach ($work->project->works->zonesOf($section) as $zone) {
            foreach ($work->project->works->coatsOf($zone->uid) as $place => $coat) {
                $out[$coat->uid] = [$coat, $place];
            }
        }

        return $out;
    }

    /** @return list<CoatApplication> */
    public function laid(Coat $coat): array
    {
        return $this->work->project->works->laidFrom($coat->uid);
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
