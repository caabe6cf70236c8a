<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Coats\SaveZone;
use App\Models\Layout;
use App\Models\Section;
use App\Models\Zone;
use App\Pages\Coats\ShowCoats;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Zones of a section, and the Coats screen they stand on. */
final class ZoneController
{
    public function __construct(private readonly SaveZone $zones)
    {
    }

    public function show(Request $request, Layout $layout, Section $section, ShowCoats $show): View
    {
        return view('coats.show', $show->of($layout, $section, $request->query()));
    }

    public function store(Request $request, Layout $layout, Section $section): RedirectResponse|Response
    {
        $zone = $this->zones->create($layout, $section, $request->input());
        $drawn = $request->header('HX-Request') === 'true';
        $there = route('coats.show', [$layout, $section, 'zone' => $zone->uid] + ($drawn ? ['edit' => 'zone'] : []));

        return $drawn ? response('', 204, ['HX-Redirect' => $there]) : redirect()->to($there);
    }

    public function update(Request $request, Layout $layout, Section $section, string $zone): RedirectResponse
    {
        $this->zones->change($layout, $this->zone($layout, $zone), $request->input());

        return redirect()->route('coats.show', [$layout, $section, 'zone' => $zone])->with('said', 'Saved.');
    }

    public function destroy(Layout $layout, Section $section, string $zone): RedirectResponse
    {
        $this->zones->remove($layout, $this->zone($layout, $zone));

        return redirect()->route('coats.show', [$layout, $section])->with('said', 'Removed. Undo brings it back.');
    }

    private function zone(Layout $layout, string $uid): Zone
    {
        return $layout->zones()->where('uid', $uid)->firstOrFail();
    }
}
