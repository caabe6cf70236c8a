<?php

declare(strict_types=1);

namespace IdleRidge\Core\Cure;

use Closure;
use DateTimeZone;

/**
 * When what is laid in a room reaches its milestones, the air gone through and what was learned there taken into account:
 * minutes of Unix time. One for a room; recipes share its tables.
 */
final class Drying
{
    /** More of the dose before touch-dry than this below the film-forming temperature spoils the coat. */
    private const SPOILING_SHARE = 0.1;

    /** A window that is empty as reckoned stays open so long to either side of its middle, minutes. */
    private const TOUCH_CHECK_MINUTES = 15.0;

    /** Cases that are tried for a chance, and how far out the last ones lie. */
    private const MAX_CASES = 12;

    private const LAST_QUANTILE = 0.999;

    public readonly Room $room;

    public readonly RoomAir $air;

    /** @var array<string, DoseTable> */
    private array $tables = [];

    /** @var array<string, LearnedFactor> */
    private array $learned = [];

    /** @var array<string, float> mechanism → its fastest rate in the air to come */
    private array $best = [];

    /**
     * @param  int  $from nothing was laid before
     * @param  list<Observation>  $seen what was looked at while it dried in this room
     * @param  RoomAir|null  $before of another room, until `$since`
     */
    public function __construct(
        Room $room,
        DateTimeZone $zone,
        private readonly int $from,
        ?AirLog $log = null,
        private readonly array $seen = [],
        ?RoomAir $before = null,
        int $since = PHP_INT_MIN,
    ) {
        $this->room = $room;
        $this->air = new RoomAir($room, $zone, $log, $before, $since);
    }

    /**
     * When a coat that was finished at `$end` has reached a milestone, with a certainty of `$quantile`. What was seen of this
     * very coat bounds its factor: the quantile is taken of what is left.
     */
    public function reached(
        CureFigures $figures,
        Milestone $milestone,
        float $mm,
        float $end,
        float $quantile,
        ?Observation $own = null,
    ): float {
        return $this->reachedAt($figures, $milestone, $mm, $end, $this->factorOf($figures, $own)($quantile));
    }

    /** What is known of a recipe here, but for one application. */
    public function learned(string $recipe, ?string $but = null): LearnedFactor
    {
        return $this->learned["{$recipe}|{$but}"] ??= $this->learn($recipe, $but);
    }

    /**
     * When what is between two milestones of one coat may be done: both by the median, narrowed by the scatter of single
     * cases. Where nothing is left of it, a while about the middle, to be told by touch.
     *
     * @return array{float, float, bool} from, until, whether it has to be told by touch
     */
    public function window(CureFigures $figures, Milestone $opens, Milestone $closes, float $mm, float $end, float $quantile): array
    {
        $learned = $this->learned($figures->id);
        $from = $this->reachedAt($figures, $opens, $mm, $end, $learned->caseFactor($quantile));
        $until = $this->reachedAt($figures, $closes, $mm, $end, $learned->caseFactor(1.0 - $quantile));
        if ($from <= $until) {
            return [$from, $until, false];
        }
        $early = $this->reachedAt($figures, $opens, $mm, $end, exp($learned->mean)) - $end;
        $late = $this->reachedAt($figures, $closes, $mm, $end, exp($learned->mean)) - $end;
        $middle = $end + sqrt(max(1.0, $early) * max(1.0, $late));

        return [max($end, $middle - self::TOUCH_CHECK_MINUTES), $middle + self::TOUCH_CHECK_MINUTES, true];
    }

    /** No wait for a milestone can be shorter: each part of the dose at the fastest of the room's rates; minutes. */
    public function least(CureFigures $figures, Milestone $milestone, float $mm, float $quantile): float
    {
        [$first, $then] = $this->doses($figures, $milestone, $mm);

        return ($first / $this->best($figures->mechanism) + $then / $this->best(Mechanism::Evaporation)) *
            $this->learned($figures->id)->factor($quantile);
    }

    private function best(Mechanism $mechanism): float
    {
        return $this->best[$mechanism->value] ??= max(1e-4, ...array_map($mechanism->rate(...), $this->air->toCome()));
    }

    /** Whether this air, from `$end` on, keeps a film from forming more often than the certainty that is asked for leaves. */
    public function spoils(CureFigures $figures, float $mm, float $end, float $certainty, ?Observation $own = null): bool
    {
        return $this->spoilChance($figures, $mm, $end, $own) > 1.0 - $certainty + 1e-4;
    }

