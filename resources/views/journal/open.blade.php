<section class="sheet entry-sheet" id="entry">
    <header>
        <h2>{{ $open['day'] }}, {{ $open['clock'] }}</h2>
        <a class="meta end" href="{{ route('journal.show', [$layout] + $looked) }}#e-{{ $open['uid'] }}">Close</a>
    </header>
    <p class="lead-words">{{ $open['sentence'] }}</p>
    <dl class="kv">
        <div><dt>Where</dt><dd>{{ $open['section'] }}</dd></div>
        @foreach ([
            'Took' => $open['took'],
            'Put on' => $open['amounts'],
            'From' => $open['lots'],
            'Pot' => $open['pots'],
            'Air then' => $open['air'],
            'On' => $open['who'],
        ] as $label => $words)
            @if ($words !== '')
                <div><dt>{{ $label }}</dt><dd>{{ $words }}</dd></div>
            @endif
        @endforeach
        @if ($open['cure'])
            <div><dt>Over the cure</dt><dd>{{ $open['cure']['air'] }}<small>{{ $open['cure']['until'] }}</small></dd></div>
        @endif
        @if ($open['colour'])
            <div>
                <dt>Colour</dt>
                <dd>
                    <svg class="swatch" viewBox="0 0 14 14" aria-hidden="true">
                        <rect width="14" height="14" fill="{{ $open['colour']['hex'] }}" />
                    </svg>
                    {{ $open['colour']['name'] }}<small>{{ $open['colour']['mix'] }}, as it was mixed then</small>
                </dd>
            </div>
        @endif
    </dl>
    @foreach ($open['alike'] as $one)
        <p class="alike">
            <b @class(['bad' => $one['bad']])>{{ $one['kind'] }}</b>
            {{ $one['moment'] }}
            <span>{{ $one['sentence'] }}</span>
        </p>
    @endforeach
    @foreach ($open['notes'] as $one)
        <div class="note">
            <small>{{ $one['moment'] }}{{ $one['who'] === '' ? '' : ", on {$one['who']}" }}</small>
            @if ($one['sentence'] !== '')
                <p>{{ $one['sentence'] }}</p>
            @endif
            @if ($one['said'])
                <span @class(['verdict', 'not' => $one['said'] === 'would not'])>{{ $one['said'] }}</span>
            @endif
        </div>
    @endforeach
    @if ($open['photos'] !== [])
        <div class="shots">
            @foreach ($open['photos'] as $photo)
                <a href="{{ route('photos.show', [$layout, $photo->uid]) }}"
                    ><x-shot :layout="$layout" :photo="$photo" told />{{ $photo->caption }}</a
                >
            @endforeach
        </div>
    @endif
    @if ($open['zone'] !== '')
        <p class="more-ways"><a href="{{ route('journal.match', [$layout, 'from' => $open['zone']]) }}">Match this on another board</a></p>
    @endif
</section>
@include('journal.write', ['about' => $open['uid'], 'at' => []])
