<?php

declare(strict_types=1);

namespace IdleRidge\Core\Pots;

use IdleRidge\Core\Shelf\Pot;
use IdleRidge\Core\Shelf\Store;

/** A mixture that is needed, what stands mixed of it already, and how the rest is mixed. */
final readonly class PotOffer
{
    /** What is missing by rounding is not mixed anew. */
    private const LEAST_SHARE = 0.005;

    public string $id;

    /**
     * @param  int|null  $from when the first of it is needed, minutes of Unix time
     * @param  list<array{pot: Pot, left: float}>  $standing the oldest first: it is used first
     * @param  PotPlan|null  $plan null where what stands is enough
     */
    private function __construct(public Mixture $mixture, public ?int $from, public array $standing, public ?PotPlan $plan)
    {
        $this->id = self::id($mixture);
    }

    public static function of(Mixture $mixture, Store $store, int $now, ?int $from, ?float $cup): self
    {
        $standing = self::standing($store, $mixture->key, $now);
        $there = array_sum(array_column($standing, 'left'));
        $missing = 1.0 - $there / max(1e-9, $mixture->total());

        return new self($mixture, $from, $standing, $missing < self::LEAST_SHARE ? null : PotPlan::of($mixture->times($missing), $cup));
    }

    /**
     * What stands of a mixture and can still be used.
     *
     * @return list<array{pot: Pot, left: float}> the oldest first
     */
    public static function standing(Store $store, string $key, int $now): array
    {
        $out = [];
        foreach (array_reverse($store->pots()) as $pot) {
            if ($pot->mixture === $key && ! $pot->isOver($now) && $store->amount($pot->uid) > 0.0) {
                $out[] = ['pot' => $pot, 'left' => $store->amount($pot->uid)];
            }
        }

        return $out;
    }

    /** The same for the same mixture and moves. */
    public static function id(Mixture $mixture): string
    {
        return substr(sha1(implode(' ', [$mixture->key, ...$mixture->moves])), 0, 12);
    }
}
