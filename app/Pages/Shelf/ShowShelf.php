<?php

declare(strict_types=1);

namespace App\Pages\Shelf;

use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use App\Pages\Rail\ShowRail;
use IdleRidge\Core\Coats\CoatApplication;
use IdleRidge\Core\Coats\Ingredient;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Material;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Coats\MaterialForm;
use IdleRidge\Core\Coats\Mix;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\BenchPlan;
use IdleRidge\Core\Plan\ShelfNeed;
use IdleRidge\Core\Plan\ShoppingList;
use IdleRidge\Core\Pots\Substitute;
use IdleRidge\Core\Shelf\MaterialLot;
use IdleRidge\Core\Shelf\MovementCause;
use IdleRidge\Core\Shelf\StockMovement;
use IdleRidge\Core\Shelf\Store;

/** What is in store, lot by lot, and what the plan takes of it. */
final readonly class ShowShelf
{
    private const MOVEMENTS_SHOWN = 12;

    /** What was laid longer ago is no longer asked about, days. */
    private const ASKED_DAYS = 14;

    public function __construct(
        private ProjectLoader $load,
        private ComputedPlan $desk,
        private ShowRail $rail,
        private Library $library,
    ) {
    }

    /** @return array<string, mixed> for the view shelf.show */
    public function of(Layout $layout, string $picked, string $instead = ''): array
    {
        $project = $this->load->of($layout);
        $plan = $this->desk->planOf($project, $this->desk->minute());
        $store = $project->works->store;
        $words = new ClockWords($plan->work->zone(), $plan->work->now);
        $needs = ShelfNeed::of($plan);
        $lots = $this->lots($store);
        $over = array_values(
            array_filter($lots, fn (MaterialLot $l): bool => ($l->goodUntil($plan->work->zone()) ?? PHP_INT_MAX) <= $plan->work->now),
        );
        $lot = array_column($lots, null, 'uid')[$picked] ?? null;
        $list = ShoppingList::of($needs, $project->works->prices, $project->layout->bench->shelf);
        $short = array_filter($needs, fn (ShelfNeed $n): bool => $n->isShort && $n->have !== null);

        return [
            'layout' => $layout,
            'first' => $project->sections[0] ?? null,
            'rail' => $this->rail->of($project, null, $plan->work),
            'words' => $words,
            'drawing' => $lots === []
                ? null
                : ShelfDrawing::of(
                    $lots,
                    $store,
                    fn (MaterialLot $l): string => route('shelf.show', [$layout, 'lot' => $l->uid]).'#lot',
                    $picked,
                    array_column($over, 'uid'),
                ),
            'lots' => $lots,
            'sheets' => array_map(fn (array $one): array => [
                'count' => $one['count'],
                'size' => implode(' × ', array_map(
                    fn (float $mm): string => Format::length($mm, 1),
                    [$one['lot']->thickness, $one['lot']->width, $one['lot']->depth],
                )),
                'kind' => $one['lot']->kind,
            ], $store->inStore()),
            'over' => $over,
            'short' => count($short),
            'cost' => Quantity::money($list->cost, $layout->currency, 'the cheapest packs that cover what is short, carriage included', [
                'carriage' => Quantity::money($list->carriage, $layout->currency, '')->text(),
            ]),
            'needs' => array_values(array_map(fn (ShelfNeed $n): array => $this->need($n, $words), $needs)),
            'lot' => $lot,
            'detail' => $lot === null ? null : $this->detail($plan, $store, $lot, $words),
            'instead' => $instead,
            'others' => $instead === '' ? [] : $this->others($plan, $instead),
            'again' => $this->again($plan, $words),
            'litres' => $this->litres($plan, $layout->currency),
            'materials' => array_map(fn (Material $m): string => $m->unit, array_filter(
                $this->library->materials,
                fn (Material $m): bool => ! in_array($m->name, ['water', 'wet water'], true),
            )),
            'currency' => $layout->currency,
        ];
    }

    /** @return list<MaterialLot> of which there is any, by material, in the order in which they are used up */
    private function lots(Store $store): array
    {
        $names = array_unique(array_column($store->materials(), 'material'));
        sort($names);

        return array_merge(...array_map($store->lotsOf(...), $names));
    }

    /** @return array<string, mixed> */
    private function need(ShelfNeed $need, ClockWords $words): array
    {
        $shown = fn (?float $amount): array => $amount === null ? ['–', ''] : MaterialAmount::shown($amount, $need->unit);
        $most = max($need->need, $need->have ?? 0.0, 1e-9);

        return [
            'material' => $need->material,
            'need' => $shown($need->need),
            'have' => $shown($need->have),
            'known' => $need->have !== null,
            'missing' => $need->isShort ? $shown($need->missing()) : null,
            'bar' => min(1.0, ($need->have ?? 0.0) / $most),
            'tick' => $need->need / $most,
            'first' => match (true) {
                ! $need->isShort => '',
                $need->first === null => 'kept back',
                default => $words->moment($need->first->start),
            },
            'places' => $need->places,
        ];
    }

    /** @return array<string, mixed> */
    private function detail(BenchPlan $plan, Store $store, MaterialLot $lot, ClockWords $words): array
    {
        $amount = $store->amount($lot->uid);
        $good = $lot->goodUntil($plan->work->zone());
        $laid = array_column($plan->work->project->works->laid, 'title', 'uid');
        $pots = array_column($store->pots(), 'title', 'uid');
        $movements = array_filter($store->movements, fn (StockMovement $m): bool => $m->lot === $lot->uid);

        return [
            'amount' => $amount,
            'shown' => MaterialAmount::shown($amount, $lot->unit),
            'good' => $good === null ? '' : $words->at($good - 1)->format('j M Y'),
            'over' => $good !== null && $good <= $plan->work->now,
            'weighed' => $lot->unit === 'g' || ($lot->unit === 'ml' && isset($this->library->materials[$lot->material]->density)),
            'opened' => $lot->openedAt === null ? '' : $words->at($lot->openedAt)->format('Y-m-d'),
            'movements' => array_map(fn (StockMovement $m): array => [
                'at' => $words->moment($m->at),
                'by' => ($m->by > 0.0 ? '+' : '−').implode(' ', MaterialAmount::shown(abs($m->by), $lot->unit)),
                'cause' => $m->cause->value,
                'for' => $m->for === null ? '' : $laid[$m->for] ?? $pots[$m->for] ?? '',
            ], array_slice(array_reverse(array_values($movements)), 0, self::MOVEMENTS_SHOWN)),
        ];
    }

    /** @return list<array<string, mixed>> what would do for a material, and what not */
    private function others(BenchPlan $plan, string $material): array
    {
        $library = $plan->work->project->library($this->library);

        return array_map(fn (Substitute $s): array => [
            'name' => $s->recipe->way() === null ? $s->recipe->name : $library->ways->read($s->recipe->way())->glueWord(),
            'for' => "{$s->move->coat->title()}, {$s->move->place()}",
            'fits' => $s->fits(),
            'why' => ucfirst(implode('; ', [...$s->against, ...$s->mind])),
            'days' => $s->daysWords(),
            'amounts' => implode(', ', array_map(
                fn (MaterialAmount $a): string => implode(' ', $a->words())." {$a->material}",
                $s->amounts,
            )),
        ], Substitute::of($plan->work, $library, $material));
    }

    /** @return list<array<string, mixed>> what can be taken up again of what was laid and dried, and was not booked yet */
    private function again(BenchPlan $plan, ClockWords $words): array
    {
        $works = $plan->work->project->works;
        $materials = array_column($works->store->materials(), 'material', 'uid');
        $booked = [];
        foreach ($works->store->movements as $one) {
            if ($one->cause === MovementCause::Recovered && $one->for !== null) {
                $booked["{$one->for}|".($materials[$one->lot] ?? '')] = true;
            }
        }
        $rows = [];
        foreach (array_reverse($works->laid) as $laid) {
            $new = $laid->endedAt !== null && $plan->work->now - $laid->endedAt < 1440 * self::ASKED_DAYS;
            foreach ($new ? $laid->amounts : [] as $one) {
                if ($one->recovered > 0.0 && ! isset($booked["{$laid->uid}|{$one->material}"]) && $works->store->knows($one->material)) {
                    $rows[] = $this->back($laid, $one, $words);
                }
            }
        }

        return $rows;
    }

    /** @return array<string, mixed> */
    private function back(CoatApplication $laid, MaterialAmount $one, ClockWords $words): array
    {
        return [
            'laid' => $laid->uid,
            'title' => $laid->title,
            'when' => $words->moment((int) $laid->endedAt),
            'material' => $one->material,
            'unit' => $one->unit,
            'amount' => Format::field($one->atHand() - $one->amount, $one->unit, 1),
        ];
    }

    /** @return list<array{string, Quantity}> what a litre costs of what the coats thin or mix, and of what is ready-made */
    private function litres(BenchPlan $plan, string $currency): array
    {
        $prices = $plan->work->project->works->prices;
        $mixes = [];
        foreach ($plan->work->moves as $move) {
            foreach ($move->recipe->parts as $part) {
                if ($part->unit === 'ml' && $this->isLiquid($part)) {
                    $mixes[Mix::words($part->of)] = $part->of;
                }
            }
        }
        $mixes['ready scenery adhesive'] ??= [['material' => 'ready scenery adhesive', 'parts' => 1.0]];
        $out = [];
        [$so, $much] = Format::bulk('ml');
        foreach ($mixes as $words => $of) {
            $minor = Mix::cost($of, $prices);
            if ($minor !== null && $minor > 0) {
                $out[] = [$words, Quantity::money($minor / 1000.0 * $much, $currency, "{$so}, by the packs that are cheapest by amount")];
            }
        }
        usort($out, fn (array $a, array $b): int => $a[1]->value <=> $b[1]->value);

        return $out;
    }

    private function isLiquid(Ingredient $part): bool
    {
        return array_filter(
            $part->of,
            fn (array $one): bool => ($this->library->materials[$one['material']]->form ?? null) !== MaterialForm::Liquid,
        ) === [];
    }
}
