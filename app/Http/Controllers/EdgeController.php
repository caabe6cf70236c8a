<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Land\SaveEdge;
use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Models\Section;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Edges of a section. */
final class EdgeController
{
    public function __construct(private readonly LandAnswer $answer)
    {
    }

    public function store(Fields $request, Layout $layout, Section $section, SaveEdge $work): View|RedirectResponse
    {
        $work->on($layout, $section, $request->word('edge'), $request->word('how'));

        return $this->answer->to($request, $layout, $section);
    }
}
