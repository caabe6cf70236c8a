<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Pages\Plan\ShowReadyBy;
use Illuminate\Contracts\View\View;

/** What can be finished by a moment, and what a visit needs. */
final class ReadyByController
{
    public function show(Fields $request, Layout $layout, ShowReadyBy $show): View
    {
        return view('drying.by', $show->of($layout, $request->word('day')));
    }

    public function visit(Layout $layout, string $session, ShowReadyBy $show): View
    {
        return view('drying.visit', $show->visit($layout, $session));
    }
}
