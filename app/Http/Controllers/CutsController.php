<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Cuts\SaveCutCoats;
use App\Actions\Cuts\SaveStock;
use App\Models\Layout;
use App\Models\Section;
use App\Pages\Cuts\ExportCuts;
use App\Pages\Cuts\ShowCuts;
use App\Pages\Cuts\ShowStackMesh;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

final class CutsController
{
    public function __invoke(Request $request, Layout $layout, Section $section, ShowCuts $show): View
    {
        $view = self::word($request, 'on');

        return view(
            'cuts.show',
            $show->of($layout, $section, in_array($view, ShowCuts::VIEWS, true) ? $view : 'apart', self::wish($request)),
        );
    }

    public function take(Request $request, Layout $layout, Section $section, string $form, ExportCuts $take): Response
    {
        $paper = self::word($request, 'paper');
        $file = $take->as(
            $form,
            $layout,
            $section,
            self::word($request, 'of'),
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

    public function cut(Layout $layout, Section $section, SaveStock $work): RedirectResponse
    {
        return redirect()
            ->route('cuts.show', [$layout, $section, 'on' => 'sheets'])
            ->with('said', $work->cut($layout, $section));
    }

    public function counted(Request $request, Layout $layout, Section $section, SaveStock $work): RedirectResponse
    {
        $work->counted($layout, $request->input());

        return redirect()
            ->route('cuts.show', [$layout, $section])
            ->with('said', 'Counted.');
    }

    /** @return array{layer: int, run: string, rise: string, lay: bool} */
    private static function wish(Request $request): array
    {
        return [
            'layer' => $request->integer('layer'),
            'run' => self::word($request, 'run'),
            'rise' => self::word($request, 'rise'),
            'lay' => self::word($request, 'lay') === 'all',
        ];
    }

    private static function word(Request $request, string $key): string
    {
        $word = $request->query($key);

        return is_string($word) ? $word : '';
    }
}
