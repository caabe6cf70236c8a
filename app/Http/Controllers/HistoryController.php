<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Layout;
use App\Workshop\Revising\Ledger;
use Illuminate\Http\RedirectResponse;

final class HistoryController
{
    public function __construct(private readonly Ledger $ledger)
    {
    }

    public function undo(Layout $layout): RedirectResponse
    {
        $done = $this->ledger->undo($layout);

        return $this->back($layout, $done === null ? 'There is nothing to undo.' : "Undone: {$done}.");
    }

    public function redo(Layout $layout): RedirectResponse
    {
        $done = $this->ledger->redo($layout);

        return $this->back($layout, $done === null ? 'There is nothing to redo.' : "Done again: {$done}.");
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
