<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Coats\SaveLearned;
use App\Actions\Coats\SaveRecipe;
use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Pages\Coats\ShowLibrary;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** The library of recipes. */
final class RecipeController
{
    public function show(Fields $request, Layout $layout, ShowLibrary $show): View
    {
        return view('coats.library', $show->of($layout, $request->word('recipe')));
    }

    public function update(Fields $request, Layout $layout, string $recipe, SaveRecipe $work): RedirectResponse
    {
        $id = $work->keep($layout, $recipe, $request->input());

        return redirect()
            ->route('library.show', [$layout, 'recipe' => $id])
            ->with('said', 'Kept. It is yours now.');
    }

    /** A figure as it came out at the bench. */
    public function learn(Fields $request, Layout $layout, string $recipe, SaveLearned $work): RedirectResponse
    {
        $work->take($layout, $recipe, $request->word('what'));

        return redirect()
            ->route('library.show', [$layout, 'recipe' => $recipe])
            ->with('said', 'Taken over. The plan reckons with it.');
    }

    public function destroy(Layout $layout, string $recipe, SaveRecipe $work): RedirectResponse
    {
        $work->drop($layout, $recipe);

        return redirect()
            ->route('library.show', [$layout, 'recipe' => $recipe])
            ->with('said', 'Back to the starting values.');
    }
}
