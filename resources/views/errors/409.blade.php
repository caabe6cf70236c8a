<x-page title="Changed elsewhere">
    <main class="page wide" id="land">
        <div class="title"><h1>Changed elsewhere</h1></div>
        <section class="sheet blank">
            <div class="in stack">
                @include('land.stale', ['back' => url()->previous(route('layouts.index'))])
            </div>
        </section>
    </main>
</x-page>
