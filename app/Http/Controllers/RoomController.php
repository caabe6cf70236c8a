<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Layouts\SaveRoom;
use App\Models\Layout;
use App\Models\Room;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class RoomController
{
    public function __construct(private readonly SaveRoom $keep)
    {
    }

    public function store(Request $request, Layout $layout): RedirectResponse
    {
        $this->keep->create($layout, $request->input());

        return redirect()->route('layouts.settings', $layout)->with('said', 'Room added.');
    }

    public function update(Request $request, Layout $layout, string $room): RedirectResponse
    {
        $this->keep->change($layout, $this->room($layout, $room), $request->input());

        return redirect()->route('layouts.settings', $layout)->with('said', 'Room saved.');
    }

    public function destroy(Layout $layout, string $room): RedirectResponse
    {
        $this->keep->remove($layout, $this->room($layout, $room));

        return redirect()->route('layouts.settings', $layout)->with('said', 'Room removed. Undo brings it back.');
    }

    private function room(Layout $layout, string $uid): Room
    {
        return $layout->rooms()->where('uid', $uid)->firstOrFail();
    }
}
