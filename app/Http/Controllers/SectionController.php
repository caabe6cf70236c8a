<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Layouts\SaveSection;
use App\Actions\Ledger\WriteTurn;
use App\Models\Layout;
use App\Models\Section;
use App\Pages\Layouts\ShowLayouts;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class SectionController
{
    public function __construct(
        private readonly SaveSection $place,
        private readonly ShowLayouts $show,
        private readonly WriteTurn $turn,
    ) {
    }

    public function store(Request $request, Layout $layout): RedirectResponse
    {
        return redirect()->route('land.show', [$layout, $this->place->create($layout, $request->input())]);
    }

    public function beside(Request $request, Layout $layout): RedirectResponse
    {
        $row = $this->place->create($layout, $request->input());

        return redirect()->route('layouts.settings', [$layout, 'pick' => $row->uid]);
    }

    public function place(Request $request, Layout $layout, Section $section): View|RedirectResponse
    {
        $this->place->place($layout, $section, $request->input());

        return $this->onSheet($request, $layout, $section);
    }

    public function carry(Request $request, Layout $layout, Section $section): View|RedirectResponse
    {
        $this->place->carry($layout, $section, $request->input());

        return $this->onSheet($request, $layout, $section);
    }

    /** The sheet as it stands now, for what was dragged there; otherwise the way to it. */
    private function onSheet(Request $request, Layout $layout, Section $section): View|RedirectResponse
    {
        if ($request->header('HX-Request') !== 'true') {
            return redirect()->route('layouts.settings', [$layout, 'pick' => $section->uid]);
        }
        $this->turn->keep($layout->id);

        return view('layouts.settings', $this->show->one($layout, $section->uid, atOnce: true));
    }

    public function foam(Request $request, Layout $layout, Section $section): RedirectResponse
    {
        $this->place->foam($layout, $section, $request->input());

        return redirect()->route('cuts.show', [$layout, $section, 'on' => 'board'])->with('said', 'Its layers are cut round what stands.');
    }

    public function update(Request $request, Layout $layout, Section $section): RedirectResponse
    {
        $this->place->change($layout, $section, $request->input());

        return redirect()->route('layouts.settings', [$layout, 'pick' => $section->uid])->with('said', "{$section->name} saved.");
    }

    public function destroy(Layout $layout, Section $section): RedirectResponse
    {
        $this->place->remove($layout, $section);

        return redirect()->route('layouts.settings', $layout)->with('said', "{$section->name} removed. Undo brings it back.");
    }
}
