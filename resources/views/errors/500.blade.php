<x-page title="Something broke here">
    <main class="page wide" id="land">
        <div class="title"><h1>Something broke here</h1></div>
        <section class="sheet blank">
            <div class="in stack">
                <p>Nothing was saved half. The fault is written down in the log; try again, or go back to the layouts.</p>
                <div class="acts"><a class="btn" href="{{ route('layouts.index') }}">All layouts</a></div>
            </div>
        </section>
    </main>
</x-page>
