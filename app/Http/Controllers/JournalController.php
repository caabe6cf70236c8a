<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Journal\SaveMatch;
use App\Actions\Journal\SaveNote;
use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Models\Section;
use App\Pages\Journal\ShowHistory;
use App\Pages\Journal\ShowJournal;
use App\Pages\Journal\ShowMatch;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What was done and seen. */
final class JournalController
{
    public function show(Request $request, Layout $layout, ShowJournal $show): View
    {
        return view('journal.show', $show->of($layout, $request->query()));
    }

    /** A note of its own, or about an entry. */
    public function store(Fields $request, Layout $layout, SaveNote $notes): RedirectResponse
    {
        $about = $request->word('about') === '' ? null : $request->word('about');
        $entry = $notes->add($layout, $about, $request->word('section'), $request->word('note'), $request->word('verdict'));

        return redirect()
            ->route('journal.show', [$layout, 'entry' => $entry->about ?? $entry->uid])
            ->with('said', 'Written down.');
    }

    public function history(Layout $layout, Section $section, ShowHistory $show): View
    {
        return view('journal.history', $show->of($layout, $section->uid));
    }

    public function csv(Layout $layout, ShowHistory $show): Response
    {
        return response($show->csv($layout), 200, [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="journal.csv"',
        ]);
    }

    public function match(Fields $request, Layout $layout, ShowMatch $show): View
    {
        return view('journal.match', $show->of($layout, $request->word('from'), $request->word('to')));
    }

    public function lay(Fields $request, Layout $layout, SaveMatch $match): RedirectResponse
    {
        $match->lay($layout, $request->word('from'), $request->word('to'));

        return redirect()
            ->route('journal.match', [$layout, 'from' => $request->word('from'), 'to' => $request->word('to')])
            ->with('said', 'The same coats are to be laid there; the plan has them.');
    }
}
