<?php

declare(strict_types=1);

namespace App\Workshop\Coats;

use App\Models\Layout;
use App\Workshop\LoadProject;
use IdleRidge\Core\Coats\Library;
use IdleRidge\Core\Coats\OwnRecipe;
use IdleRidge\Core\Coats\Recipe;

/** All recipes of a layout by stage, with their figures and where these are from, and one of them to change. */
final readonly class ShowLibrary
{
    public function __construct(private LoadProject $load, private Library $library)
    {
    }

    /** @return array<string, mixed> for the view coats.library */
    public function of(Layout $layout, string $id): array
    {
        $own = $this->load->works($layout)->recipes;
        $library = $this->library->with(OwnRecipe::recipes($own));
        $groups = [];
        foreach ($library->recipes as $recipe) {
            $groups[$recipe->stage->value][] = $recipe;
        }
        ksort($groups);
        $picked = $library->recipes[$id] ?? null;

        return [
            'layout' => $layout, 'first' => $layout->sections()->first(), 'groups' => $groups, 'picked' => $picked, 'start' => $this->library->recipes[$id] ?? null,
            'mine' => array_column(array_map(fn (OwnRecipe $o): array => [$o->recipe->id, $o->uid], $own), 1, 0), 'materials' => $library->materials,
            'low' => fn (Recipe $r, string $at): ?array => $r->ranges[$at] ?? null,
        ];
    }
}
