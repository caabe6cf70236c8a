<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\FieldFaults;
use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Pages\Layouts\ShowCurves;
use Illuminate\Contracts\View\View;

/** Curves and sizes of a layout. */
final class CurveController
{
    public function show(Fields $request, Layout $layout, ShowCurves $show): View
    {
        $page = $show->of($layout, [
            'radius' => $request->word('radius'),
            'length' => $request->word('length'),
            'width' => $request->word('width'),
            'here' => $request->word('here'),
        ]);

        FieldFaults::show($page['faults']);

        return view('layouts.curves', $page);
    }
}
