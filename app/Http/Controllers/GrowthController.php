<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Models\Section;
use App\Pages\Growth\ExportGrowth;
use App\Pages\Growth\ShowGrowth;
use Illuminate\Contracts\View\View;
use Symfony\Component\HttpFoundation\Response;

/** The Growth screen of a section, and what it is set out by. */
final class GrowthController
{
    public function show(Fields $request, Layout $layout, Section $section, ShowGrowth $show): View
    {
        $tree = $request->number('tree');

        return view('growth.show', $show->of(
            $layout,
            $section,
            $request->word('pick') ?: null,
            $tree === null ? null : (int) $tree,
            $request->word('from'),
            $request->word('on') === 'grass',
        ));
    }

    public function take(Fields $request, Layout $layout, Section $section, string $form, ExportGrowth $take): Response
    {
        $file = $take->as($form, $layout, $section, $request->word('of'), $request->word('paper') ?: 'a4');

        return response($file['body'], 200, [
            'Content-Type' => $file['type'],
            'Content-Disposition' => "attachment; filename=\"{$file['name']}\"",
        ]);
    }
}
