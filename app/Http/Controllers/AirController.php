<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Air\ImportReadings;
use App\Actions\Layouts\SaveRoom;
use App\Computed\ProjectLoader;
use App\Http\UploadedText;
use App\Models\Layout;
use App\Pages\Air\ShowRoom;
use IdleRidge\Core\Cure\Room;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** One room's air: what was read of it, from where, and what was learned in it. */
final class AirController
{
    public function __construct(private readonly ProjectLoader $load, private readonly ImportReadings $read)
    {
    }

    public function show(Layout $layout, string $room, ShowRoom $show): View
    {
        return view('rooms.show', $show->of($layout, $this->room($layout, $room)));
    }

    public function logger(Request $request, Layout $layout, string $room, SaveRoom $keep): RedirectResponse
    {
        $keep->change($layout, $layout->rooms()->where('uid', $room)->firstOrFail(), [
            'logger' => is_string($request->input('logger')) ? $request->input('logger') : '',
        ]);

        return redirect()
            ->route('rooms.show', [$layout, $room])
            ->with('said', 'Set.');
    }

    public function read(Layout $layout, string $room): RedirectResponse
    {
        $count = $this->read->listen($layout, $this->room($layout, $room));

        return redirect()
            ->route('rooms.show', [$layout, $room])
            ->with('said', $count === 0 ? 'Nothing new.' : "{$count} readings came in.");
    }

    public function air(Request $request, Layout $layout, string $room): RedirectResponse
    {
        $file = UploadedText::of($request, 'file', 'Choose a file of readings first.');

        return redirect()
            ->route('rooms.show', [$layout, $room])
            ->with('said', $this->read->file($layout, $this->room($layout, $room), $file->text));
    }

    private function room(Layout $layout, string $uid): Room
    {
        return array_values(array_filter($this->load->works($layout)->rooms, fn (Room $r): bool => $r->uid === $uid))[0] ?? abort(404);
    }
}
