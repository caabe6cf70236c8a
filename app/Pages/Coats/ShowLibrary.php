<?php

declare(strict_types=1);

namespace App\Pages\Coats;

use App\Computed\Journal\LearnedWork;
use App\Computed\ProjectLoader;
use App\Models\Layout;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\Mix;
use IdleRidge\Core\Coats\OwnRecipe;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Measure\Decimal;
use IdleRidge\Core\Measure\Format;
use IdleRidge\Core\Shelf\PackPrice;

/** All recipes of a layout by stage, with their figures and where these are from, and one of them to change. */
final readonly class ShowLibrary
{
    public function __construct(private ProjectLoader $load, private Library $library, private LearnedWork $learned)
    {
    }

    /** @return array<string, mixed> for the view coats.library */
    public function of(Layout $layout, string $id): array
    {
        $works = $this->load->works($layout);
        $own = $works->recipes;
        $library = $this->library->with(OwnRecipe::recipes($own));
        $groups = [];
        foreach ($library->recipes as $recipe) {
            $groups[$recipe->stage->value][] = $recipe;
        }
        ksort($groups);
        $picked = $library->recipes[$id] ?? null;

        return [
            'layout' => $layout,
            'first' => $layout->sections()->first(),
            'groups' => $groups,
            'picked' => $picked,
            'start' => $this->library->recipes[$id] ?? null,
            'mine' => array_column(array_map(fn (OwnRecipe $o): array => [$o->recipe->id, $o->uid], $own), 1, 0),
            'materials' => $library->materials,
            'currency' => $layout->currency,
            'prices' => array_column(array_map(fn (PackPrice $p): array => [$p->material, $p], $works->prices), 1, 0),
            'costs' => $picked === null ? [] : $this->costs($picked, $works->prices, $layout->currency),
            'yours' => $picked === null ? [] : $this->learned->figures($layout, $works, $picked)->all(),
            'note' => array_column(array_map(fn (OwnRecipe $o): array => [$o->recipe->id, $o->note], $own), 1, 0)[$id] ?? '',
            'low' => fn (Recipe $r, string $at): ?array => $r->ranges[$at] ?? null,
        ];
    }

    /**
     * @param  list<PackPrice>  $prices
     * @return array<int, string> what a litre or kilogram of a mixed part costs
     */
    private function costs(Recipe $recipe, array $prices, string $currency): array
    {
        $out = [];
        foreach ($recipe->parts as $k => $part) {
            $minor = count($part->of) > 1 && in_array($part->unit, ['ml', 'g'], true) ? Mix::cost($part->of, $prices) : null;
            if ($minor !== null && $minor > 0) {
                [$words, $bulk] = Format::bulk($part->unit);
                $out[$k] = "{$words} costs ".Decimal::fixed($minor / 1e5 * $bulk, 2)." {$currency}";
            }
        }

        return $out;
    }
}
