<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Plan\SaveWhatIf;
use App\Models\Layout;
use App\Pages\Plan\ShowWhatIf;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The plan as it would be. */
final class WhatIfController
{
    public function show(Request $request, Layout $layout, ShowWhatIf $show): View
    {
        return view('drying.what-if', $show->of($layout, $request->query()));
    }

    public function store(Request $request, Layout $layout, SaveWhatIf $work): RedirectResponse
    {
        $work->keep($layout, $request->input());

        return redirect()->route('drying.show', $layout)->with('said', 'Kept; the plan is made anew. Undo takes it back.');
    }
}
