@use('IdleRidge\Core\Measure\Decimal')
<x-page title="Drying line" :layout="$layout" :section="$first" current="drying">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="coats.show" />
        <main class="page drying" id="land">
            <div class="title">
                <h1>Drying line</h1>
                <div class="sub">
                    {{ $span }};<br>
                    starts are safe at {{ Decimal::trimmed(100 * $plan->work->certainty(), 0) }} %
                </div>
                <x-facts :facts="$facts" />
                <nav class="drying-links" aria-label="About the plan">
                    <a href="{{ route('what-if.show', $layout) }}">What if …?</a><a href="{{ route('by.show', $layout) }}">What by then?</a
                    ><a href="{{ route('bench.show', $layout) }}">Planned how?</a>
                </nav>
                <x-undo :layout="$layout" :next="$next" />
            </div>
            <x-said :undo="false" />
            <section class="sheet dusk-sheet">{!! $line->toHtml() !!}</section>
            <div class="cols">
                @include('drying.moves')
                <div class="rcol">
                    @include('drying.sessions')
                </div>
            </div>
        </main>
    </div>
</x-page>
