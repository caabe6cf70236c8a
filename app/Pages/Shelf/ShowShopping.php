<?php

declare(strict_types=1);

namespace App\Pages\Shelf;

use App\Computed\Plan\ComputedPlan;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\MaterialAmount;
use IdleRidge\Core\Interchange\Csv;
use IdleRidge\Core\Interchange\ShelfCsv;
use IdleRidge\Core\Measure\ClockWords;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Measure\Quantity;
use IdleRidge\Core\Plan\ShelfNeed;
use IdleRidge\Core\Plan\ShoppingList;
use IdleRidge\Core\Project\Project;
use IdleRidge\Core\Shelf\PackPrice;

/** What to buy, shop by shop, to print and to tick off; and the price list it comes from. */
final readonly class ShowShopping
{
    public function __construct(private ProjectLoader $load, private ComputedPlan $desk, private Library $library)
    {
    }

    /** @return array<string, mixed> for the view shelf.shopping */
    public function of(Layout $layout): array
    {
        $project = $this->load->of($layout);
        $plan = $this->desk->planOf($project, $this->desk->minute());
        $needs = ShelfNeed::of($plan);
        $shelf = $project->layout->bench->shelf;
        $list = ShoppingList::of($needs, $project->works->prices, $shelf);
        $words = new ClockWords($plan->work->zone(), $plan->work->now);
        $shops = [];
        foreach ($list->buy as ['price' => $price, 'count' => $count]) {
            $shops[$price->supplier][] = $this->row($needs[$price->material], $price, $count, $list, $words, $layout->currency);
        }
        ksort($shops);

        return [
            'layout' => $layout,
            'first' => $project->sections[0] ?? null,
            'shops' => $shops,
            'list' => $list,
            'cost' => Quantity::money($list->cost, $layout->currency, 'all packs and carriage'),
            'carriage' => array_map(
                fn (int $minor): Quantity => Quantity::money($minor, $layout->currency, 'an order there'),
                $shelf->carriage,
            ),
            'missing' => array_map(fn (string $m): array => [$m, $this->shown($needs[$m]->missing(), $needs[$m])], $list->unpriced),
            'short' => array_map(fn (string $m): array => [$m, $this->shown($list->short[$m], $needs[$m])], array_keys($list->short)),
            'left' => $list->left,
            'against' => $this->against($needs, $project, $layout->currency),
            'shelf' => $shelf,
            'suppliers' => array_values(array_filter(array_unique(array_column($project->works->prices, 'supplier')))),
            'currency' => $layout->currency,
            'by' => $this->by($list, $needs, $words),
        ];
    }

    /** @return array<string, mixed> for the view shelf.prices */
    public function prices(Layout $layout): array
    {
        $project = $this->load->of($layout);

        return [
            'layout' => $layout,
            'first' => $project->sections[0] ?? null,
            'prices' => $project->works->prices,
            'units' => array_map(fn ($m): string => $m->unit, $this->library->materials),
            'currency' => $layout->currency,
        ];
    }

    public function csv(Layout $layout): string
    {
        $project = $this->load->of($layout);
        $list = ShoppingList::of(
            ShelfNeed::of($this->desk->planOf($project, $this->desk->minute())),
            $project->works->prices,
            $project->layout->bench->shelf,
        );

        $unit = fn (array $b): string => $this->library->materials[$b['price']->material]->unit ?? '';

        return Csv::write(
            ['supplier', 'material', 'pack', 'unit', 'count', 'price', 'together'],
            array_map(
                fn (array $b): array => [
                    $b['price']->supplier,
                    $b['price']->material,
                    Format::number($b['price']->amount, $unit($b), 3),
                    Format::unit($unit($b)),
                    $b['count'],
                    sprintf('%.2f', $b['price']->minor / 100.0),
                    sprintf('%.2f', $b['count'] * $b['price']->minor / 100.0),
                ],
                $list->buy,
            ),
        );
    }

    public function stockCsv(Layout $layout): string
    {
        return (new ShelfCsv($this->library->materials))->stock($this->load->works($layout)->store);
    }

    public function pricesCsv(Layout $layout): string
    {
        return (new ShelfCsv($this->library->materials))->prices($this->load->works($layout)->prices);
    }

    /** @return array<string, mixed> */
    private function row(ShelfNeed $need, PackPrice $price, int $count, ShoppingList $list, ClockWords $words, string $currency): array
    {
        return [
            'uid' => $price->uid,
            'material' => $price->material,
            'count' => $count,
            'pack' => $this->shown($price->amount, $need),
            'minor' => Quantity::money($count * $price->minor, $currency, 'the packs together', [
                'one' => sprintf('%.2f', $price->minor / 100.0),
            ]),
            'missing' => $this->shown($need->missing(), $need),
            'over' => isset($list->over[$price->material]) ? ', '.$this->shown($list->over[$price->material], $need).' over' : '',
            'when' => $need->first === null ? '' : ' · first for '.$words->moment($need->first->start),
        ];
    }

    private function shown(float $amount, ShelfNeed $need): string
    {
        return implode(' ', MaterialAmount::shown($amount, $need->unit));
    }

    /**
     * By when the first of it has to be there.
     *
     * @param  array<string, ShelfNeed>  $needs
     */
    private function by(ShoppingList $list, array $needs, ClockWords $words): string
    {
        $starts = [];
        foreach ($list->buy as ['price' => $price]) {
            if ($needs[$price->material]->first !== null) {
                $starts[] = $needs[$price->material]->first->start;
            }
        }

        return $starts === [] ? '' : $words->moment(min($starts));
    }

    /**
     * @param  array<string, ShelfNeed>  $needs
     * @return list<array{material: string, rows: list<array<string, mixed>>}> where there is more than one pack to choose from
     */
    private function against(array $needs, Project $project, string $currency): array
    {
        $out = [];
        foreach (array_filter($needs, fn (ShelfNeed $n): bool => $n->missing() > 0.0) as $material => $need) {
            $rows = ShoppingList::against($need, $project->works->prices);
            if (count($rows) > 1) {
                $out[] = [
                    'material' => $material,
                    'rows' => array_map(fn (array $r): array => [
                        'words' => "{$r['count']} × ".$this->shown($r['price']->amount, $need),
                        'supplier' => $r['price']->supplier,
                        'minor' => Quantity::money($r['minor'], $currency, 'that pack alone'),
                        'per' => Quantity::money(
                            $r['per'] / 1000.0 * Format::bulk($need->unit)[1],
                            $currency,
                            Format::bulk($need->unit)[0],
                        ),
                        'over' => $this->shown($r['over'], $need),
                    ], $rows),
                ];
            }
        }

        return $out;
    }
}
