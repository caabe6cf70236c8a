<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Plan\SavePlanRules;
use App\Models\Layout;
use App\Pages\Plan\ShowPlanRules;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** How the layout is planned. */
final class PlanRulesController
{
    public function __construct(private readonly SavePlanRules $rules)
    {
    }

    public function show(Layout $layout, ShowPlanRules $show): View
    {
        return view('drying.bench', $show->of($layout));
    }

    public function update(Request $request, Layout $layout): RedirectResponse
    {
        $this->rules->change($layout, $request->input());

        return redirect()->route('bench.show', $layout)->with('said', 'Planned anew.');
    }
}
