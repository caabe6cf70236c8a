<x-page title="That cannot be">
    <main class="page wide" id="land">
        <div class="title"><h1>That cannot be</h1></div>
        <section class="sheet blank">
            <div class="in stack">
                <p>{{
                    isset($faults)
                        ? 'This cannot be shown as it was asked for. Mend what is said here, or go back.'
                        : 'What was sent could not be read. Go back and mend it; nothing was changed.'
                }}</p>
                @foreach ($faults ?? [] as $messages) @foreach ($messages as $message)
                    <p class="fault">{{ $message }}</p>
                @endforeach @endforeach
                <div class="acts"><a class="btn" href="{{ route('layouts.index') }}">All layouts</a></div>
            </div>
        </section>
    </main>
</x-page>
