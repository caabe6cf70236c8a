<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Pages\Layouts\ExportWhole;
use App\Pages\Layouts\ShowWhole;
use IdleRidge\Core\Measure\InvalidValue;
use Illuminate\Contracts\View\View;
use Symfony\Component\HttpFoundation\Response;

/** All boards together. */
final class WholeController
{
    public function show(Layout $layout, ShowWhole $show): View
    {
        return view('layouts.whole', $show->of($layout));
    }

    public function plan(Fields $request, Layout $layout, ExportWhole $work): Response
    {
        try {
            return self::file($work->plan($layout, $request->number('scale') ?? NAN, $request->word('paper') ?: 'a4'));
        } catch (InvalidValue $refusal) {
            return redirect()->route('whole.show', $layout)->withErrors([$refusal->place => $refusal->getMessage()])->withInput();
        }
    }

    public function templates(Fields $request, Layout $layout, ExportWhole $work): Response
    {
        return self::file($work->templates($layout, $request->word('paper') ?: 'a4'));
    }

    /** @param  array{name: string, type: string, body: string}  $file */
    private static function file(array $file): Response
    {
        return response($file['body'], 200, [
            'Content-Type' => $file['type'],
            'Content-Disposition' => "attachment; filename=\"{$file['name']}\"",
        ]);
    }
}
