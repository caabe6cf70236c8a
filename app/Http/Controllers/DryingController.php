<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Pages\Plan\ShowDrying;
use Illuminate\Contracts\View\View;

/** The plan over the coming days. */
final class DryingController
{
    public function show(Fields $request, Layout $layout, ShowDrying $show): View
    {
        return view('drying.show', $show->of($layout, $request->word('move')));
    }
}
