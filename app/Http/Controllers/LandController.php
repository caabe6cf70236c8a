<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Land\DragLand;
use App\Computed\Journal\PinnedPhotos;
use App\Models\Layout;
use App\Models\Section;
use App\Pages\Land\OpenLandPage;
use App\Pages\Land\ShowLand;
use App\Pages\Land\ShowMeasure;
use App\Pages\Land\ViewState;
use App\Pages\Rail\ShowRail;
use IdleRidge\Core\Journal\PhotoPin;
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
        private readonly PinnedPhotos $pinned,
        private readonly LandAnswer $answer,
    ) {
    }

    public function show(Request $request, Layout $layout, Section $section): View
    {
        $page = $this->open->page($layout, $section, ViewState::from($request->query()));

        if ($request->header('HX-Request') === 'true') {
            return view('land.views', $this->show->of($page, $layout));
        }
        $around = [
            'rail' => $this->rail->of($page->project, $page->section),
            'pinned' => $this->pinned->beside($layout, $page->section->uid, PhotoPin::Land),
        ];

        return view('land.show', $this->show->of($page, $layout) + $around);
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
}