    /**
     * In how many of all cases, 0 … 1, this air keeps a film from forming: those whose own time to touch-dry, by all that is known of the
     * recipe here, gathers too much of its dose below the film-forming temperature.
     */
    public function spoilChance(CureFigures $figures, float $mm, float $end, ?Observation $own = null): float
    {
        if ($figures->filmTemperature === null) {
            return 0.0;
        }
        $factor = $this->factorOf($figures, $own);
        $cold = fn (float $quantile): float => $this->coldShare($figures, $mm, $end, $factor($quantile));
        if (
            $this->table($figures->mechanism)->shareBelow(
                $figures->filmTemperature,
                $end,
                $this->filmAt($figures, $mm, $end, $factor(self::LAST_QUANTILE)),
            ) <= 0.0
        ) {
            return 0.0;
        }
        $chance = 0.0;
        $edges = [1.0 - self::LAST_QUANTILE];
        for ($k = 1; $k < self::MAX_CASES; $k++) {
            $edges[] = $k / self::MAX_CASES;
        }
        $edges[] = self::LAST_QUANTILE;
        $spoilt = array_map(fn (float $q): bool => $cold($q) > self::SPOILING_SHARE, $edges);
        for ($k = 0; $k < self::MAX_CASES; $k++) {
            [$low, $high] = [$edges[$k], $edges[$k + 1]];
            if ($spoilt[$k] === $spoilt[$k + 1]) {
                $chance += $spoilt[$k] ? $high - $low : 0.0;

                continue;
            }
            for ($n = 0, $a = $low, $b = $high; $n < 12; $n++) {
                $middle = ($a + $b) / 2.0;
                [$a, $b] = $cold($middle) > self::SPOILING_SHARE === $spoilt[$k] ? [$middle, $b] : [$a, $middle];
            }
            $chance += $spoilt[$k] ? $a - $low : $high - $b;
        }

        return $chance;
    }

    /** The share of the dose up to touch-dry that is gathered below the film-forming temperature, in a case of so much longer a time. */
    public function coldShare(CureFigures $figures, float $mm, float $end, float $factor = 1.0): float
    {
        return $figures->filmTemperature === null
            ? 0.0
            : $this->table($figures->mechanism)->shareBelow($figures->filmTemperature, $end, $this->filmAt($figures, $mm, $end, $factor));
    }

    /** When a film has formed. */
    private function filmAt(CureFigures $figures, float $mm, float $end, float $factor): float
    {
        return $this->reachedAt(
            $figures,
            isset($figures->minutes['touch_dry']) ? Milestone::TouchDry : Milestone::NextCoat,
            $mm,
            $end,
            $factor,
        );
    }

    /** @return Closure(float): float quantile → factor, by what is known of a recipe here and of one application itself */
    private function factorOf(CureFigures $figures, ?Observation $own): Closure
    {
        [$low, $high] = $own === null ? [null, null] : $this->bounds($own);
        $learned = $this->learned($figures->id, $own?->uid);

        return fn (
            float $quantile,
        ): float => $low === null && $high === null ? $learned->factor($quantile) : $learned->factorWithin($quantile, $low, $high);
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

    private function learn(string $recipe, ?string $but): LearnedFactor
    {
        $cases = [];
        foreach ($this->seen as $one) {
            if ($one->figures->id === $recipe && $one->uid !== $but) {
                $cases[] = $this->bounds($one);
            }
        }

        return $cases === [] ? LearnedFactor::nothing() : LearnedFactor::from($cases);
    }

    /** @return array{float|null, float|null} between which the logarithm of an application's factor lies */
    private function bounds(Observation $seen): array
    {
        $low = $high = null;
        foreach ($seen->looks as ['at' => $at, 'wet' => $wet, 'of' => $of]) {
            if ($at <= $seen->end || ! isset($seen->figures->minutes[$of->value])) {
                continue;
            }
            $log = log($this->factorAt($seen->figures, $of, $seen->mm, $seen->end, $at));
            if ($wet) {
                $low = max($low ?? -INF, $log);
            } else {
                $high = min($high ?? INF, $log);
            }
        }

        // Seen dry and wet again: it was the look that erred, and it lies between.
        return $low !== null && $high !== null && $low > $high ? [($low + $high) / 2.0, ($low + $high) / 2.0] : [$low, $high];
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
        return $this->tables[$mechanism->value] ??= new DoseTable($mechanism, $this->air, $this->from);
    }
}
