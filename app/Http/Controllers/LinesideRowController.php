<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Growth\SaveGrowthZone;
use App\Actions\Growth\SaveRow;
use App\Computed\ProjectLoader;
use App\Http\Requests\Fields;
use App\Models\Layout;
use App\Models\LinesideRow;
use App\Models\Section;
use Illuminate\Http\RedirectResponse;

/** Fences, poles and all that stands or lies along a line. */
final class LinesideRowController
{
    public function __construct(private readonly SaveRow $rows)
    {
    }

    public function store(Fields $request, Layout $layout, Section $section): RedirectResponse
    {
        $row = $this->rows->add($layout, $section->uid, $request->input());

        return redirect()->route('growth.show', [$layout, $section, 'pick' => $row->uid])->with('said', "{$row->called()} set out.");
    }

    public function update(Fields $request, Layout $layout, Section $section, string $row): RedirectResponse
    {
        $this->rows->change($layout, $this->row($layout, $row), $request->input());

        return redirect()->route('growth.show', [$layout, $section, 'pick' => $row])->with('said', 'Set out anew.');
    }

    public function destroy(Layout $layout, Section $section, string $row): RedirectResponse
    {
        $this->rows->putAway($layout, $this->row($layout, $row));

        return redirect()->route('growth.show', [$layout, $section])->with('said', 'Put away.');
    }

    public function zone(Layout $layout, Section $section, string $row, SaveGrowthZone $zones, ProjectLoader $load): RedirectResponse
    {
        $zone = $zones->along($layout, $load->works($layout)->growth->row($row) ?? abort(404), $section->uid);

        return redirect()->route('coats.show', [$layout, $section, 'zone' => $zone])->with('said', 'It is among the work, and counted.');
    }

    private function row(Layout $layout, string $uid): LinesideRow
    {
        return $layout->linesideRows()->where('uid', $uid)->firstOrFail();
    }
}
