<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Pages\Journal\ShowFound;
use Illuminate\Contracts\View\View;

/** Anything of a layout by its words. */
final class FindController
{
    public function show(Fields $request, Layout $layout, ShowFound $show): View
    {
        return view('journal.found', $show->of($layout, $request->word('for')));
    }
}
