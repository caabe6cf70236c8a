<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Water\SaveWaterPlan;
use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Models\Section;
use App\Pages\Water\ExportWater;
use App\Pages\Water\ShowWater;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Symfony\Component\HttpFoundation\Response;

/** The Water screen of a section, how its waters are made, and what they are made by. */
final class WaterController
{
    public function show(Fields $request, Layout $layout, Section $section, ShowWater $show): View
    {
        return view('water.show', $show->of($layout, $section, $request->word('pick') ?: null, $request->word('mirror') ?: null));
    }

    public function take(Fields $request, Layout $layout, Section $section, string $form, ExportWater $take): Response
    {
        $file = $take->as($form, $layout, $section, $request->word('of'), $request->word('paper') ?: 'a4');

        return response($file['body'], 200, [
            'Content-Type' => $file['type'],
            'Content-Disposition' => "attachment; filename=\"{$file['name']}\"",
        ]);
    }

    public function update(Fields $request, Layout $layout, Section $section, string $water, SaveWaterPlan $save): RedirectResponse
    {
        $save->change($layout, $section->uid, $water, $request->input());

        return redirect()->route('water.show', [$layout, $section, 'pick' => $water])->with('said', 'Planned.');
    }

    public function work(Layout $layout, Section $section, string $water, SaveWaterPlan $save): RedirectResponse
    {
        $zone = $save->work($layout, $section->uid, $water);

        return redirect()
            ->route('coats.show', [$layout, $section, 'zone' => $zone])
            ->with('said', 'Its bed is a zone; its coats stand in order.');
    }

    public function shore(Fields $request, Layout $layout, Section $section, string $water, SaveWaterPlan $save): RedirectResponse
    {
        $zone = $save->shore($layout, $section->uid, $water, $request->input());

        return redirect()->route('coats.show', [$layout, $section, 'zone' => $zone])->with('said', 'Its shore is a zone.');
    }
}
