<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Coats\SaveCoat;
use App\Actions\Coats\SavePrices;
use App\Actions\Coats\SaveRecipe;
use App\Models\Layout;
use App\Models\Section;
use App\Models\Zone;
use App\Pages\Coats\ExportTakeOff;
use App\Pages\Coats\ShowLibrary;
use App\Pages\Coats\ShowRules;
use App\Pages\Coats\ShowSchools;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Recipes, schools, the rule book, and the take-off as a file. */
final class LibraryController
{
    public function library(Request $request, Layout $layout, ShowLibrary $show): View
    {
        return view('coats.library', $show->of($layout, self::word($request, 'recipe')));
    }

    public function keep(Request $request, Layout $layout, string $recipe, SaveRecipe $work): RedirectResponse
    {
        $id = $work->keep($layout, $recipe, $request->input());

        return redirect()
            ->route('library.show', [$layout, 'recipe' => $id])
            ->with('said', 'Kept. It is yours now.');
    }

    public function drop(Layout $layout, string $recipe, SaveRecipe $work): RedirectResponse
    {
        $work->drop($layout, $recipe);

        return redirect()
            ->route('library.show', [$layout, 'recipe' => $recipe])
            ->with('said', 'Back to the starting values.');
    }

    public function prices(Request $request, Layout $layout, SavePrices $work): RedirectResponse
    {
        $work->keep($layout, $request->input());

        return redirect()
            ->route('library.show', [$layout, 'recipe' => is_string($request->input('recipe')) ? $request->input('recipe') : ''])
            ->with('said', 'Prices set.');
    }

    public function rules(Layout $layout, ShowRules $show): View
    {
        return view('coats.rules', $show->of($layout));
    }

    public function schools(Request $request, Layout $layout, Section $section, ShowSchools $show): View
    {
        return view('coats.schools', $show->of($layout, $section, self::word($request, 'zone'), self::word($request, 'question')));
    }

    public function take(Request $request, Layout $layout, Section $section, string $zone, SaveCoat $work): RedirectResponse
    {
        /** @var Zone $row */
        $row = $layout->zones()->where('uid', $zone)->firstOrFail();
        $coat = $work->create($layout, $row, [
            'recipe' => 'school:'.(is_string($request->input('school')) ? $request->input('school') : ''),
        ]);

        return redirect()
            ->route('coats.show', [$layout, $section, 'zone' => $zone, 'coat' => $coat->uid])
            ->with('said', 'Its coats are on the zone.');
    }

    public function takeOff(Request $request, Layout $layout, ExportTakeOff $work): Response
    {
        return response($work->csv($layout, self::word($request, 'section')), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="take-off.csv"',
        ]);
    }

    private static function word(Request $request, string $key): string
    {
        $word = $request->query($key);

        return is_string($word) ? $word : '';
    }
}
