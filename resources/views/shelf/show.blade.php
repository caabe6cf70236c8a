@use('IdleRidge\Core\Measure\Format')
<x-page title="Shelf" :layout="$layout" :section="$first" current="shelf">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="coats.show" />
        <main class="page shelf" id="land">
            <div class="title">
                <h1>Shelf</h1>
                <div class="sub">what is in store,<br>what the plan takes</div>
                <dl class="facts">
                    <div>
                        <dt @class(['bad' => $short > 0])>Short</dt>
                        <dd><b class="num">{{ $short }}</b><small>{{ $short === 1 ? 'material' : 'materials' }}</small></dd>
                    </div>
                    <div>
                        <dt @class(['bad' => $over !== []])>Past its time</dt>
                        <dd><b class="num">{{ count($over) }}</b></dd>
                    </div>
                    <div>
                        <dt>To buy</dt>
                        <dd><x-figure :figure="$cost" /><small>{{ $currency }}</small></dd>
                    </div>
                </dl>
                <a class="btn lead" href="{{ route('shopping.show', $layout) }}">Shopping list</a>
            </div>
            <x-said />
            @foreach (['lot', 'laid', 'file'] as $place)
                @error($place)
                    <p class="fault wide-fault" role="alert">{{ $message }}</p>
                @enderror
            @endforeach
            @foreach ($errors->getMessages() as $place => $messages) @if (str_starts_with($place, 'row '))
                <p class="fault wide-fault" role="alert"><b>{{ ucfirst($place) }}:</b> {{ $messages[0] }}</p>
            @endif @endforeach
            <div class="shelf-cols">
                <div class="wide-col">
                    <section class="sheet jars-sheet">
                        @if ($drawing)
                            <header>
                                <h2>On the shelf</h2>
                                <span class="meta">touch a jar for its lot</span>
                                <a class="meta end" href="{{ route('shopping.csv', [$layout, 'stock']) }}">Stock as a table</a>
                            </header>
                            {!! $drawing->toHtml() !!}
                        @else
                            <p class="blank-words">
                                Nothing stands on the shelf yet. Put on it what you have beside this: from then on moves take from it, and
                                what is short is kept back. Of what never stood here nothing is kept back.
                            </p>
                        @endif
                    </section>
                    @include('shelf.needs')
                </div>
                <div class="rcol">
                    @if ($instead !== '')
                        <section class="sheet" id="instead">
                            <header><h2>Instead of {{ $instead }}</h2></header>
                            @forelse ($others as $one)
                                <div @class(['other', 'not' => ! $one['fits']])>
                                    <div class="nm">{{ ucfirst($one['name']) }}<span>for {{ $one['for'] }}</span></div>
                                    <p>
                                        @if ($one['fits'])
                                            Ready {{ $one['days'] }}{{ $one['amounts'] === '' ? '' : ", takes {$one['amounts']}" }}.
                                        @else
                                            <b>Does not do.</b>
                                        @endif
                                        {{ $one['why'] === '' ? '' : $one['why'].'.' }}
                                    </p>
                                </div>
                            @empty
                                <p class="blank-words">Nothing in the library does the same; the coat has to be another.</p>
                            @endforelse
                        </section>
                    @endif
                    @if ($lot)
                        @include('shelf.lot')
                    @endif
                    @include('shelf.new')
                    @include('shelf.again')
                    @if ($sheets !== [])
                        <section class="sheet">
                            <header>
                                <h2>Foam</h2>
                                @if ($first)
                                    <a class="meta end" href="{{ route('cuts.show', [$layout, $first->uid]) }}">Counted on Cuts</a>
                                @endif
                            </header>
                            <table class="plain-table">
                                @foreach ($sheets as $sheet)
                                    <tr>
                                        <td class="num">{{ $sheet['count'] }} ×</td>
                                        <td>{{ $sheet['size'] }}</td>
                                        <td class="soft">{{ $sheet['kind'] }}</td>
                                    </tr>
                                @endforeach
                            </table>
                        </section>
                    @endif
                    @if (count($litres) > 1)
                        <section class="sheet">
                            <header><h2>{{ ucfirst(Format::bulk('ml')[0]) }} costs</h2></header>
                            <table class="plain-table">
                                @foreach ($litres as [$words_, $price])
                                    <tr>
                                        <td>{{ $words_ }}</td>
                                        <td class="num"><x-figure :figure="$price" /></td>
                                    </tr>
                                @endforeach
                            </table>
                        </section>
                    @endif
                </div>
            </div>
        </main>
    </div>
</x-page>
