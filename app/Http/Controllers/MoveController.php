<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Plan\SaveCoatApplication;
use App\Http\Requests\Fields;
use App\Models\CoatApplication;
use App\Models\Layout;
use IdleRidge\Core\Measure\InvalidValue;
use Illuminate\Http\RedirectResponse;

/** What one does at the bench with a move. */
final class MoveController
{
    public function __construct(private readonly SaveCoatApplication $lay)
    {
    }

    public function store(Fields $request, Layout $layout): RedirectResponse
    {
        $this->lay->start($layout, $request->word('move'));

        return redirect()->route('tonight.show', $layout);
    }

    public function done(Layout $layout, string $application): RedirectResponse
    {
        $this->lay->done($layout, $this->application($layout, $application));

        return redirect()->route('tonight.show', $layout)->with('said', 'Done, and in the journal.');
    }

    public function tick(Fields $request, Layout $layout, string $application): RedirectResponse
    {
        $this->lay->tick($layout, $this->application($layout, $application), (int) $request->number('step'));

        return redirect()->to(route('tonight.show', $layout).'#now');
    }

    public function stop(Fields $request, Layout $layout, string $application): RedirectResponse
    {
        $this->lay->stop(
            $layout,
            $this->application($layout, $application),
            $request->number('share'),
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

    private function application(Layout $layout, string $uid): CoatApplication
    {
        return $layout->applications()->where('uid', $uid)->first() ??
            throw new InvalidValue('That is no longer being laid: somebody stopped it or took it back. This is how it stands.', 'move');
    }
}
