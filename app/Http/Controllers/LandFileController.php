<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Land\ImportLand;
use App\Http\UploadedText;
use App\Models\Layout;
use App\Models\Section;
use App\Pages\Land\ExportLand;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Land and track from files of other programs, and as such. */
final class LandFileController
{
    public function store(Request $request, Layout $layout, Section $section, ImportLand $work): RedirectResponse
    {
        $file = UploadedText::of($request, 'file', 'Choose a file: track as CSV, DXF, SVG or LandXML, heights as an ASCII grid.');

        return redirect()
            ->route('land.show', [$layout, $section])
            ->with('said', $work->from($layout, $section, $file->name, $file->text, $request->input('size') === 'full'));
    }

    public function show(Layout $layout, Section $section, string $form, ExportLand $take): Response
    {
        $file = $take->as($form, $layout, $section);

        return response($file['body'], 200, [
            'Content-Type' => $file['type'],
            'Content-Disposition' => "attachment; filename=\"{$file['name']}\"",
        ]);
    }
}
