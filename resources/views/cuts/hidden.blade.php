@use('IdleRidge\Core\Measure\Format')
@if ($things === [])
    <p class="blank-words">
        Nothing is noted under this land. Note wires, screws, dowels, motors and pipes where they lie: templates show them at their height,
        and a cut that comes near is told.
    </p>
@else
    {!! $hidden->toHtml() !!}
    @include('cuts.findings', ['findings' => array_filter($findings, fn ($one) => $one->id === 'cut-near-hidden')])
    <ul class="due-list hidden-list">
        @foreach ($things as $thing)
            <li>
                <b>{{ ucfirst($thing->called()) }}</b
                ><span
                    >{{ implode('; ', array_map(fn ($p) => Format::length($p[0]) . ', ' . Format::length($p[1]),
                    $thing->points)) }} ·
                    from {{ Format::length($thing->bottom) }} to {{ Format::length($thing->top) }} high,
                    {{ Format::length($thing->wide) }} wide</span
                >
                <form method="post" action="{{ route('hidden.destroy', [$layout, $section->uid, $thing->uid]) }}">
                    @csrf
                    @method('delete')
                    @seen
                    <button class="link">Take it off</button>
                </form>
            </li>
        @endforeach
    </ul>
@endif
<form class="in stack" method="post" action="{{ route('hidden.store', [$layout, $section->uid]) }}">
    @csrf
    @seen
    <input type="hidden" name="form" value="hidden">
    <div class="trio">
        <x-choice
            form="hidden"
            name="kind"
            label="What lies there"
            :options="array_column(\IdleRidge\Core\Project\HiddenKind::cases(), 'value', 'value')"
        />
        <x-field form="hidden" name="name" id="f-hidden-name" label="Called" />
        <x-field form="hidden" name="places" at="points" label="Where" hint="along, from the front; more after a semicolon" />
    </div>
    <div class="trio">
        <x-field form="hidden" name="bottom" label="From height" />
        <x-field form="hidden" name="top" label="to height" />
        <x-field form="hidden" name="wide" label="Across" />
    </div>
    <div class="acts"><button class="btn quiet">Note it</button></div>
</form>
