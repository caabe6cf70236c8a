<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Shelf\SaveLot;
use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Pages\Shelf\ShowShelf;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Lots on the shelf. */
final class ShelfController
{
    public function __construct(private readonly SaveLot $lots)
    {
    }

    public function show(Fields $request, Layout $layout, ShowShelf $show): View
    {
        return view('shelf.show', $show->of($layout, $request->word('lot'), $request->word('instead')));
    }

    public function store(Fields $request, Layout $layout): RedirectResponse
    {
        $lot = $this->lots->add($layout, $request->input());

        return redirect()->route('shelf.show', [$layout, 'lot' => $lot->uid])->with('said', 'On the shelf.');
    }

    public function update(Fields $request, Layout $layout, string $lot): RedirectResponse
    {
        $this->lots->describe($layout, $lot, $request->input());

        return redirect()->route('shelf.show', [$layout, 'lot' => $lot])->with('said', 'Kept.');
    }

    public function count(Fields $request, Layout $layout, string $lot): RedirectResponse
    {
        $this->lots->count($layout, $lot, $request->input());

        return redirect()->route('shelf.show', [$layout, 'lot' => $lot])->with('said', 'Counted.');
    }

    public function destroy(Layout $layout, string $lot): RedirectResponse
    {
        $this->lots->throwAway($layout, $lot);

        return redirect()->route('shelf.show', $layout)->with('said', 'Thrown away.');
    }

    public function recover(Fields $request, Layout $layout): RedirectResponse
    {
        $this->lots->recover($layout, $request->input());

        return redirect()->route('shelf.show', $layout)->with('said', 'Taken up again, as a lot of its own.');
    }
}
