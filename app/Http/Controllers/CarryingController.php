<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\FieldFaults;
use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Pages\Layouts\ShowCarrying;
use Illuminate\Contracts\View\View;

/** How the boards are carried. */
final class CarryingController
{
    public function show(Fields $request, Layout $layout, ShowCarrying $show): View
    {
        $page = $show->of($layout, $request->word('width'), $request->word('depth'));
        FieldFaults::show($page['faults']);

        return view('layouts.carrying', $page);
    }
}
