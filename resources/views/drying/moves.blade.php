<section class="sheet moves-sheet">
    <header>
        <h2>{{ $picked ? 'Why not sooner' : 'Moves, in order' }}</h2>
        <span class="meta">
            @if ($picked) touch another pane to ask again @else touch a pane above, or a move, to ask why not sooner @endif
        </span>
        @if ($picked)
            <a class="link end" href="{{ route('drying.show', $layout) }}">All moves</a>
        @elseif (count($moves) > 6)
            <x-filter class="end" for="all-moves" what="moves" />
        @endif
    </header>
    <div class="mv-list" id="all-moves">
        @if ($picked)
            <article class="mv-now">
                <h3>{{ $picked->move->title() }}</h3>
                <p class="wh">
                    {{ $picked->move->place() }} · {{ $words->day($picked->start) }}, {{ $words->clock($picked->start) }} to
                    {{ $words->clock($picked->end) }} · {{ $picked->move->minutes }} min
                </p>
                <p class="why">{{ ucfirst($picked->reason()->text) }}.</p>
                @if ($held)
                    <p class="soft">
                        It is one of those that hold up the end: an hour sooner here may be an hour sooner there.
                    </p>
                @endif
            </article>
        @else
            @forelse ($moves as $placed)
                <a class="mv-line" data-row href="{{ route('drying.show', [$layout, 'move' => $placed->move->id]) }}"
                    ><span class="tm num">{{ $words->at($placed->start)->format('D j M H:i') }}</span
                    ><span><b>{{ $placed->move->title() }}</b><span class="wh">{{ $placed->move->place() }}</span></span
                    ><span class="num">{{ $placed->move->minutes }} min</span></a
                >
            @empty
                <p class="blank-words">
                    @if ($times === []) Nothing can be planned: add an evening.@elseif ($unplaced === []) There is nothing
                    to lay. Zones and their coats are made on Coats.@else Nothing finds a session.@endif
                </p>
            @endforelse
        @endif
        @foreach ($unplaced as $row)
            <div class="nt">
                <i>{{ $row->kind->word() }}</i>
                <div>
                    <div class="nm">{{ $row->move->title() }}<span>{{ $row->move->place() }}</span></div>
                    <p>{{ $row->text }}</p>
                </div>
            </div>
        @endforeach
    </div>
</section>
