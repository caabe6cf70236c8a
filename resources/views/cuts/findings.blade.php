@foreach ($findings as $finding)
    <p class="cut-finding">
        <b class="bad">{{ $finding->subject }}.</b>
        @foreach ($finding->figures as $name => $figure)
            <x-figure :figure="$figure" />
            {{ $figure->unit() }} {{ str_replace('_', ' ', $name) }}.
        @endforeach
        {{ $finding->why }} {{ $finding->do }}
    </p>
@endforeach
