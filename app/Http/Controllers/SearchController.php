<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Plan\PlanSearch;
use App\Jobs\SearchPlan;
use App\Models\Layout;
use App\Pages\Plan\ShowPlanRules;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** A longer search for a better plan. */
final class SearchController
{
    public function __construct(private readonly PlanSearch $search)
    {
    }

    public function store(Layout $layout): RedirectResponse
    {
        SearchPlan::dispatch($layout->id, $this->search->begin($layout));

        return redirect()->route('bench.show', $layout);
    }

    public function show(Layout $layout, ShowPlanRules $show): View
    {
        return view('drying.search', $show->of($layout));
    }

    public function update(Request $request, Layout $layout): RedirectResponse
    {
        match ($request->input('do')) {
            'take' => $this->search->take($layout),
            'stop' => $this->search->stop($layout),
            default => $this->search->leave($layout),
        };

        return $request->input('do') === 'take'
            ? redirect()->route('drying.show', $layout)->with('said', 'Taken. Undo brings the plan before it back.')
            : redirect()->route('bench.show', $layout);
    }
}
