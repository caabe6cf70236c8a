<?php

declare(strict_types=1);

namespace App\Pages\Coats;

use IdleRidge\Core\Coats\Family;
use IdleRidge\Core\Coats\ThinnedGlue;
use IdleRidge\Core\Coats\WayOrder;
use IdleRidge\Core\Coats\Ways;
use IdleRidge\Core\Coats\Wetting;

/** What a form offers to pick a way from, and what is picked. */
final class WayChoice
{
    /**
     * @param  string|null  $way as it stands; null where none is picked
     * @return array{label: string, order: string, orders: array<string, array{name: string, suits: string, wrong: list<string>}>,
     *     wets: list<string>, glued: list<string>, wettings: array<string, string>, glues: array<string, string>, wetting: string,
     *     strength: string, glue: string, ratio: string}|null null where a kind of material is not laid loose
     */
    public static function of(Ways $ways, Family $family, ?string $way, string $label = 'How it is held'): ?array
    {
        $orders = $ways->of($family);
        if ($orders === []) {
            return null;
        }
        $keys = fn (callable $which): array => array_values(
            array_map(fn (WayOrder $o): string => $o->key, array_filter($orders, $which)),
        );
        $picked = $way === null ? null : $ways->read($way);
        $named = [];
        foreach ($orders as $order) {
            $named[$order->key] = ['name' => $order->name, 'suits' => $order->suits, 'wrong' => $order->wrong];
        }

        return [
            'label' => $label,
            'order' => $picked->order->key ?? '',
            'orders' => $named,
            'wets' => $keys(fn (WayOrder $o): bool => $o->wets()),
            'glued' => $keys(fn (WayOrder $o): bool => $o->takesGlue()),
            'wettings' => ['' => 'as usual'] + array_map(fn (Wetting $w): string => $w->name, $ways->wettings),
            'glues' => ['' => 'as usual'] + array_map(fn (ThinnedGlue $g): string => $g->name, $ways->glues),
            'wetting' => $picked?->wetting->key ?? '',
            'strength' => $picked?->strength === null ? '' : (string) $picked->strength,
            'glue' => $picked?->glue->key ?? '',
            'ratio' => $picked?->glue === null ? '' : "{$picked->parts}:{$picked->water}",
        ];
    }
}
