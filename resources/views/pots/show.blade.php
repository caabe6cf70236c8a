<x-page title="Pots" :layout="$layout" :section="$first" current="pots">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="coats.show" />
        <main class="page pots" id="land">
            <div class="title">
                <h1>Pots</h1>
                <div class="sub">
                    @if ($for !== '')
                        {{ $for }}<br>
                        <a href="{{ route('pots.show', $layout) }}"
                            >{{ $tonight ? 'all of tonight’s' : 'all of the next session’s' }}</a
                        >
                    @elseif ($session === '')
                        no session<br>
                        ahead
                    @else
                        {{ $tonight ? 'for tonight,' : 'for the next session,' }}<br>
                        {{ $session }}
                    @endif
                </div>
                @if ($rows !== [] || $standing !== [])
                    <dl class="facts">
                        <div>
                            <dt>To weigh and mix</dt>
                            <dd><b class="num">{{ $toMix }}</b><small>{{ $toMix === 1 ? 'pot' : 'pots' }}</small></dd>
                        </div>
                        <div>
                            <dt>Standing</dt>
                            <dd><b class="num">{{ count($standing) }}</b></dd>
                        </div>
                    </dl>
                @endif
                @if ($pot)
                    <button class="btn lead" form="mix">{{ $pot['done'] }}</button>
                @endif
            </div>
            <x-said />
            @error('pot')
                <p class="fault wide-fault" role="alert">{{ $message }}</p>
            @enderror
            @foreach (array_intersect_key($faults, array_flip(['move'])) as $message)
                <p class="fault wide-fault" role="alert">{{ $message }}</p>
            @endforeach
            <div class="pots-cols">
                <div class="pots-list">
                    @include('pots.list')
                </div>
                @include('pots.pot')
                <div class="rcol">
                    @include('pots.own')
                </div>
            </div>
        </main>
    </div>
</x-page>
