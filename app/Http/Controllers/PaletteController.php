<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Coats\SaveColour;
use App\Models\Colour;
use App\Models\Layout;
use App\Pages\Coats\ShowPalette;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class PaletteController
{
    public function __construct(private readonly SaveColour $colours)
    {
    }

    public function show(Request $request, Layout $layout, ShowPalette $show): View
    {
        return view('coats.palette', $show->of($layout, $request->query()));
    }

    public function store(Request $request, Layout $layout): RedirectResponse
    {
        return redirect()
            ->route('palette.show', [$layout, 'colour' => $this->colours->keep($layout, null, $request->input())])
            ->with('said', 'Mixed.');
    }

    public function update(Request $request, Layout $layout, Colour $colour): RedirectResponse
    {
        return redirect()
            ->route('palette.show', [$layout, 'colour' => $this->colours->keep($layout, $colour, $request->input())])
            ->with('said', 'Mixed again.');
    }

    public function destroy(Layout $layout, Colour $colour): RedirectResponse
    {
        $this->colours->remove($layout, $colour);

        return redirect()->route('palette.show', $layout)->with('said', 'Removed.');
    }
}
