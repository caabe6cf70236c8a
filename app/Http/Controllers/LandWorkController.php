<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Land\ImportLand;
use App\Actions\Land\SaveEdge;
use App\Actions\Land\SaveRun;
use App\Http\UploadedText;
use App\Models\Layout;
use App\Models\Section;
use App\Pages\Land\CompareLand;
use App\Pages\Land\ShowLandMesh;
use App\Pages\Land\ViewState;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What is done to a section's land beside laying runs and placing features. */
final class LandWorkController
{
    public function __construct(private readonly LandAnswer $answer)
    {
    }

    public function edge(Request $request, Layout $layout, Section $section, SaveEdge $work): View|RedirectResponse
    {
        $work->on($layout, $section, self::word($request, 'edge'), self::word($request, 'how'));

        return $this->answer->to($request, $layout, $section);
    }

    public function wall(Request $request, Layout $layout, Section $section, string $run, SaveRun $work): View|RedirectResponse
    {
        $work->wall($layout, $layout->runs()->where('uid', $run)->firstOrFail(), $request->input());

        return $this->answer->to($request, $layout, $section);
    }

    public function beside(Request $request, Layout $layout, Section $section, string $run, SaveRun $work): View|RedirectResponse
    {
        $new = $work->beside($layout, $layout->runs()->where('uid', $run)->firstOrFail(), $request->input());

        return $this->answer->to(
            $request,
            $layout,
            $section,
            ViewState::from($request->input())->picking($new->uid, 'line')->followingRun($new->uid),
        );
    }

    public function compare(Request $request, Layout $layout, Section $section, CompareLand $work): View
    {
        $step = $request->query('step');

        return view(
            'land.compare',
            ['layout' => $layout, 'section' => $section] +
                $work->of(
                    $layout,
                    $section,
                    self::word($request, 'pick'),
                    self::word($request, 'what'),
                    is_numeric($step) ? (float) $step : null,
                ),
        );
    }

    public function candidate(Request $request, Layout $layout, Section $section, CompareLand $work): RedirectResponse
    {
        $work->take(
            $layout,
            $section,
            self::word($request, 'pick'),
            self::word($request, 'what'),
            is_numeric($request->input('by')) ? (float) $request->input('by') : NAN,
        );

        return redirect()
            ->route('land.show', [$layout, $section, 'pick' => self::word($request, 'pick')])
            ->with('said', 'Taken. Undo brings back what stood before.');
    }

    public function mesh(Layout $layout, Section $section, ShowLandMesh $work): JsonResponse
    {
        return new JsonResponse($work->mesh($layout, $section));
    }

    public function bring(Request $request, Layout $layout, Section $section, ImportLand $work): RedirectResponse
    {
        $file = UploadedText::of($request, 'file', 'Choose a file: track as CSV, DXF, SVG or LandXML, heights as an ASCII grid.');

        return redirect()
            ->route('land.show', [$layout, $section])
            ->with('said', $work->from($layout, $section, $file->name, $file->text, $request->input('size') === 'full'));
    }

    private static function word(Request $request, string $key): string
    {
        $value = $request->input($key);

        return is_string($value) ? $value : '';
    }
}
