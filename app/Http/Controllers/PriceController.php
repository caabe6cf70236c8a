<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Coats\SavePrices;
use App\Http\Requests\Fields;
use App\Models\Layout;
use Illuminate\Http\RedirectResponse;

/** What packs cost. */
final class PriceController
{
    public function store(Fields $request, Layout $layout, SavePrices $work): RedirectResponse
    {
        $work->keep($layout, $request->input());

        return redirect()
            ->route('library.show', [$layout, 'recipe' => $request->word('recipe')])
            ->with('said', 'Prices set.');
    }
}
