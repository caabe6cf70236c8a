<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Coats\SaveTrial;
use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Models\Trial;
use App\Pages\Journal\ShowTrials;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Trials on scrap. */
final class TrialController
{
    public function __construct(private readonly SaveTrial $trials)
    {
    }

    public function index(Fields $request, Layout $layout, ShowTrials $show): View
    {
        return view('journal.trials', $show->of($layout, $request->word('trial')));
    }

    public function store(Fields $request, Layout $layout): RedirectResponse
    {
        $trial = $this->trials->begin($layout, $request->input());

        return redirect()->route('trials.index', [$layout, 'trial' => $trial->uid])->with('said', 'Begun. Write down what you see of it.');
    }

    public function update(Fields $request, Layout $layout, Trial $trial): RedirectResponse
    {
        $this->trials->fill($layout, $trial, $request->input());

        return redirect()->route('trials.index', [$layout, 'trial' => $trial->uid])->with('said', 'Written down.');
    }

    public function promote(Layout $layout, Trial $trial): RedirectResponse
    {
        $id = $this->trials->promote($layout, $trial);

        return redirect()->route('library.show', [$layout, 'recipe' => $id])->with('said', 'It is a recipe of your own now.');
    }

    public function destroy(Layout $layout, Trial $trial): RedirectResponse
    {
        $this->trials->putAway($layout, $trial);

        return redirect()->route('trials.index', $layout)->with('said', 'Put away.');
    }
}
