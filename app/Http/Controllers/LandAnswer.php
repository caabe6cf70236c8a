<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Ledger\WriteTurn;
use App\Models\Layout;
use App\Models\Section;
use App\Pages\Land\OpenLandPage;
use App\Pages\Land\ShowLand;
use App\Pages\Land\ViewState;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What every change to the land answers with: its views as they stand now, or the way to its page. */
final readonly class LandAnswer
{
    public function __construct(private OpenLandPage $open, private ShowLand $show, private WriteTurn $turn)
    {
    }

    public function to(Request $request, Layout $layout, Section $section, ?ViewState $look = null): View|RedirectResponse
    {
        $this->turn->keep($layout->id);
        $look ??= ViewState::from($request->input());

        return $request->header('HX-Request') === 'true'
            ? view('land.views', $this->show->of($this->open->page($layout, $section, $look), $layout))
            : redirect()->route('land.show', [$layout, $section, 'pick' => $look->picked]);
    }
}
