<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Layout;
use App\Pages\Plan\ShowTonight;
use Illuminate\Contracts\View\View;

/** The session at the bench. */
final class TonightController
{
    public function show(Layout $layout, ShowTonight $show): View
    {
        return view('tonight.show', $show->of($layout));
    }
}
