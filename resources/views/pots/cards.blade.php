<x-page title="Pot cards" :layout="$layout" :section="$first" current="pots">
    <main class="page wide bench-page" id="land">
        <div class="title no-print">
            <h1>Pot cards</h1>
            <div class="sub">{{ $single ? 'a page each, A6' : 'two beside each other, A4' }},<br>to lie by the scale</div>
            <a class="end" href="{{ request()->fullUrlWithQuery(['size' => $single ? null : 'a6']) }}">{{
                $single ? 'The whole evening on A4' : 'One A6 a pot' }}</a>
            <a href="{{ route('pots.show', $layout) }}">Back to the pots</a>
        </div>
        <div @class(['pot-cards', 'single' => $single])>
            @forelse ($cards as ['offer' => $offer, 'pot' => $pot])
                <article class="card-a6">
                    <h2>{{ ucfirst($offer->mixture->title) }}</h2>
                    <p class="wh">
                        {{ $offer->mixture->action }}{{ $pot['places'] === [] ? '' : ' · '.implode(' · ', $pot['places']) }}
                        @if ($pot['plan']->count > 1)
                            · <b>{{ $pot['plan']->count }} pots of this</b>
                        @endif
                    </p>
                    <ol class="adding">
                        @foreach ($pot['lines'] as $line)
                            <li>
                                <div class="what"><b>{{ $line['material'] }}</b><span class="wh">{{ $line['words'] }}</span></div>
                                <span class="plus">+ <b class="num">{{ $line['add'][0] }}</b> {{ $line['add'][1] }}</span>
                                <span class="scale num"
                                    >{{ $line['scale'][0] ?? '' }}<small>{{ $line['scale'][1] ?? 'not weighed' }}</small></span
                                >
                            </li>
                        @endforeach
                    </ol>
                    {!! $pot['drawing']->toHtml() !!}
                    <p class="last">
                        @if ($pot['within'] !== null)
                            <b>Use it up within {{ $pot['within'] }} min.</b>
                        @elseif ($pot['keeps'] !== '')
                            Closed it keeps until {{ $pot['keeps'] }}.
                        @endif
                        {{ $pot['limit'] }}
                    </p>
                </article>
            @empty
                <p class="blank-words">Nothing has to be mixed or weighed.</p>
            @endforelse
        </div>
    </main>
</x-page>
