<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Coats\SaveCoat;
use App\Actions\Coats\SaveZone;
use App\Models\Coat;
use App\Models\Layout;
use App\Models\Section;
use App\Models\Zone;
use App\Pages\Coats\ShowCoats;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

final class CoatsController
{
    public function __construct(private readonly SaveZone $zones, private readonly SaveCoat $coats)
    {
    }

    public function show(Request $request, Layout $layout, Section $section, ShowCoats $show): View
    {
        return view('coats.show', $show->of($layout, $section, $request->query()));
    }

    public function storeZone(Request $request, Layout $layout, Section $section): RedirectResponse|Response
    {
        $zone = $this->zones->create($layout, $section, $request->input());
        $drawn = $request->header('HX-Request') === 'true';
        $there = route('coats.show', [$layout, $section, 'zone' => $zone->uid] + ($drawn ? ['edit' => 'zone'] : []));

        return $drawn ? response('', 204, ['HX-Redirect' => $there]) : redirect()->to($there);
    }

    public function updateZone(Request $request, Layout $layout, Section $section, string $zone): RedirectResponse
    {
        $this->zones->change($layout, $this->zone($layout, $zone), $request->input());

        return redirect()->route('coats.show', [$layout, $section, 'zone' => $zone])->with('said', 'Saved.');
    }

    public function destroyZone(Layout $layout, Section $section, string $zone): RedirectResponse
    {
        $this->zones->remove($layout, $this->zone($layout, $zone));

        return redirect()->route('coats.show', [$layout, $section])->with('said', 'Removed. Undo brings it back.');
    }

    public function storeCoat(Request $request, Layout $layout, Section $section, string $zone): RedirectResponse
    {
        $coat = $this->coats->create($layout, $this->zone($layout, $zone), $request->input());

        return redirect()->route('coats.show', [$layout, $section, 'zone' => $zone, 'coat' => $coat->uid]);
    }

    public function updateCoat(Request $request, Layout $layout, Section $section, string $zone, string $coat): RedirectResponse
    {
        $row = $this->coat($layout, $coat);
        if ($request->has('by')) {
            $this->coats->move($layout, $row, $request->integer('by'));
        } else {
            $this->coats->change($layout, $row, $request->input());
        }

        return redirect()->route('coats.show', [$layout, $section, 'zone' => $zone, 'coat' => $coat]);
    }

    public function destroyCoat(Layout $layout, Section $section, string $zone, string $coat): RedirectResponse
    {
        $this->coats->remove($layout, $this->coat($layout, $coat));

        return redirect()->route('coats.show', [$layout, $section, 'zone' => $zone])->with('said', 'Removed. Undo brings it back.');
    }

    private function zone(Layout $layout, string $uid): Zone
    {
        return $layout->zones()->where('uid', $uid)->firstOrFail();
    }

    private function coat(Layout $layout, string $uid): Coat
    {
        return $layout->coats()->where('uid', $uid)->firstOrFail();
    }
}
