<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Begin\BeginLayout;
use App\Actions\Layouts\SaveLayout;
use App\Models\Layout;
use App\Pages\Layouts\ShowBeginning;
use App\Pages\Layouts\ShowLayouts;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class LayoutController
{
    public function __construct(private readonly SaveLayout $keep, private readonly ShowLayouts $show)
    {
    }

    public function index(Request $request): View
    {
        $away = $request->session()->get('put_away');

        return view('layouts.index', $this->show->all(is_string($away) ? $away : null));
    }

    public function begin(Request $request, ShowBeginning $page): View
    {
        // What was refused is still to be shown by the page that follows, should a picture be asked for in between.
        if ($request->hasHeader('HX-Request')) {
            $request->session()->reflash();
        }

        return view('layouts.begin', $page->of($request->query() ?: (array) $request->old()));
    }

    public function store(Request $request, BeginLayout $begin): RedirectResponse
    {
        if (! $request->has('board')) {
            return redirect()->route('layouts.settings', $this->keep->create($request->input()));
        }
        $layout = $begin->of($request->input());

        return redirect()->route('land.show', [$layout, $layout->sections()->firstOrFail()])->with('said', $layout->runs()->exists()
            ? 'It stands. Drag what you want otherwise; its foam is on Cuts, what goes onto it on Coats.'
            : 'The board stands. Choose Run and touch where the track begins.');
    }

    public function show(Layout $layout): RedirectResponse
    {
        $section = $layout->sections()->first();

        return $section === null ? redirect()->route('layouts.settings', $layout) : redirect()->route('land.show', [$layout, $section]);
    }

    public function settings(Request $request, Layout $layout): View
    {
        $pick = $request->old('form') ?? $request->query('pick');

        return view('layouts.settings', $this->show->one($layout, is_string($pick) ? $pick : null));
    }

    public function update(Request $request, Layout $layout): RedirectResponse
    {
        $this->keep->change($layout, $request->input());

        if ($request->input('back') !== null) {
            return redirect()->back()->with('said', 'Saved.');
        }
        $pick = $request->input('pick');

        return redirect()->route('layouts.settings', [$layout, ...is_string($pick) ? ['pick' => $pick] : []])->with('said', 'Saved.');
    }

    public function destroy(Layout $layout): RedirectResponse
    {
        $this->keep->putAway($layout);

        return redirect()->route('layouts.index')->with('put_away', $layout->uid);
    }

    public function restore(Layout $layout): RedirectResponse
    {
        $this->keep->bringBack($layout);

        return redirect()->route('layouts.index');
    }
}
