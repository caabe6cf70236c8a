<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Layout;
use App\Models\Section;
use App\Workshop\Cuts\ShowCuts;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

final class CutsController
{
    public function __invoke(Request $request, Layout $layout, Section $section, ShowCuts $show): View
    {
        return view('cuts.show', $show->of($layout, $section, $request->integer('layer')));
    }
}
