<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Layout;
use App\Pages\Coats\ShowRules;
use Illuminate\Contracts\View\View;

/** The rule book. */
final class RuleBookController
{
    public function show(Layout $layout, ShowRules $show): View
    {
        return view('coats.rules', $show->of($layout));
    }
}
