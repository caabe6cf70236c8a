<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Land\DragLand;
use App\Models\Layout;
use App\Models\Section;
use App\Pages\Land\ExportLand;
use App\Pages\Land\ExportRelief;
use App\Pages\Land\OpenLandPage;
use App\Pages\Land\ShowLand;
use App\Pages\Land\ShowMeasure;
use App\Pages\Land\ViewState;
use App\Pages\Rail\ShowRail;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

final class LandController
{
    public function __construct(
        private readonly OpenLandPage $open,
        private readonly DragLand $move,
        private readonly ShowLand $show,
        private readonly ShowRail $rail,
        private readonly LandAnswer $answer,
    ) {
    }

    public function show(Request $request, Layout $layout, Section $section): View
    {
        $page = $this->open->page($layout, $section, ViewState::from($request->query()));

        return $request->header('HX-Request') === 'true'
            ? view('land.views', $this->show->of($page, $layout))
            : view('land.show', $this->show->of($page, $layout) + ['rail' => $this->rail->of($page->project, $page->section)]);
    }

    public function preview(Request $request, Layout $layout, Section $section): View
    {
        $page = $this->open->page(
            $layout,
            $section,
            ViewState::from($request->input()),
            $this->move->apply($layout, $section, $request->input()),
        );

        return view('land.views', $this->show->of($page, $layout));
    }

    public function grip(Request $request, Layout $layout, Section $section): View|RedirectResponse
    {
        $this->move->save($layout, $section, $request->input());

        return $this->answer->to($request, $layout, $section);
    }

    public function at(Request $request, Layout $layout, Section $section, ShowMeasure $measure): Response
    {
        return response($measure->at($layout, $section, $request->float('x'), $request->float('y')), 200, [
            'Content-Type' => 'text/plain; charset=utf-8',
        ]);
    }

    public function tape(Request $request, Layout $layout, Section $section, ShowMeasure $measure): Response
    {
        $points = array_map(
            fn (mixed $p): array => is_array($p) && is_numeric($p['x'] ?? null) && is_numeric($p['y'] ?? null)
                ? [(float) $p['x'], (float) $p['y']]
                : [0.0, 0.0],
            array_values((array) $request->query('points', [])),
        );

        return response($measure->tape($layout, $section, $points), 200, ['Content-Type' => 'text/plain; charset=utf-8']);
    }

    public function take(Layout $layout, Section $section, string $form, ExportLand $take): Response
    {
        $file = $take->as($form, $layout, $section);

        return response($file['body'], 200, [
            'Content-Type' => $file['type'],
            'Content-Disposition' => "attachment; filename=\"{$file['name']}\"",
        ]);
    }

    /** The picture of the land that the address names; where that was changed meanwhile and is no longer kept, of what it became. */
    public function relief(Layout $layout, Section $section, string $hash, ExportRelief $export): Response
    {
        ['picture' => $picture, 'lasts' => $lasts] = $export->of($layout, $section, $hash);

        return response($picture, 200, [
            'Content-Type' => 'image/png',
            'Cache-Control' => $lasts ? 'private, max-age=31536000, immutable' : 'no-store',
        ]);
    }
}
