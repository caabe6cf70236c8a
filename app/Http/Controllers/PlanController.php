<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Plan\SaveBenchTimes;
use App\Actions\Plan\SaveCoatApplication;
use App\Models\BenchSession;
use App\Models\CoatApplication;
use App\Models\Layout;
use App\Pages\Journal\ShowJournal;
use App\Pages\Plan\ShowDrying;
use App\Pages\Plan\ShowTonight;
use IdleRidge\Core\Measure\InvalidValue;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class PlanController
{
    public function __construct(private readonly SaveCoatApplication $lay, private readonly SaveBenchTimes $sessions)
    {
    }

    public function tonight(Layout $layout, ShowTonight $show): View
    {
        return view('tonight.show', $show->of($layout));
    }

    public function drying(Request $request, Layout $layout, ShowDrying $show): View
    {
        return view('drying.show', $show->of($layout, $this->word($request, 'move')));
    }

    public function journal(Layout $layout, ShowJournal $show): View
    {
        return view('journal.show', $show->of($layout));
    }

    public function start(Request $request, Layout $layout): RedirectResponse
    {
        $this->lay->start($layout, $this->word($request, 'move'));

        return redirect()->route('tonight.show', $layout);
    }

    public function done(Layout $layout, string $application): RedirectResponse
    {
        $this->lay->done($layout, $this->application($layout, $application));

        return redirect()->route('tonight.show', $layout)->with('said', 'Done, and in the journal.');
    }

    public function stop(Request $request, Layout $layout, string $application): RedirectResponse
    {
        $this->lay->stop(
            $layout,
            $this->application($layout, $application),
            is_numeric($request->input('share')) ? (float) $request->input('share') : null,
        );

        return redirect()->route('tonight.show', $layout)->with('said', 'Stopped here; the rest comes back as a move.');
    }

    public function wet(Layout $layout, string $application): RedirectResponse
    {
        $this->lay->stillWet($layout, $this->application($layout, $application));

        return redirect()->route('tonight.show', $layout)->with('said', 'Noted: still wet. The plan waits for it.');
    }

    public function foundWet(Layout $layout, string $application): RedirectResponse
    {
        $this->lay->foundWet($layout, $this->application($layout, $application));

        return redirect()->route('tonight.show', $layout)->with('said', 'Noted: still wet. The plan waits for it.');
    }

    public function foundDry(Layout $layout, string $application): RedirectResponse
    {
        $this->lay->foundDry($layout, $this->application($layout, $application));

        return redirect()->route('tonight.show', $layout)->with('said', 'Noted: dry. Times here are learned from it.');
    }

    public function addSession(Request $request, Layout $layout): RedirectResponse
    {
        $this->sessions->add($layout, $request->input());

        return redirect()->route('drying.show', $layout)->with('said', 'Added; the plan is made anew.');
    }

    public function removeSession(Layout $layout, string $session): RedirectResponse
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

    private function word(Request $request, string $key): string
    {
        $word = $request->input($key);

        return is_string($word) ? $word : '';
    }

    private function application(Layout $layout, string $uid): CoatApplication
    {
        return $layout->applications()->where('uid', $uid)->first() ??
            throw new InvalidValue('That is no longer being laid: somebody stopped it or took it back. This is how it stands.', 'move');
    }
}
