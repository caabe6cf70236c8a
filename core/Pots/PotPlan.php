<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

use IdleRidge\Core\Coats\PotLife;
use IdleRidge\Core\Measure\InvalidValue;

/**
 * How a mixture is mixed: in so many pots of one size, none larger than the cup holds or than can be used up before it sets:
 * `min(need, container, q·rate·(workable − mixing))`, where what is used a minute, q·rate, is the need over its minutes. Of two
 * parts the largest mass m with `m ≤ q·ρ·rate·(pot life(m) − mixing)`.
 */
final readonly class PotPlan
{
    /** A cup is filled no fuller, so that one can stir. */
    public const FILL = 0.8;

    /** A smaller cup holds no spoon, ml. */
    public const MIN_CUP_ML = 5.0;

    public const MAX_CUP_ML = 100_000.0;

    /** However quickly it sets, what is mixed at once is a spoon of it, ml. */
    private const LEAST_POT_ML = 5.0;

    /**
     * @param  array<string, float>  $shares limit → how much of the need a pot could be by it alone; over 1 where it does not limit
     */
    private function __construct(public Mixture $mixture, public int $count, public PotLimit $limit, public array $shares)
    {
    }

    /**
     * @param  float|null  $cup ml that the cup holds
     *
     * @throws InvalidValue for a cup smaller than a spoon
     */
    public static function of(Mixture $mixture, ?float $cup = null): self
    {
        if ($cup !== null) {
            InvalidValue::unlessBetween($cup, self::MIN_CUP_ML, self::MAX_CUP_ML, 'The cup', 'ml', 'cup');
        }
        $shares = [PotLimit::Need->value => 1.0];
        $volume = $mixture->volume();
        if ($mixture->kind !== PotKind::AsSold) {
            if ($cup !== null && $volume !== null && $volume > 0.0) {
                $shares[PotLimit::Container->value] = $cup * self::FILL / $volume;
            }
            if ($mixture->kind === PotKind::Sets && $mixture->workable !== null && $mixture->minutes > 0.0) {
                $shares[PotLimit::Workable->value] = self::before($mixture->workable, $mixture);
            }
            if ($mixture->kind === PotKind::TwoPart && $mixture->minutes > 0.0) {
                $shares[PotLimit::PotLife->value] = self::byLife($mixture);
            }
        }
        $least = $volume === null || $volume <= 0.0 ? 1e-3 : min(1.0, self::LEAST_POT_ML / $volume);
        $share = max($least, min($shares));
        $limit = (string) array_search(min($shares), $shares, true);

        return new self($mixture, (int) ceil(1.0 / $share - 1e-9), PotLimit::from($limit), $shares);
    }

    /** One of its pots. */
    public function pot(): Mixture
    {
        return $this->mixture->times(1.0 / $this->count);
    }

    /** Until one pot has to be used up from the moment its stirring begins, min; null where it keeps. */
    public function useWithin(): ?float
    {
        return match ($this->mixture->kind) {
            PotKind::Sets => $this->mixture->workable,
            PotKind::TwoPart => PotLife::minutes((float) $this->pot()->grams()) * $this->mixture->pace,
            default => null,
        };
    }

    /** Whether it sets before any of it could be used: then the room is too warm for it. */
    public function isTooQuick(): bool
    {
        $within = $this->useWithin();

        return $within !== null && $within <= $this->mixture->kind->mixingMinutes();
    }

    /** @return list<PotLine> of one pot, in adding order, with what the scale shows after each */
    public function lines(): array
    {
        $running = 0.0;
        $lines = [];
        $portions = $this->pot()->portions;
        // What is measured in different units is told in parts by weight.
        $alike = count(array_unique(array_map(fn (Portion $p): string => $p->unit, $portions))) === 1;
        $amounts = array_map(fn (Portion $p): ?float => $alike ? $p->amount : $p->grams(), $portions);
        foreach ($portions as $k => $portion) {
            $grams = $portion->grams();
            $running = $grams === null || $running === null ? null : $running + $grams;
            $parts = in_array(null, $amounts, true) || count($portions) === 1 ? null : $amounts[$k] / max(1e-9, min($amounts));
            $lines[] = new PotLine($portion, $running, $parts);
        }

        return $lines;
    }

    /** Share of the need that is used while it can be worked. */
    private static function before(float $minutes, Mixture $mixture): float
    {
        return max(0.0, $minutes - $mixture->kind->mixingMinutes()) / $mixture->minutes;
    }

    /** The largest share whose own heat leaves it time to be used: the larger the pot, the shorter, so there is one. */
    private static function byLife(Mixture $mixture): float
    {
        $whole = (float) $mixture->grams();
        $fits = fn (float $share): bool => $share <= self::before(PotLife::minutes($share * $whole) * $mixture->pace, $mixture);
        [$low, $high] = [0.0, 2.0];
        for ($k = 0; $k < 60; $k++) {
            $middle = ($low + $high) / 2.0;
            $fits($middle) ? ($low = $middle) : ($high = $middle);
        }

        return $low;
    }
}
