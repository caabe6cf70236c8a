<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Pages\Coats\ExportTakeOff;
use Symfony\Component\HttpFoundation\Response;

/** What all coats take, as a file. */
final class TakeOffController
{
    public function show(Fields $request, Layout $layout, ExportTakeOff $work): Response
    {
        return response($work->csv($layout, $request->word('section')), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="take-off.csv"',
        ]);
    }
}
