<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Land\SaveFormation;
use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Pages\Layouts\ShowFormations;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The formations that the runs of a layout lie on. */
final class FormationController
{
    public function show(Fields $request, Layout $layout, ShowFormations $show): View
    {
        return view('layouts.formations', $show->of($layout, $request->word('of')));
    }

    public function update(Request $request, Layout $layout, SaveFormation $work): RedirectResponse
    {
        $of = $work->change($layout, $request->input());

        return redirect()->route('formations.show', [$layout, 'of' => $of])->with('said', 'Saved.');
    }
}
