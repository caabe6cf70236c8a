<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Begin\CopyLayout;
use App\Actions\Ledger\Ledger;
use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Pages\Layouts\ShowHistory;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

final class HistoryController
{
    public function __construct(private readonly Ledger $ledger)
    {
    }

    public function show(Fields $request, Layout $layout, ShowHistory $show): View
    {
        $before = $request->number('before');

        return view('layouts.history', $show->of($layout, $request->word('for'), $before === null ? null : (int) $before));
    }

    /** What it was after a step, as a layout of its own. */
    public function copy(Layout $layout, int $step, CopyLayout $work): RedirectResponse
    {
        $copy = $work->asAfter($layout, $step);

        return redirect()
            ->route('layouts.settings', $copy)
            ->with('said', "This is a copy of {$layout->name} as it was then; {$layout->name} itself stays as it is.");
    }

    public function undo(Layout $layout): RedirectResponse
    {
        return $this->back($layout, $this->ledger->undo($layout)?->said() ?? 'There is nothing to undo.');
    }

    public function redo(Layout $layout): RedirectResponse
    {
        return $this->back($layout, $this->ledger->redo($layout)?->said() ?? 'There is nothing to redo.');
    }

    /** What other devices ask: how far the history goes, and what was done last. */
    public function step(Request $request, Layout $layout): Response
    {
        $last = $this->ledger->newest($layout);

        return $last === null || (string) $last->id === $request->query('seen')
            ? response('', 204)
            : new JsonResponse(['step' => $last->id, 'said' => $last->sentence]);
    }

    /** Back to where it was asked from, unless that place is gone with the step. */
    private function back(Layout $layout, string $said): RedirectResponse
    {
        $from = url()->previous(route('layouts.settings', $layout));
        $uid = preg_match('#/sections/([0-9A-Z]{26})/#', $from, $m) === 1 ? $m[1] : null;
        $gone = $uid !== null && $layout->sections()->where('uid', $uid)->doesntExist();

        return ($gone ? redirect()->route('layouts.settings', $layout) : redirect()->to($from))->with('said', $said);
    }
}
