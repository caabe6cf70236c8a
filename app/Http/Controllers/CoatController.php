<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Coats\SaveCoat;
use App\Actions\Coats\StripCoat;
use App\Models\Coat;
use App\Models\Layout;
use App\Models\Section;
use App\Models\Zone;
use App\Pages\Coats\ExportStick;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Coats of a zone. */
final class CoatController
{
    public function __construct(private readonly SaveCoat $coats)
    {
    }

    public function store(Request $request, Layout $layout, Section $section, string $zone): RedirectResponse
    {
        $coat = $this->coats->create($layout, $this->zone($layout, $zone), $request->input());

        return redirect()->route('coats.show', [$layout, $section, 'zone' => $zone, 'coat' => $coat->uid]);
    }

    public function update(Request $request, Layout $layout, Section $section, string $zone, string $coat): RedirectResponse
    {
        $row = $this->coat($layout, $coat);
        if ($request->has('by')) {
            $this->coats->move($layout, $row, $request->integer('by'));
        } else {
            $this->coats->change($layout, $row, $request->input());
        }

        return redirect()->route('coats.show', [$layout, $section, 'zone' => $zone, 'coat' => $coat]);
    }

    public function destroy(Layout $layout, Section $section, string $zone, string $coat): RedirectResponse
    {
        $this->coats->remove($layout, $this->coat($layout, $coat));

        return redirect()->route('coats.show', [$layout, $section, 'zone' => $zone])->with('said', 'Removed. Undo brings it back.');
    }

    public function stick(Layout $layout, Section $section, string $zone, string $coat, string $form, ExportStick $export): Response
    {
        $file = $export->as($form, $layout, $this->coat($layout, $coat));

        return response($file['body'], 200, [
            'Content-Type' => $file['type'],
            'Content-Disposition' => "attachment; filename=\"{$file['name']}\"",
        ]);
    }

    public function strip(Layout $layout, Section $section, string $zone, string $coat, StripCoat $strip): RedirectResponse
    {
        $row = $this->coat($layout, $coat);
        $strip->strip($layout, $row);

        return redirect()
            ->route('coats.show', [$layout, $section, 'zone' => $zone, 'coat' => $coat])
            ->with('said', 'Stripped, and in the journal; what came off is to be laid again.');
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
