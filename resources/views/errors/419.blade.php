<x-page title="The page had lain too long">
    <main class="page wide" id="land">
        <div class="title"><h1>The page had lain too long</h1></div>
        <section class="sheet blank">
            <div class="in stack">
                <p>
                    For safety a form is good for two weeks of rest. Go back, load the page again and send it once more; what you typed is
                    still in the form behind.
                </p>
                <div class="acts"><a class="btn" href="{{ route('layouts.index') }}">All layouts</a></div>
            </div>
        </section>
    </main>
</x-page>
