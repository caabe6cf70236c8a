<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Models\Section;
use App\Pages\Land\CompareLand;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Lands side by side. */
final class CandidateController
{
    public function show(Fields $request, Layout $layout, Section $section, CompareLand $work): View
    {
        return view(
            'land.compare',
            ['layout' => $layout, 'section' => $section] +
                $work->of(
                    $layout,
                    $section,
                    $request->word('pick'),
                    $request->word('what'),
                    $request->word('step'),
                ),
        );
    }

    public function store(Fields $request, Layout $layout, Section $section, CompareLand $work): RedirectResponse
    {
        $work->take(
            $layout,
            $section,
            $request->word('pick'),
            $request->word('what'),
            $request->number('by') ?? NAN,
        );

        return redirect()
            ->route('land.show', [$layout, $section, 'pick' => $request->word('pick')])
            ->with('said', 'Taken. Undo brings back what stood before.');
    }
}
