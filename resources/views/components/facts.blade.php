@props(['facts'])
<dl class="facts">
    @foreach ($facts as $fact)
        @php($unit = $fact['unit'] ?? ($fact['figure']?->unit() ?? ''))
        <div>
            <dt>{{ $fact['label'] }}</dt>
            <dd>
                @if ($fact['figure'])
                    <x-figure :figure="$fact['figure']" :unit="$unit" />
                @else
                    <span class="fig-text">{{ $fact['text'] }}</span>
                @endif
                <small>{{ $unit }}@if ($fact['note'] ?? '')<span>{{ $fact['note'] }}</span>@endif</small>
            </dd>
        </div>
    @endforeach
</dl>
