<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Journal\SaveCheck;
use App\Actions\Journal\SavePhoto;
use App\Actions\Journal\SaveStall;
use App\Http\Requests\Fields;
use App\Http\UploadedText;
use App\Models\Layout;
use App\Models\Section;
use App\Models\Stall;
use App\Pages\Rounds\ShowCard;
use App\Pages\Rounds\ShowRounds;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Rounds: checks, mishaps, the card of a board. */
final class RoundController
{
    public function show(Fields $request, Layout $layout, ShowRounds $show): View
    {
        return view('rounds.show', $show->of($layout, $request->word('check'), $request->number('pass')));
    }

    public function store(Fields $request, Layout $layout, SaveCheck $checks, SavePhoto $photos): RedirectResponse
    {
        if ($request->hasFile('picture')) {
            $file = UploadedText::path($request, 'picture', 'Choose a picture, or take one.');
            $photos->add($layout, $file, ['section' => $request->word('section'), 'caption' => $request->word('asks')]);
        }
        $minutes = $request->word('minutes') === '' ? null : $request->number('minutes') ?? NAN;
        $result = $checks->answer($layout, $request->word('check'), $request->word('answer'), $request->word('note'), $minutes);
        $said = match ($result->answer->value) {
            'right' => 'Right.',
            'later' => 'Put off; it comes back at the end.',
            default => "Not right: {$result->minutes} min to put it right stand in the plan, and what depends on it waits.",
        };

        return redirect()
            ->route($request->word('back') === 'tonight' ? 'tonight.show' : 'rounds.show', $layout)
            ->with('said', $said);
    }

    public function stall(Fields $request, Layout $layout, SaveStall $stalls): RedirectResponse
    {
        $stall = $stalls->add($layout, $request->input());

        return redirect()->to(route('rounds.show', [$layout, 'pass' => $stall->pass]).'#stalls')->with('said', 'On the map.');
    }

    public function unstall(Layout $layout, Stall $stall, SaveStall $stalls): RedirectResponse
    {
        $stalls->putAway($layout, $stall);

        return redirect()->to(route('rounds.show', $layout).'#stalls')->with('said', 'Taken off the map.');
    }

    public function card(Layout $layout, Section $section, ShowCard $show): View
    {
        return view('rounds.card', $show->of($layout, $section->uid));
    }
}
