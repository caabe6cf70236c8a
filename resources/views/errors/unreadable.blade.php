<x-page title="This layout cannot be read">
    <main class="page wide" id="land">
        <div class="title"><h1>{{ $layout->name }} cannot be read</h1></div>
        <section class="sheet blank">
            <div class="in stack">
                <p>Its pages cannot be shown as it stands. Nothing of it is lost, and the other layouts are as they were.</p>
                @include('layouts.broken')
                <p><a class="link" href="{{ route('layouts.index') }}">All layouts</a></p>
            </div>
        </section>
    </main>
</x-page>
