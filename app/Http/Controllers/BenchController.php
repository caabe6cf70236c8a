<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Plan\PlanSearch;
use App\Actions\Plan\SavePlanRules;
use App\Actions\Plan\SaveWhatIf;
use App\Http\UploadedText;
use App\Jobs\SearchPlan;
use App\Models\Layout;
use App\Pages\Plan\ExportCalendar;
use App\Pages\Plan\ShowPlanRules;
use App\Pages\Plan\ShowReadyBy;
use App\Pages\Plan\ShowWhatIf;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** How the layout is planned, what would be if, what is done by a day, and the plan as a calendar. */
final class BenchController
{
    public function __construct(private readonly SavePlanRules $rules, private readonly PlanSearch $search)
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

    public function calendar(Request $request, Layout $layout): RedirectResponse
    {
        $file = UploadedText::of($request, 'calendar', 'Choose a calendar file first.');
        $count = $this->rules->calendar($layout, $file->name, $file->text);

        return redirect()
            ->route('bench.show', $layout)
            ->with('said', $count === 0 ? 'Nothing in it is busy in the coming months.' : "{$count} busy hours taken out of the sessions.");
    }

    public function forget(Request $request, Layout $layout): RedirectResponse
    {
        $this->rules->forget($layout, is_string($request->input('name')) ? $request->input('name') : '');

        return redirect()->route('bench.show', $layout)->with('said', 'Left aside. Undo brings it back.');
    }

    public function ics(Layout $layout, ExportCalendar $export): Response
    {
        return response($export->of($layout), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="bench.ics"',
        ]);
    }

    public function whatIf(Request $request, Layout $layout, ShowWhatIf $show): View
    {
        return view('drying.what-if', $show->of($layout, $request->query()));
    }

    public function keepWhatIf(Request $request, Layout $layout, SaveWhatIf $work): RedirectResponse
    {
        $work->keep($layout, $request->input());

        return redirect()->route('drying.show', $layout)->with('said', 'Kept; the plan is made anew. Undo takes it back.');
    }

    public function by(Request $request, Layout $layout, ShowReadyBy $show): View
    {
        return view('drying.by', $show->of($layout, is_string($request->query('day')) ? $request->query('day') : ''));
    }

    public function visit(Layout $layout, string $session, ShowReadyBy $show): View
    {
        return view('drying.visit', $show->visit($layout, $session));
    }

    public function beginSearch(Layout $layout): RedirectResponse
    {
        SearchPlan::dispatch($layout->id, $this->search->begin($layout));

        return redirect()->route('bench.show', $layout);
    }

    public function searching(Layout $layout, ShowPlanRules $show): View
    {
        return view('drying.search', $show->of($layout));
    }

    public function endSearch(Request $request, Layout $layout): RedirectResponse
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
