<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Cuts\SaveStock;
use App\Models\Layout;
use App\Models\Section;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Foam in store. */
final class CutStockController
{
    public function cut(Layout $layout, Section $section, SaveStock $work): RedirectResponse
    {
        return redirect()
            ->route('cuts.show', [$layout, $section, 'on' => 'sheets'])
            ->with('said', $work->cut($layout, $section));
    }

    public function store(Request $request, Layout $layout, Section $section, SaveStock $work): RedirectResponse
    {
        $work->counted($layout, $request->input());

        return redirect()
            ->route('cuts.show', [$layout, $section])
            ->with('said', 'Counted.');
    }
}
