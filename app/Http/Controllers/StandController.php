<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Growth\SaveGrowthZone;
use App\Actions\Growth\SaveStand;
use App\Actions\Growth\SaveTree;
use App\Computed\ProjectLoader;
use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Models\Section;
use App\Models\Stand;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Stands of trees, and single trees of them. */
final class StandController
{
    public function __construct(
        private readonly SaveStand $stands,
        private readonly SaveTree $trees,
        private readonly GrowthAnswer $answer,
    ) {
    }

    public function store(Fields $request, Layout $layout, Section $section): RedirectResponse
    {
        $stand = $this->stands->add($layout, $section->uid, $request->input());

        return $this->back($layout, $section, $stand->uid)->with('said', count($stand->trees).' trees planted.');
    }

    public function update(Fields $request, Layout $layout, Section $section, string $stand): RedirectResponse
    {
        $changed = $this->stands->change($layout, $this->row($layout, $stand), $request->input());

        return $this->back($layout, $section, $stand)->with('said', count($changed->trees).' trees stand there.');
    }

    public function destroy(Layout $layout, Section $section, string $stand): RedirectResponse
    {
        $this->stands->putAway($layout, $this->row($layout, $stand));

        return redirect()->route('growth.show', [$layout, $section])->with('said', 'Put away.');
    }

    public function plant(Fields $request, Layout $layout, Section $section, string $stand): View|RedirectResponse
    {
        $tree = $this->trees->add($layout, $this->row($layout, $stand), $request->input());

        return $this->answer->to($request, $layout, $section, $stand, $tree);
    }

    public function tree(Fields $request, Layout $layout, Section $section, string $stand, int $tree): View|RedirectResponse
    {
        $this->trees->change($layout, $this->row($layout, $stand), $tree, $request->input());

        return $this->answer->to($request, $layout, $section, $stand, $request->word('out') === '1' ? null : $tree);
    }

    public function zone(Layout $layout, Section $section, string $stand, SaveGrowthZone $zones, ProjectLoader $load): RedirectResponse
    {
        $zone = $zones->under($layout, $load->works($layout)->growth->stand($stand) ?? abort(404));

        return redirect()
            ->route('coats.show', [$layout, $section, 'zone' => $zone])
            ->with('said', 'Its shade is a zone; its trees are counted.');
    }

    private function row(Layout $layout, string $uid): Stand
    {
        return $layout->stands()->where('uid', $uid)->firstOrFail();
    }

    private function back(Layout $layout, Section $section, string $stand): RedirectResponse
    {
        return redirect()->route('growth.show', [$layout, $section, 'pick' => $stand]);
    }
}
