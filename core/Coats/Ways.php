<?php

declare(strict_types=1);

namespace IdleRidge\Core\Coats;

use IdleRidge\Core\Measure\InvalidValue;

/** The ways there are: orders of work, wettings and glues, and what is read of a choice among them. */
final readonly class Ways
{
    /**
     * @param  array<string, WayOrder>  $orders
     * @param  array<string, Wetting>  $wettings
     * @param  array<string, ThinnedGlue>  $glues
     */
    public function __construct(public array $orders = [], public array $wettings = [], public array $glues = [])
    {
    }

    /**
     * `order`, then in any order `wetting`, `wetting-strength` and `glue`, `glue-parts-water`; what is not named is as usual.
     *
     * @throws InvalidValue at `way`
     */
    public function read(string $text): Way
    {
        $words = explode('+', $text);
        $order = $this->orders[$words[0]] ??
            throw new InvalidValue("There is no way “{$words[0]}”; there are ".implode(', ', array_keys($this->orders)).'.', 'way');
        [$wetting, $glue] = [$order->wetting, $order->glue];
        foreach (array_slice($words, 1) as $word) {
            $key = explode('-', $word)[0];
            if (isset($this->wettings[$key])) {
                $wetting = $order->wetting === '' ? throw new InvalidValue("“{$order->name}” wets nothing.", 'way') : $word;
            } elseif (isset($this->glues[$key])) {
                $glue = $order->glue === '' ? throw new InvalidValue("“{$order->name}” takes no glue.", 'way') : $word;
            } else {
                $there = implode(', ', [...array_keys($this->wettings), ...array_keys($this->glues)]);
                throw new InvalidValue("There is no wetting and no glue “{$key}”; there are {$there}.", 'way');
            }
        }

        [$wets, $strength] = $this->wetting($wetting);
        [$holds, $parts, $water] = $this->glue($glue);

        return new Way($order, $wets, $strength, $holds, $parts, $water);
    }

    /** @return list<WayOrder> that a kind of material is laid in */
    public function of(Family $family): array
    {
        return array_values(array_filter($this->orders, fn (WayOrder $o): bool => in_array($family, $o->for, true)));
    }

    /** @return array{Wetting|null, float|null} */
    private function wetting(string $word): array
    {
        [$key, $strength] = explode('-', $word, 2) + [1 => ''];
        $wetting = $this->wettings[$key] ?? null;

        return [$wetting, $wetting?->strength === null ? null : self::number($strength, $word) ?? $wetting->strength];
    }

    /** @return array{ThinnedGlue|null, float, float} */
    private function glue(string $word): array
    {
        [$key, $parts, $water] = explode('-', $word, 3) + [1 => '', 2 => ''];
        $glue = $this->glues[$key] ?? null;
        $parts = self::number($parts, $word) ?? $glue->parts ?? 1.0;
        $water = self::number($water, $word) ?? $glue->water ?? 0.0;
        $glue?->mixed($parts, $water);

        return [$glue, $parts, $water];
    }

    private static function number(string $text, string $word): ?float
    {
        if ($text === '') {
            return null;
        }
        if (preg_match('/^\d{1,3}$/', $text) !== 1) {
            throw new InvalidValue("“{$word}” cannot be read: whole parts such as 1-3, or a strength such as 33.", 'way');
        }

        return (float) $text;
    }
}
