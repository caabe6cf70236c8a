<x-page title="Not on this layout">
    <main class="page wide" id="land">
        <div class="title"><h1>Not on this layout</h1></div>
        <section class="sheet blank">
            <div class="in stack">
                <p>There is nothing at this address. It may have been removed; undo on the Layout sheet brings records back.</p>
                <div class="acts"><a class="btn" href="{{ route('layouts.index') }}">All layouts</a></div>
            </div>
        </section>
    </main>
</x-page>
