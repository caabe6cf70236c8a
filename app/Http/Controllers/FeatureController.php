<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Land\SaveLandFeature;
use App\Models\LandFeature;
use App\Models\Layout;
use App\Models\Section;
use App\Pages\Land\ViewState;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class FeatureController
{
    public function __construct(private readonly SaveLandFeature $work, private readonly LandAnswer $answer)
    {
    }

    public function store(Request $request, Layout $layout, Section $section): View|RedirectResponse
    {
        $feature = $this->work->create($layout, $section, $request->input());
        $look = ViewState::from($request->input());

        return $this->answer->to($request, $layout, $section, $look->picking($feature->uid, 'line'));
    }

    public function update(Request $request, Layout $layout, Section $section, string $feature): View|RedirectResponse
    {
        $this->work->change($layout, $section, $this->find($layout, $feature), $request->input());

        return $this->answer->to($request, $layout, $section, ViewState::from($request->input()));
    }

    public function destroy(Request $request, Layout $layout, Section $section, string $feature): View|RedirectResponse
    {
        $this->work->remove($layout, $this->find($layout, $feature));

        return $this->answer->to($request, $layout, $section, ViewState::from($request->input())->picking(null));
    }

    private function find(Layout $layout, string $uid): LandFeature
    {
        return $layout->features()->where('uid', $uid)->firstOrFail();
    }
}
