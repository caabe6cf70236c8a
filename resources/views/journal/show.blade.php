<x-page title="Journal" :layout="$layout" :section="$first" current="journal">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="coats.show" />
        <main class="page journal" id="land">
            <div class="title">
                <h1>Journal</h1>
                <div class="sub">
                    {{ $count }} {{ $count === 1 ? 'entry' : 'entries' }}, the latest first;<br>
                    nothing here is ever changed
                </div>
            </div>
            <x-said />
            <section class="sheet journal-sheet">
                <div class="mv-list" tabindex="0" role="region" aria-label="Entries">
                    @forelse ($days as $day => $entries)
                        <h2>{{ $day }}</h2>
                        @foreach ($entries as $entry)
                            <div class="entry">
                                <span class="num">{{ $entry['clock'] }}</span
                                ><span @class(['kind', 'bad' => $entry['kind'] === 'still wet'])>{{ $entry['kind'] }}</span
                                ><span
                                    ><b>{{ $entry['sentence'] }}</b
                                    ><span class="wh"
                                        >{{ $entry['section'].($entry['amounts'] === '' ? '' : " · {$entry['amounts']}") }}{{
                                                $entry['lots'] === '' ? '' : "; from {$entry['lots']}" }}</span></span
                                ><span class="wh">{{ $entry['air'] }}</span>
                            </div>
                        @endforeach
                    @empty
                        <p class="blank-words">
                            Nothing has been done yet. What is finished on <b>Tonight</b> is written down here, with what went in and the
                            air of the room.
                        </p>
                    @endforelse
                </div>
            </section>
        </main>
    </div>
</x-page>
