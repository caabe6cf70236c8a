<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Plan\SaveBenchTimes;
use App\Models\BenchSession;
use App\Models\Layout;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** When there are hands at the bench, and the date of the show. */
final class BenchTimeController
{
    public function __construct(private readonly SaveBenchTimes $sessions)
    {
    }

    public function store(Request $request, Layout $layout): RedirectResponse
    {
        $this->sessions->add($layout, $request->input());

        return redirect()->route('drying.show', $layout)->with('said', 'Added; the plan is made anew.');
    }

    public function destroy(Layout $layout, string $session): RedirectResponse
    {
        /** @var BenchSession $row */
        $row = $layout->benchSessions()->where('uid', $session)->firstOrFail();
        $this->sessions->remove($layout, $row);

        return redirect()->route('drying.show', $layout)->with('said', 'Removed. Undo brings it back.');
    }

    public function showOn(Request $request, Layout $layout): RedirectResponse
    {
        $this->sessions->show($layout, $request->input());

        return redirect()->route('drying.show', $layout);
    }
}
