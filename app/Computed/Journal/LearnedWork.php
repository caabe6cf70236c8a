<?php

declare(strict_types=1);

namespace App\Computed\Journal;

use App\Models\Layout;
use IdleRidge\Core\Coats\Recipe;
use IdleRidge\Core\Journal\Learned;
use IdleRidge\Core\Journal\LearnedFigures;
use IdleRidge\Core\Project\Works;

/** What a layout's journal and shelf say of a recipe. */
final readonly class LearnedWork
{
    public function __construct(private JournalSearch $search)
    {
    }

    public function figures(Layout $layout, Works $works, Recipe $recipe): LearnedFigures
    {
        $begun = [...$works->laid, ...$works->stripped];

        return new LearnedFigures(Learned::of($this->search->wrought($layout), $begun, $works->store), $recipe);
    }
}
