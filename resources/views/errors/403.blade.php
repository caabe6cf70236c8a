<x-page title="Not from this device">
    <main class="page wide" id="land">
        <div class="title"><h1>Not from this device</h1></div>
        <section class="sheet blank">
            <div class="in stack">
                <p>{{
                    $exception->getMessage() !== ''
                        ? $exception->getMessage()
                        : 'Idle Ridge answers here only to the machine it runs on, and to devices that were let in.'
                }}</p>
                <div class="acts"><a class="btn" href="{{ route('layouts.index') }}">All layouts</a></div>
            </div>
        </section>
    </main>
</x-page>
