@props(['facts'])
<dl class="facts">
    @foreach ($facts as $fact)
        <div>
            <dt>{{ $fact['label'] }}</dt>
            <dd>
                @if ($fact['figure'])
                    <x-figure :figure="$fact['figure']" :unit="$fact['unit']" />
                @else
                    <span class="fig-text">{{ $fact['text'] }}</span>
                @endif
                <small>{{ $fact['unit'] }}</small>
            </dd>
        </div>
    @endforeach
</dl>
