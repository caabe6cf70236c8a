@props(['group'])
{{-- What was found, each with its figures, and once what it means and what to do. --}}
@foreach ($group->findings as $finding)
    <span class="of">
        <b @class(['bad' => $finding->severity->value !== 'hint'])>{{ $finding->subject }}.</b>
        @foreach ($finding->figures as $name => $figure)
            <x-figure :figure="$figure" /> {{ $figure->unit() }} {{ str_replace('_', ' ', $name) }}.
        @endforeach
    </span>
@endforeach
{{ $group->why }} {{ $group->do }}
