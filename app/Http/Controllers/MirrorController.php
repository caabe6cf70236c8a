<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Water\SaveMirror;
use App\Computed\ProjectLoader;
use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Models\Mirror;
use App\Models\Section;
use Illuminate\Http\RedirectResponse;

/** Mirrors where water would end. */
final class MirrorController
{
    public function __construct(private readonly SaveMirror $mirrors)
    {
    }

    public function store(Fields $request, Layout $layout, Section $section): RedirectResponse
    {
        return $this->back($layout, $section, $this->mirrors->add($layout, $section->uid, $request->input())->uid);
    }

    public function update(Fields $request, Layout $layout, Section $section, string $mirror, ProjectLoader $load): RedirectResponse
    {
        $board = $load->of($layout)->section($section->uid);
        $this->mirrors->change($layout, $board, $this->row($layout, $mirror), $request->input());

        return $this->back($layout, $section, $mirror);
    }

    public function destroy(Layout $layout, Section $section, string $mirror): RedirectResponse
    {
        $this->mirrors->putAway($layout, $this->row($layout, $mirror));

        return redirect()->route('water.show', [$layout, $section])->with('said', 'Put away.');
    }

    private function row(Layout $layout, string $uid): Mirror
    {
        return $layout->mirrors()->where('uid', $uid)->firstOrFail();
    }

    private function back(Layout $layout, Section $section, string $mirror): RedirectResponse
    {
        return redirect()->route('water.show', [$layout, $section, 'mirror' => $mirror]);
    }
}
