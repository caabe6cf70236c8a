@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
<section class="sheet">
    <header>
        <h2>Grass as it grows</h2>
        <span class="meta">mixes for {{ $grass['season'] }}</span>
    </header>
    @if ($grass['coats'] === [])
        <p class="blank-words">
            No fibre and no tufts are planned on this board. Give a zone a fibre coat on Coats, and its height outdoors, its colours by
            weight and its patches show here.
        </p>
    @endif
    <ul class="due-list growth-list">
        @foreach ($grass['coats'] as $one)
            <li>
                <b>{{ $one['zone'] }}, {{ mb_strtolower($one['coat']) }}</b>
                <span class="num">
                    @if ($one['grams'])
                        <x-figure :figure="$one['grams']" /> {{ $one['grams']->unit() }}
                    @elseif ($one['pieces'] > 0)
                        {{ $one['pieces'] }} tufts
                    @endif
                </span>
                @if ($one['outdoors'] !== '')
                    <span class="words">{{ Format::length($one['length'], 1) }} is {{ $one['outdoors'] }}</span>
                @endif
                @if ($one['mix'] !== [])
                    <span class="words swatches">
                        @foreach ($one['mix'] as $part)
                            <span><svg viewBox="0 0 10 10" aria-hidden="true"><rect
                                width="10" height="10" fill="{{ $part['hex'] }}" /></svg>
                                {{ Format::text($part['grams'], 'g', 1) }} {{ $part['colour'] }}</span>
                        @endforeach
                    </span>
                @endif
                @if ($one['patches'])
                    <span class="words"
                        >in {{ $one['patches']->count() }} patches,
                        {{ Format::text($one['patches']->area / 100, 'cm²') }} on the plan</span
                    >
                @endif
            </li>
        @endforeach
    </ul>
</section>
@if ($grass['edges'] !== [])
    <section class="sheet">
        <header><h2>Edges</h2></header>
        <ul class="due-list growth-list">
            @foreach ($grass['edges'] as $edge)
                <li>
                    <b>{{ $edge['words'] }}</b>
                    <span class="num"><x-figure :figure="$edge['long']" /> {{ $edge['long']->unit() }}</span>
                    <span class="words"
                        >short into the wild and the wild into the short, the same evening, over
                        <x-figure :figure="$edge['area']" /> {{ $edge['area']->unit() }}</span
                    >
                </li>
            @endforeach
        </ul>
    </section>
@endif
