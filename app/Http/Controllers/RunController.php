<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Land\SaveRun;
use App\Models\Layout;
use App\Models\Run;
use App\Models\Section;
use App\Pages\Land\ViewState;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class RunController
{
    public function __construct(private readonly SaveRun $work, private readonly LandAnswer $answer)
    {
    }

    public function store(Request $request, Layout $layout, Section $section): View|RedirectResponse
    {
        $run = $this->work->create($layout, $section, $request->input());
        $look = ViewState::from($request->input());

        return $this->answer->to($request, $layout, $section, $look->picking($run->uid, 'line')->followingRun($run->uid));
    }

    public function update(Request $request, Layout $layout, Section $section, string $run): View|RedirectResponse
    {
        $this->work->change($layout, $section, $this->find($layout, $run), $request->input());

        return $this->answer->to($request, $layout, $section, ViewState::from($request->input()));
    }

    public function destroy(Request $request, Layout $layout, Section $section, string $run): View|RedirectResponse
    {
        $this->work->remove($layout, $this->find($layout, $run));

        return $this->answer->to($request, $layout, $section, ViewState::from($request->input())->picking(null));
    }

    private function find(Layout $layout, string $uid): Run
    {
        return $layout->runs()->where('uid', $uid)->firstOrFail();
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
}
