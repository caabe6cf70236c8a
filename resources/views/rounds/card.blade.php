<x-page title="Card of {{ $section->name }}" :layout="$layout" :section="$section" current="rounds">
    <main class="page wide section-card" id="land">
        <div class="title no-print">
            <h1>Section card</h1>
            <div class="sub">one A5 page,<br>to go with the board</div>
            <div class="ways">
                <a class="btn quiet" href="{{ route('journal.history', [$layout, $section->uid]) }}">History</a>
                <a class="btn quiet" href="{{ route('rounds.show', $layout) }}">Rounds</a>
                <button class="btn" type="button" x-on:click="print">Print</button>
            </div>
        </div>
        <article class="card-a5">
            <header>
                <div>
                    <h2>{{ $section->name }}</h2>
                    <p>{{ $project->layout->name }} · as of {{ $today }}</p>
                </div>
                <div class="weighs">
                    <b class="num">{{ $weight }}</b>
                    <span>{{ $people === 1 ? 'one can lift it' : "{$people} to lift it" }}</span>
                </div>
            </header>
            {!! $drawing->toHtml() !!}
            <dl>
                <div><dt>Size</dt><dd>{{ $size }}{{ $passes === '' ? '' : "; {$passes}" }}</dd></div>
                <div><dt>Balance</dt><dd>{{ $centre }} (the ring); {{ $wet }} when plaster is fresh</dd></div>
                <div><dt>Lift</dt><dd>by the frame, at both ends of the ring’s line; never by land or track</dd></div>
                <div><dt>Take off</dt><dd>{{ implode(', ', $card->off) }}</dd></div>
                <div>
                    <dt>Stands</dt>
                    <dd>
                        {{ $card->stands === []
                            ? 'bare land'
                            : implode('; ', array_map(fn ($one) => "{$one['zone']}: {$one['top']}", $card->stands)) }}
                    </dd>
                </div>
                <div><dt>Fragile</dt><dd>{{ $card->fragile === [] ? 'nothing yet' : implode(', ', $card->fragile) }}</dd></div>
                <div>
                    <dt>Curing</dt>
                    <dd>
                        @forelse ($curing as $one)
                            <p>{{ $one['title'] }} on {{ $one['zone'] }}, until <b>{{ $one['until'] }}</b></p>
                        @empty
                            all dry through
                        @endforelse
                    </dd>
                </div>
                @if ($card->hidden !== [])
                    <div>
                        <dt>Hidden</dt>
                        <dd>
                            {{ implode(', ', array_map(fn ($one) => $one->called(), $card->hidden)) }} under the land: no screw or drill
                            from above
                        </dd>
                    </div>
                @endif
                <div>
                    <dt>Beware</dt>
                    <dd>
                        @foreach ($card->mends as $mend)
                            <p class="bad">{{ $mend->asks }} Not right{{ $mend->note === '' ? '' : ": {$mend->note}" }}.</p>
                        @endforeach
                        @foreach ($repeats as $words)
                            <p>{{ $words }}</p>
                        @endforeach
                        @if ($card->mends === [] && $repeats === [])
                            nothing known
                        @endif
                    </dd>
                </div>
            </dl>
        </article>
    </main>
</x-page>
