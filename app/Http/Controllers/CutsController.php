<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Cuts\SaveCutCoats;
use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Models\Section;
use App\Pages\Cuts\ExportCuts;
use App\Pages\Cuts\ShowCuts;
use App\Pages\Cuts\ShowStackMesh;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Symfony\Component\HttpFoundation\Response;

final class CutsController
{
    public function __invoke(Fields $request, Layout $layout, Section $section, ShowCuts $show): View
    {
        $view = $request->word('on');

        return view(
            'cuts.show',
            $show->of($layout, $section, in_array($view, ShowCuts::VIEWS, true) ? $view : 'apart', self::wish($request)),
        );
    }

    public function take(Fields $request, Layout $layout, Section $section, string $form, ExportCuts $take): Response
    {
        $paper = $request->word('paper');
        $file = $take->as(
            $form,
            $layout,
            $section,
            $request->word('of'),
            self::wish($request) + ['paper' => $paper === '' ? 'a4' : $paper],
        );

        return response($file['body'], 200, [
            'Content-Type' => $file['type'],
            'Content-Disposition' => "attachment; filename=\"{$file['name']}\"",
        ]);
    }

    public function solids(Layout $layout, Section $section, ShowStackMesh $work): JsonResponse
    {
        return new JsonResponse($work->solids($layout, $section));
    }

    public function plan(Layout $layout, Section $section, SaveCutCoats $work): RedirectResponse
    {
        return redirect()
            ->route('cuts.show', [$layout, $section, 'on' => 'glue'])
            ->with('said', $work->put($layout, $section));
    }

    /** @return array{layer: int, run: string, rise: string, lay: bool} */
    private static function wish(Fields $request): array
    {
        return [
            'layer' => $request->integer('layer'),
            'run' => $request->word('run'),
            'rise' => $request->word('rise'),
            'lay' => $request->word('lay') === 'all',
        ];
    }
}
