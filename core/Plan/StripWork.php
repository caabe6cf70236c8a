<?php

declare(strict_types=1);

namespace IdleRidge\Core\Plan;

use IdleRidge\Core\Coats\Coat;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Stripping;
use IdleRidge\Core\Cure\Milestone;
use IdleRidge\Core\Measure\InvalidValue;

/** A laid coat taken off before it is: what comes off with it, what that takes, and when the ground is dry. */
final readonly class StripWork
{
    /**
     * @param  list<CoatApplication>  $off of the coat, and of all that lies over it
     * @param  list<string>  $with titles of the coats over it that go too
     */
    private function __construct(
        private BenchWork $work,
        public Coat $coat,
        public array $off,
        public array $with,
        public Stripping $stripping,
    ) {
    }

    /** Null where nothing of it is laid. */
    public static function of(BenchWork $work, Coat $coat): ?self
    {
        $works = $work->project->works;
        $laid = $works->laidFrom($coat->uid);
        if ($laid === []) {
            return null;
        }
        $section = $laid[0]->section;
        $order = $work->order($section);
        $with = [];
        foreach ($works->zonesOf($section) as $zone) {
            $over = $zone->uid === $coat->zone || $work->surveys[$section]->overlap($zone->uid, $coat->zone) !== null;
            foreach ($over ? $works->coatsOf($zone->uid) : [] as $one) {
                if ($one->uid !== $coat->uid && $order->isBefore($coat, $one)) {
                    $with[$one->uid] = $one->title();
                }
            }
        }
        $over = array_values(array_filter($works->laid, fn (CoatApplication $l): bool => isset($with[$l->coat])));
        $off = [...$laid, ...$over];

        return new self(
            $work,
            $coat,
            $off,
            array_values(array_intersect_key($with, array_flip(array_column($over, 'coat')))),
            Stripping::of($off),
        );
    }

    /** Minutes from taking it off until the ground is fit for the next coat; 0 where it comes off dry. */
    public function dryAfter(float $quantile): float
    {
        $drying = $this->work->dryingOf($this->off[0]);
        $from = (float) $this->work->now;

        return $this->stripping->wet
            ? max(0.0, $drying->reached(Stripping::figures(), Milestone::NextCoat, 1.0, $from, $quantile) - $from)
            : 0.0;
    }

    /** @throws InvalidValue while one of them is being laid */
    public function unlessOpen(): void
    {
        foreach ($this->off as $one) {
            if ($one->endedAt === null) {
                throw new InvalidValue("“{$one->title}” is being laid; finish it or stop there first.", 'coat');
            }
        }
    }
}
