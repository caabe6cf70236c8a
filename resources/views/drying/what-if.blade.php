<x-page title="What if" :layout="$layout" :section="$first" current="drying">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="coats.show" />
        <main class="page bench-page" id="land">
            <div class="title">
                <h1>What if</h1>
                <div class="sub">
                    see the end move<br>
                    before anything is kept
                </div>
                <nav class="drying-links" aria-label="About the plan">
                    <a href="{{ route('drying.show', $layout) }}">Drying line</a><a href="{{ route('by.show', $layout) }}">By Sunday</a
                    ><a href="{{ route('bench.show', $layout) }}">How it is planned</a>
                </nav>
            </div>
            <x-said />
            @php($v = fn(string $key, string $else = ''): string => is_scalar($input[$key] ?? null) ? (string) $input[$key] : $else)
            <div class="cols even">
                @include('drying.what-if.change')
                @include('drying.what-if.answer')
            </div>
        </main>
    </div>
</x-page>
