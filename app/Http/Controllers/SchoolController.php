<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Coats\SaveCoat;
use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Models\Section;
use App\Models\Zone;
use App\Pages\Coats\ShowSchools;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Schools beside each other. */
final class SchoolController
{
    public function show(Fields $request, Layout $layout, Section $section, ShowSchools $show): View
    {
        return view('coats.schools', $show->of($layout, $section, $request->word('zone'), $request->word('question')));
    }

    public function store(Fields $request, Layout $layout, Section $section, string $zone, SaveCoat $work): RedirectResponse
    {
        /** @var Zone $row */
        $row = $layout->zones()->where('uid', $zone)->firstOrFail();
        $coat = $work->create($layout, $row, [
            'recipe' => 'school:'.($request->word('school')),
        ]);

        return redirect()
            ->route('coats.show', [$layout, $section, 'zone' => $zone, 'coat' => $coat->uid])
            ->with('said', 'Its coats are on the zone.');
    }
}
