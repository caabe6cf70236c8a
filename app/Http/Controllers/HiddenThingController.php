<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Cuts\SaveHiddenThing;
use App\Http\Requests\Fields;
use App\Models\HiddenThing;
use App\Models\Layout;
use App\Models\Section;
use Illuminate\Http\RedirectResponse;

/** What lies under the land. */
final class HiddenThingController
{
    public function __construct(private readonly SaveHiddenThing $things)
    {
    }

    public function store(Fields $request, Layout $layout, Section $section): RedirectResponse
    {
        $this->things->add($layout, $section->uid, $request->input());

        return redirect()
            ->route('cuts.show', [$layout, $section, 'on' => 'hidden'])
            ->with('said', 'Noted. Cuts and templates show it.');
    }

    public function destroy(Layout $layout, Section $section, string $hiddenThing): RedirectResponse
    {
        $this->things->putAway($layout, HiddenThing::query()->where('layout_id', $layout->id)->where('uid', $hiddenThing)->firstOrFail());

        return redirect()
            ->route('cuts.show', [$layout, $section, 'on' => 'hidden'])
            ->with('said', 'Taken off.');
    }
}
