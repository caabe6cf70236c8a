@props(['turns'])
<ol {{ $attributes->class(['act']) }}>
    @foreach ($turns as $turn)
        @if ($turn['waits'] !== '')
            <li class="act-wait">{{ $turn['waits'] }}</li>
        @endif
        @foreach ($turn['steps'] as $step)
            <li @class(['act-step', 'into' => $step['wet'], 'wets' => $step['wets']])>
                {{ $step['do'] }}
                @if ($step['wet'])
                    <small>into the wet</small>
                @endif
            </li>
        @endforeach
    @endforeach
</ol>
