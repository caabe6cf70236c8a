<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Layout;
use App\Pages\Journal\ShowJournal;
use Illuminate\Contracts\View\View;

/** What was done and seen. */
final class JournalController
{
    public function show(Layout $layout, ShowJournal $show): View
    {
        return view('journal.show', $show->of($layout));
    }
}
