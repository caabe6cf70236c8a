<x-page title="Too large to take">
    <main class="page wide" id="land">
        <div class="title"><h1>Too large to take</h1></div>
        <section class="sheet blank">
            <div class="in stack">
                <p>
                    What was sent is larger than {{ ini_get('post_max_size') }}. Layouts are taken up to 20 MB, with their pictures up
                    to 250, a picture up to 20, track and heights up to 8, calendars up to 5. Go back and choose a smaller file; nothing
                    was changed.
                </p>
                <div class="acts"><a class="btn" href="{{ route('layouts.index') }}">All layouts</a></div>
            </div>
        </section>
    </main>
</x-page>
