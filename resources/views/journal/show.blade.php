<x-page title="Journal" :layout="$layout" :section="$first" current="journal">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="journal.history" />
        <main class="page journal" id="land">
            <div class="title">
                <h1>Journal</h1>
                <div class="sub">
                    {{ $count }} {{ $count === 1 ? 'entry' : 'entries' }}, the latest first;<br>
                    nothing here is ever changed
                </div>
                <div class="ways">
                    <a class="btn quiet" href="{{ route('journal.match', $layout) }}">Match this</a>
                    <a class="btn quiet" href="{{ route('trials.index', $layout) }}">Trials</a>
                    <a class="btn quiet" href="{{ route('journal.csv', $layout) }}">As a table</a>
                </div>
            </div>
            <x-said />
            <div @class(['journal-cols', 'opened' => $open !== null])>
                <section class="sheet journal-sheet">
                    @include('journal.seek')
                    <div class="mv-list" tabindex="0" role="region" aria-label="Entries">
                        @forelse ($days as $day => $entries)
                            <h2>{{ $day }}</h2>
                            @foreach ($entries as $entry)
                                @include('journal.entry')
                            @endforeach
                        @empty
                            <p class="blank-words">
                                @if ($looked === [])
                                    Nothing has been done yet. What is finished on <b>Tonight</b> is written down here, with what went in
                                    and the air of the room.
                                @else
                                    Nothing is written down of that. <a href="{{ route('journal.show', $layout) }}">Show everything</a>
                                @endif
                            </p>
                        @endforelse
                        @if ($before !== null)
                            <p class="older"><a href="{{ route('journal.show', [$layout] + $before) }}">Older entries</a></p>
                        @endif
                    </div>
                </section>
                <div class="rcol">
                    @if ($open !== null)
                        @include('journal.open')
                    @else
                        @include('journal.write', ['about' => null, 'at' => $sections])
                    @endif
                </div>
            </div>
        </main>
    </div>
</x-page>
