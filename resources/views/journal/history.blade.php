<x-page title="History of {{ $section->name }}" :layout="$layout" :section="$section" current="journal">
    <main class="page wide history" id="land">
        <div class="title">
            <h1>{{ $section->name }}</h1>
            <div class="sub">
                its history, oldest first<br>
                {{ $count }} {{ $count === 1 ? 'entry' : 'entries' }}, {{ $pictures }} {{ $pictures === 1 ? 'picture' : 'pictures' }}
            </div>
            <div class="ways no-print">
                <a class="btn quiet" href="{{ route('journal.show', [$layout, 'section' => $section->uid]) }}">In the journal</a>
                <a class="btn quiet" href="{{ route('rounds.card', [$layout, $section->uid]) }}">Section card</a>
                <button class="btn" type="button" x-on:click="print">Print</button>
            </div>
        </div>
        <section class="sheet">
            @forelse ($days as $day => $entries)
                <h2>{{ $day }}</h2>
                @foreach ($entries as $entry)
                    <article class="past">
                        <span class="num">{{ $entry['clock'] }}</span>
                        <div>
                            <p><b @class(['bad' => $entry['bad']])>{{ ucfirst($entry['kind']) }}.</b> {{ $entry['sentence'] }}</p>
                            <p class="wh">
                                {{ implode(' · ', array_filter([
                                    $entry['took'],
                                    $entry['amounts'],
                                    $entry['lots'] === '' ? '' : "from {$entry['lots']}",
                                    $entry['colour'] === null ? '' : "{$entry['colour']['name']}: {$entry['colour']['mix']}",
                                    $entry['air'],
                                ])) }}
                            </p>
                            @foreach ($entry['notes'] as $note)
                                <p class="added">{{ rtrim("{$note['moment']}: {$note['sentence']}", ': ') }} <i>{{ $note['said'] }}</i></p>
                            @endforeach
                            @if ($entry['photos'] !== [])
                                <div class="shots">
                                    @foreach ($entry['photos'] as $photo)
                                        <figure>
                                            <x-shot :layout="$layout" :photo="$photo" size="middle" :lazy="false" told />
                                            <figcaption>{{ $photo->caption }}</figcaption>
                                        </figure>
                                    @endforeach
                                </div>
                            @endif
                        </div>
                    </article>
                @endforeach
            @empty
                <p class="blank-words">Nothing has been done on {{ $section->name }} yet.</p>
            @endforelse
        </section>
    </main>
</x-page>
