<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cure;

use DateTimeZone;

/**
 * When what is laid in a room reaches its milestones, the air of day and night gone through: minutes of Unix time. One for a
 * room; recipes share its tables.
 */
final class Drying
{
    /** More of the dose before touch-dry than this below the film-forming temperature spoils the coat. */
    private const SPOILING_SHARE = 0.1;

    /** @var array<string, DoseTable> */
    private array $tables = [];

    /** @param  int  $from  nothing was laid before */
    public function __construct(public readonly Room $room, private readonly DateTimeZone $zone, private readonly int $from)
    {
    }

    /**
     * When a coat that was finished at `$end` has reached a milestone, with a certainty of `$quantile`. Seen still wet at
     * `$wetAt`, its factor is more than what had been gathered by then: the quantile is taken of what is left.
     */
    public function reached(CureFigures $figures, Milestone $milestone, float $mm, float $end, float $quantile, ?float $wetAt = null): float
    {
        $factor = CureClock::factor($quantile);
        if ($wetAt !== null && $wetAt > $end) {
            $factor = CureClock::factorBeyond($quantile, $this->factorAt($figures, $milestone, $mm, $end, $wetAt));
        }

        return $this->reachedAt($figures, $milestone, $mm, $end, $factor);
    }

    /** No wait for a milestone can be shorter: each part of the dose at the faster of the room's two rates; minutes. */
    public function least(CureFigures $figures, Milestone $milestone, float $mm, float $quantile): float
    {
        [$first, $then] = $this->doses($figures, $milestone, $mm);
        $best = fn (Mechanism $mechanism): float => max(1e-4, $mechanism->rate($this->room->day), $mechanism->rate($this->room->night));

        return ($first / $best($figures->mechanism) + $then / $best(Mechanism::Evaporation)) * CureClock::factor($quantile);
    }

    /** Whether this air, from `$end` on, keeps a film from forming. */
    public function spoils(CureFigures $figures, float $mm, float $end): bool
    {
        return $this->coldShare($figures, $mm, $end) > self::SPOILING_SHARE;
    }

    /** The share of the dose up to touch-dry that is gathered below the film-forming temperature. */
    public function coldShare(CureFigures $figures, float $mm, float $end): float
    {
        if ($figures->filmTemperature === null) {
            return 0.0;
        }
        $dry = $this->reachedAt($figures, isset($figures->minutes['touch_dry']) ? Milestone::TouchDry : Milestone::NextCoat, $mm, $end, 1.0);

        return $this->table($figures->mechanism)->shareBelow($figures->filmTemperature, $end, $dry);
    }

    private function reachedAt(CureFigures $figures, Milestone $milestone, float $mm, float $end, float $factor): float
    {
        [$first, $then] = $this->doses($figures, $milestone, $mm);
        $table = $this->table($figures->mechanism);
        $set = $table->when($table->at($end) + $first * $factor);
        if ($then <= 0.0) {
            return $set;
        }
        $drying = $this->table(Mechanism::Evaporation);

        return $drying->when($drying->at($set) + $then * $factor);
    }

    /** The factor that would have put the milestone exactly at a moment. */
    private function factorAt(CureFigures $figures, Milestone $milestone, float $mm, float $end, float $moment): float
    {
        $low = 0.01;
        $high = 100.0;
        for ($k = 0; $k < 60; $k++) {
            $middle = sqrt($low * $high);
            if ($this->reachedAt($figures, $milestone, $mm, $end, $middle) < $moment) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return sqrt($low * $high);
    }

    /** @return array{float, float} dose by the mechanism itself, and by evaporation after it */
    private function doses(CureFigures $figures, Milestone $milestone, float $mm): array
    {
        $time = $figures->minutes[$milestone->value] ?? 0.0;
        if ($milestone === Milestone::WorkableUntil || $milestone === Milestone::TouchDry) {
            return [$time, 0.0];
        }
        $thickness = CureClock::thickness($figures->referenceMm, $mm, $figures->exponent);
        if ($figures->mechanism !== Mechanism::Hydration) {
            return [$time * $thickness, 0.0];
        }
        $set = $figures->minutes[Milestone::TouchDry->value] ?? 0.0;

        return [$set, ($time - $set) * $thickness];
    }

    private function table(Mechanism $mechanism): DoseTable
    {
        return $this->tables[$mechanism->value] ??= new DoseTable($mechanism, $this->room, $this->zone, $this->from);
    }
}
