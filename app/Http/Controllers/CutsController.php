<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Layout;
use App\Models\Section;
use App\Workshop\Cuts\ShowCuts;
use App\Workshop\Cuts\TakeCuts;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

final class CutsController
{
    public function take(Request $request, Layout $layout, Section $section, string $form, TakeCuts $take): Response
    {
        $paper = $request->query('paper');
        $file = $take->as($form, $layout, $section, $request->integer('layer'), is_string($paper) && $paper !== '' ? $paper : 'a4', is_string($request->query('run')) ? $request->query('run') : '');

        return response($file['body'], 200, ['Content-Type' => $file['type'], 'Content-Disposition' => "attachment; filename=\"{$file['name']}\""]);
    }

    public function __invoke(Request $request, Layout $layout, Section $section, ShowCuts $show): View
    {
        return view('cuts.show', $show->of($layout, $section, $request->integer('layer'), in_array($request->query('on'), ['sheets', 'closer', 'risers'], true) ? $request->query('on') : 'apart', is_string($request->query('run')) ? $request->query('run') : ''));
    }
}
