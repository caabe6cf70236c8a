<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Ledger\WriteTurn;
use App\Models\Layout;
use App\Models\Section;
use App\Pages\Growth\ShowGrowth;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What a change to a single tree answers with: the page as it stands now, or the way to it. */
final readonly class GrowthAnswer
{
    public function __construct(private ShowGrowth $show, private WriteTurn $turn)
    {
    }

    public function to(Request $request, Layout $layout, Section $section, string $stand, ?int $tree): View|RedirectResponse
    {
        if ($request->header('HX-Request') !== 'true') {
            $pick = ['pick' => $stand] + ($tree === null ? [] : ['tree' => $tree]);

            return redirect()->route('growth.show', [$layout, $section] + $pick);
        }
        $this->turn->keep($layout->id);

        return view('growth.show', $this->show->of($layout, $section, $stand, $tree, ''));
    }
}
