<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\FieldFaults;
use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Pages\Layouts\ShowSpans;
use Illuminate\Contracts\View\View;

/** What bridges a gap, and what that bends and moves. */
final class SpanController
{
    public function show(Fields $request, Layout $layout, ShowSpans $show): View
    {
        $asked = array_combine(ShowSpans::FIELDS, array_map($request->word(...), ShowSpans::FIELDS));
        $page = $show->of($layout, $asked);

        FieldFaults::show($page['faults']);

        return view('layouts.spans', $page);
    }
}
