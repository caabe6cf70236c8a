<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Plan\SavePlanRules;
use App\Http\Requests\Fields;
use App\Http\UploadedText;
use App\Models\Layout;
use App\Pages\Plan\ExportCalendar;
use Illuminate\Http\RedirectResponse;
use Symfony\Component\HttpFoundation\Response;

/** Other people's calendars in, the plan as a calendar out. */
final class CalendarController
{
    public function __construct(private readonly SavePlanRules $rules)
    {
    }

    public function store(Fields $request, Layout $layout): RedirectResponse
    {
        $file = UploadedText::of($request, 'calendar', 'Choose a calendar file first.');
        $count = $this->rules->calendar($layout, $file->name, $file->text);

        return redirect()
            ->route('bench.show', $layout)
            ->with('said', $count === 0 ? 'Nothing in it is busy in the coming months.' : "{$count} busy hours taken out of the sessions.");
    }

    public function destroy(Fields $request, Layout $layout): RedirectResponse
    {
        $this->rules->forget($layout, $request->word('name'));

        return redirect()->route('bench.show', $layout)->with('said', 'Left aside. Undo brings it back.');
    }

    public function show(Layout $layout, ExportCalendar $export): Response
    {
        return response($export->of($layout), 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="bench.ics"',
        ]);
    }
}
