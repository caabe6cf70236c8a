<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Layout;
use App\Models\Section;
use App\Workshop\Land\Look;
use App\Workshop\Land\OpenLand;
use App\Workshop\Land\ShowLand;
use App\Workshop\Revising\Turn;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What every change to the land answers with: its views as they stand now, or the way to its page. */
final readonly class LandAnswer
{
    public function __construct(private OpenLand $open, private ShowLand $show, private Turn $turn)
    {
    }

    public function to(Request $request, Layout $layout, Section $section, ?Look $look = null): View|RedirectResponse
    {
        $this->turn->keep($layout->id);
        $look ??= Look::from($request->input());

        return $request->header('HX-Request') === 'true'
            ? view('land.views', $this->show->of($this->open->page($layout, $section, $look), $layout))
            : redirect()->route('land.show', [$layout, $section, 'pick' => $look->picked]);
    }
}
