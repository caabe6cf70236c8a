@php($here = ($open['uid'] ?? '') === $entry['uid'])
<article @class(['entry', 'picked' => $here]) id="e-{{ $entry['uid'] }}">
    <span class="num">{{ $entry['clock'] }}</span>
    <span @class(['kind', 'bad' => $entry['bad']])>{{ $entry['kind'] }}</span>
    <div>
        <a
            class="what"
            href="{{ route('journal.show', [$layout, 'entry' => $entry['uid']] + $looked) }}"
            @if ($here) aria-current="true" @endif
            >{{ $entry['sentence'] }}</a
        >
        <span class="wh"
            >{{ $entry['section'] }}{{ $entry['amounts'] === '' ? '' : " · {$entry['amounts']}" }}{{
                $entry['lots'] === '' ? '' : "; from {$entry['lots']}" }}</span
        >
        @if ($entry['took'] !== '')
            <span class="wh">{{ $entry['took'] }}{{ $entry['who'] === '' ? '' : ", on {$entry['who']}" }}</span>
        @endif
        @foreach ($entry['notes'] as $note)
            @if ($note['sentence'] !== '')
                <p class="added">{{ $note['sentence'] }}</p>
            @endif
        @endforeach
        @if ($entry['verdict'])
            <span @class(['verdict', 'not' => $entry['verdict'] === 'would not'])>{{ $entry['verdict'] }}</span>
        @endif
    </div>
    <div class="end">
        @if ($entry['photos'] !== [])
            <span class="thumbs">
                @foreach (array_slice($entry['photos'], 0, 3) as $photo)
                    <a href="{{ route('photos.show', [$layout, $photo->uid]) }}"><x-shot :layout="$layout" :photo="$photo" /></a>
                @endforeach
            </span>
        @endif
        <span class="wh">{{ $entry['air'] }}</span>
    </div>
</article>
