<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Shelf\SavePot;
use App\Actions\Shelf\SaveScale;
use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Pages\Pots\ShowPots;
use App\Pages\Pots\ShowWeighing;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** What is mixed and weighed. */
final class PotController
{
    private const ASKED = ['pot', 'cup', 'move', 'recipe', 'by', 'value', 'material', 'mix'];

    public function show(Fields $request, Layout $layout, ShowPots $show): View
    {
        return view('pots.show', $show->of($layout, $this->asked($request)));
    }

    public function cards(Fields $request, Layout $layout, ShowPots $show): View
    {
        return view('pots.cards', ['single' => $request->word('size') === 'a6'] + $show->cards($layout, $this->asked($request)));
    }

    public function weigh(Fields $request, Layout $layout, ShowWeighing $show): View
    {
        $more = ['done' => $request->word('done'), 'before' => $request->word('before'), 'left' => $request->word('left')];

        return view('pots.weigh', $show->of($layout, $this->asked($request) + $more));
    }

    public function scale(Fields $request, Layout $layout, SaveScale $work): RedirectResponse
    {
        $work->keep($layout, $request->word('scale'));

        return redirect()->route('pots.show', $layout)->with('said', $request->word('scale') === '' ? 'No scale.' : 'The scale is set.');
    }

    public function store(Fields $request, Layout $layout, SavePot $work): RedirectResponse
    {
        $pot = $work->mix($layout, $request->input());
        $asked = array_filter(array_diff_key($this->asked($request), ['pot' => true]), fn (string $word): bool => $word !== '');

        return redirect()
            ->to(route('pots.show', [$layout, ...$asked]).'#standing')
            ->with('said', "{$pot->title} mixed.");
    }

    public function stir(Layout $layout, string $pot, SavePot $work): RedirectResponse
    {
        $work->stir($layout, $pot);

        return redirect()->route('pots.show', $layout)->with('said', 'Stirred again.');
    }

    public function pour(Layout $layout, string $pot, SavePot $work): RedirectResponse
    {
        $work->pourAway($layout, $pot);

        return redirect()->route('pots.show', $layout)->with('said', 'Poured away, and in the journal.');
    }

    /** @return array<string, string> */
    private function asked(Fields $request): array
    {
        return array_combine(self::ASKED, array_map($request->word(...), self::ASKED));
    }
}
