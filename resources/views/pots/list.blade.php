<section class="sheet">
    <header>
        <h2>{{ $for === '' ? ($tonight ? 'Tonight' : 'Next session') : 'To mix' }}</h2>
        @if ($rows !== [])
            <a class="meta end" href="{{ route('pots.cards', [$layout, ...$query]) }}">Print cards</a>
        @endif
    </header>
    <nav class="pot-rows" aria-label="Pots to mix">
        @forelse ($rows as $row)
            <a
                @class(['pot-row', 'picked' => $row['picked'], 'there' => $row['count'] === 0])
                href="{{ route('pots.show', [$layout, ...$query, 'pot' => $row['id']]) }}#pot"
                @if ($row['picked']) aria-current="true" @endif
            >
                <span class="tm num">{{ $row['when'] }}</span>
                <span class="nm">{{ ucfirst($row['title']) }}<span>{{ implode(' · ', $row['places']) ?: $row['action'] }}</span></span>
                @if ($row['count'] === 0)
                    <span class="wh">mixed</span>
                @else
                    <span class="size"
                        >{{ $row['count'] > 1 ? "{$row['count']} × " : '' }}<b class="num">{{ $row['size'][0] }}</b>
                        {{ $row['size'][1] }}</span
                    >
                @endif
            </a>
        @empty
            <p class="in soft">
                {{ $faults === [] ? 'Nothing has to be mixed or weighed.' : 'Nothing comes of it.' }}
            </p>
        @endforelse
    </nav>
</section>
@if ($standing !== [])
    <section class="sheet due-sheet" id="standing" data-countdowns data-now="{{ $words->now }}">
        <header><h2>Standing</h2><button class="link end" type="button" data-notices hidden>Say it aloud</button></header>
        @foreach ($standing as $one)
            <div
                @class(['stand', 'spent' => $one['over']])
                @if ($one['until'] !== null)
                    data-at="{{ $one['until'] }}"
                    data-words="It can no longer be worked: {{ $one['title'] }}"
                @endif
            >
                <div class="nm"
                    >{{ ucfirst($one['title']) }}<span>{{ $one['left'] }} of {{ $one['made'] }} left, mixed {{ $one['mixed'] }}</span></div
                >
                @if ($one['until'] !== null)
                    <b class="num" data-left>{{ $one['left_words'] }}</b>
                    <p>{{ $one['over'] ? 'It has set by' : 'It can surely be worked until' }} {{ $one['clock'] }}.</p>
                @else
                    <p>{{ $one['keeps'] }} {{ $one['stirred'] === '' ? '' : "Stirred {$one['stirred']}." }}</p>
                @endif
                <div class="acts">
                    @unless ($one['over'])
                        <form method="post" action="{{ route('pots.stir', [$layout, $one['uid']]) }}">
                            @csrf
                            @seen
                            <button class="link" aria-label="{{ $one['title'] }}: stirred again">Stirred again</button>
                        </form>
                    @endunless
                    <form method="post" action="{{ route('pots.pour', [$layout, $one['uid']]) }}">
                        @csrf
                        @seen
                        <button class="link" aria-label="{{ $one['title'] }}: poured away">Poured away</button>
                    </form>
                </div>
            </div>
        @endforeach
    </section>
@endif
@if ($sold !== [])
    <section class="sheet">
        <header><h2>As it is sold</h2></header>
        <ul class="kit-list">
            @foreach ($sold as [$figure, $unit, $title])
                <li><b class="num">{{ $figure }}</b> {{ $unit }} <span>{{ $title }}</span></li>
            @endforeach
        </ul>
    </section>
@endif
