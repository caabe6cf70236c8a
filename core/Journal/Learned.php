<?php

declare(strict_types=1);

namespace IdleRidge\Core\Journal;

use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\StockMovement;
use IdleRidge\Core\Shelf\Store;

/**
 * What the journal and the shelf say of recipes: minutes against the estimate, what was used against what the recipe said, the share of
 * pots that was poured away, the share that was taken up again.
 */
final readonly class Learned
{
    /** A clock that was left running, or a tin that was counted wrongly, says nothing: shares outside these are passed over. */
    public const MIN_SHARE = 0.2;

    public const MAX_SHARE = 5.0;

    /**
     * @param  array<string, array{work: list<float>, waste: list<float>, recovered: list<float>, used: array<string, list<float>>}>  $by
     *     recipe → shares
     */
    private function __construct(private array $by)
    {
    }

    /**
     * @param  list<JournalEntry>  $entries
     * @param  list<CoatApplication>  $begun what was laid, what was stripped again included; what was undone is not among it
     */
    public static function of(array $entries, array $begun, Store $store): self
    {
        $recipes = [];
        foreach ($begun as $laid) {
            $recipes[$laid->uid] = $laid->recipe->base();
        }
        $by = [];
        foreach ($entries as $entry) {
            $recipe = $recipes[$entry->laid ?? ''] ?? null;
            $share = self::shareOf($entry->work?->minutes, $entry->work?->estimate);
            if ($recipe !== null && $share !== null) {
                $by[$recipe]['work'][] = $share;
            }
        }
        foreach (self::wasteIn($recipes, $store) as [$recipe, $share]) {
            $by[$recipe]['waste'][] = $share;
        }
        foreach (self::recoveredIn($begun, $store) as [$recipe, $share]) {
            $by[$recipe]['recovered'][] = $share;
        }
        foreach (self::usedIn($recipes, $store) as [$recipe, $material, $share]) {
            $by[$recipe]['used'][$material][] = $share;
        }

        return new self(array_map(
            fn (array $of): array => $of + ['work' => [], 'waste' => [], 'recovered' => [], 'used' => []],
            $by,
        ));
    }

    /** Minutes that it took over those the plan had. */
    public function work(string $recipe): Cases
    {
        return Cases::of($this->by[$recipe]['work'] ?? []);
    }

    /** Share of its pots that was poured away. */
    public function waste(string $recipe): Cases
    {
        return Cases::of($this->by[$recipe]['waste'] ?? []);
    }

    /** Share of what was put on that was taken up again. */
    public function recovered(string $recipe): Cases
    {
        return Cases::of($this->by[$recipe]['recovered'] ?? []);
    }

    /** @return array<string, Cases> material → what was used over what the recipe said */
    public function used(string $recipe): array
    {
        return array_map(Cases::of(...), $this->by[$recipe]['used'] ?? []);
    }

    /** Whether anything is known of a recipe. */
    public function knows(string $recipe): bool
    {
        return isset($this->by[$recipe]);
    }

    private static function shareOf(?int $took, ?int $had): ?float
    {
        if ($took === null || $had === null || $had < 1) {
            return null;
        }
        $share = $took / $had;

        return $share >= self::MIN_SHARE && $share <= self::MAX_SHARE ? $share : null;
    }

    /**
     * @param  array<string, string>  $recipes laid → recipe
     * @return list<array{string, float}> recipe, share of a pot that was lost
     */
    private static function wasteIn(array $recipes, Store $store): array
    {
        $out = [];
        foreach ($store->pots() as $pot) {
            $of = [];
            $lost = 0.0;
            foreach ($store->movements as $one) {
                if ($one->lot !== $pot->uid) {
                    continue;
                }
                if ($one->cause === MovementCause::PouredAway) {
                    $lost -= $one->by;
                } elseif ($one->cause === MovementCause::Laid && isset($recipes[$one->for ?? ''])) {
                    $of[$recipes[$one->for ?? '']] = true;
                }
            }
            // A pot of several recipes says nothing of one of them, and one that still stands is not at its end.
            if (count($of) === 1 && $store->amount($pot->uid) < 0.01 * $pot->made) {
                $out[] = [(string) array_key_first($of), $lost / $pot->made];
            }
        }

        return $out;
    }

    /**
     * @param  list<CoatApplication>  $begun
     * @return list<array{string, float}> recipe, share of what was put on that came off again
     */
    private static function recoveredIn(array $begun, Store $store): array
    {
        $materials = array_column($store->materials(), null, 'uid');
        $out = [];
        foreach ($begun as $laid) {
            foreach ($store->movements as $one) {
                if ($one->cause !== MovementCause::Recovered || $one->for !== $laid->uid) {
                    continue;
                }
                foreach ($laid->amounts as $amount) {
                    if ($amount->material === ($materials[$one->lot]->material ?? '') && $amount->recovered > 0.0) {
                        $out[] = [$laid->recipe->base(), min(0.9, $one->by / $amount->atHand())];
                    }
                }
            }
        }

        return $out;
    }

    /**
     * Between two counts of a lot only one recipe drew from it: what was missing more, or less, than was drawn is that recipe's.
     *
     * @param  array<string, string>  $recipes laid → recipe
     * @return list<array{string, string, float}> recipe, material, used over said
     */
    private static function usedIn(array $recipes, Store $store): array
    {
        $out = [];
        foreach ($store->materials() as $lot) {
            $its = array_values(array_filter($store->movements, fn (StockMovement $m): bool => $m->lot === $lot->uid));
            usort($its, fn (StockMovement $a, StockMovement $b): int => $a->at <=> $b->at);
            $drew = [];
            foreach ($its as $one) {
                if ($one->cause === MovementCause::Laid) {
                    $recipe = $recipes[$one->for ?? ''] ?? '';
                    $drew[$recipe] = ($drew[$recipe] ?? 0.0) - $one->by;
                } elseif ($one->cause === MovementCause::Counted) {
                    $recipe = (string) array_key_first($drew);
                    $sum = array_sum($drew);
                    if (count($drew) === 1 && $recipe !== '' && $sum > 0.0) {
                        $share = ($sum - $one->by) / $sum;
                        if ($share >= self::MIN_SHARE && $share <= self::MAX_SHARE) {
                            $out[] = [$recipe, $lot->material, $share];
                        }
                    }
                    $drew = [];
                } elseif ($one->by < 0.0) {
                    $drew[''] = ($drew[''] ?? 0.0) - $one->by;
                }
            }
        }

        return $out;
    }
}
