<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Journal\SavePhoto;
use App\Computed\Journal\Pictures;
use App\Http\Requests\Fields;
use App\Http\UploadedText;
use App\Models\Layout;
use App\Models\Photo;
use App\Pages\Journal\ShowPhoto;
use IdleRidge\Core\Measure\InvalidValue;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Symfony\Component\HttpFoundation\Response;

/** Pictures of the journal. */
final class PhotoController
{
    public function __construct(private readonly SavePhoto $photos)
    {
    }

    public function store(Fields $request, Layout $layout): RedirectResponse
    {
        $file = UploadedText::path($request, 'picture', 'Choose a picture, or take one.');
        $photo = $this->photos->add($layout, $file, $request->input());
        $back = $request->word('back');

        return ($back === 'rounds' ? redirect()->route('rounds.show', $layout) : redirect()->route('photos.show', [$layout, $photo->uid]))
            ->with('said', 'The picture is in the journal.');
    }

    public function show(Fields $request, Layout $layout, Photo $photo, ShowPhoto $show): View
    {
        return view('journal.photo', $show->of($layout, $photo, $request->word('with')));
    }

    public function update(Fields $request, Layout $layout, Photo $photo): RedirectResponse
    {
        $this->photos->describe($layout, $photo, $request->input());

        return redirect()->route('photos.show', [$layout, $photo])->with('said', 'Kept.');
    }

    public function touch(Fields $request, Layout $layout, Photo $photo): RedirectResponse
    {
        $what = $request->word('what') === 'white' ? 'white' : 'patch';
        $x = $request->number('x') ?? throw new InvalidValue('Touch the picture.', $what);
        $y = $request->number('y') ?? throw new InvalidValue('Touch the picture.', $what);
        $this->photos->touch($layout, $photo, $what, $x, $y);

        return redirect()->to(route('photos.show', [$layout, $photo]).'#colour');
    }

    public function clear(Layout $layout, Photo $photo): RedirectResponse
    {
        $this->photos->clear($layout, $photo);

        return redirect()->route('photos.show', [$layout, $photo]);
    }

    public function destroy(Layout $layout, Photo $photo): RedirectResponse
    {
        $this->photos->putAway($layout, $photo);

        return redirect()->route('journal.show', $layout)->with('said', 'Put away. Undo brings it back.');
    }

    /** The picture itself: never another one under this address. */
    public function picture(Layout $layout, string $hash, string $size, Pictures $pictures): Response
    {
        return response($pictures->bytes($layout, $hash, $size) ?? abort(404), 200, [
            'Content-Type' => 'image/jpeg',
            'Cache-Control' => 'private, max-age=31536000, immutable',
        ]);
    }
}
