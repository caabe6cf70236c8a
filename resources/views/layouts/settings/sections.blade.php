@use('IdleRidge\Core\Measure\Amount')
@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
<section class="sheet board-sheet" id="boards">
    <header>
        <h2>Boards</h2>
        <span class="meta">drag one to move it; touch outside an edge to look from there</span>
        @if ($picked)
            <div class="tools end" role="group" aria-label="Turn {{ $picked->name }}">
                @foreach (['90' => 'Turn left', '-90' => 'Turn right'] as $turn => $word)
                    <button
                        class="tool"
                        type="button"
                        hx-patch="{{ route('sections.place', [$layout, $picked]) }}"
                        hx-vals="{{ json_encode(['turn' => $turn]) }}"
                        hx-target="#land"
                        hx-select="#land"
                    >{{ $word }}</button>
                @endforeach
            </div>
        @endif
    </header>
    <div
        class="in"
        data-sheet="{{ route('layouts.update', $layout) }}"
        data-here="{{ route('layouts.settings', $layout) }}"
        data-sections="{{ route('sections.store', $layout) }}"
    >
        <div id="faults" role="alert"></div>
        @if ($plan) {!! $plan->toHtml() !!}@else
            <p class="soft">No board yet: add the first one below.</p>
        @endif
        @if ($steps !== [])
            <ul class="joint-steps">
                @foreach ($steps as $finding)
                    <li>
                        <a href="{{ \App\Pages\Words\FindingLink::to($layout, $finding) }}">{{
                            $project->section($finding->section)->name
                        }}</a>
                        <span>{{ $finding->subject }}:</span>
                        <span class="num">{{ Format::length($finding->figures['step']->value, 1) }}</span>
                        <span class="soft">{{ $finding->do }}</span>
                    </li>
                @endforeach
            </ul>
        @endif
        @if ($picked)
            <form class="beside" method="post" action="{{ route('sections.beside', $layout) }}">
                @csrf
                @seen
                <input type="hidden" name="beside" value="{{ $picked->uid }}">
                <span class="soft">Another board beside {{ $picked->name }}:</span>
                @foreach (['left', 'right', 'back', 'front'] as $edge)
                    <button class="link" name="edge" value="{{ $edge }}">{{ $edge }}</button>
                @endforeach
                @error('beside') <p class="fault" role="alert">{{ $message }}</p>@enderror
            </form>
            <ul class="board-list">
                @foreach ($sections as $row)
                    <li>
                        <a
                            href="{{ route('layouts.settings', [$layout, 'pick' => $row->uid]) }}"
                            @if ($row->is($picked)) aria-current="true" @endif
                        >{{ $row->name }}</a>
                        <span class="num">{{ Format::length($row->width_mm) }} × {{ Format::length($row->depth_mm) }}</span>
                        <span>{{ $standsIn[$row->uid] }}</span>
                        <x-state :state="$states[$row->uid]['state']" :word="$states[$row->uid]['word']" />
                    </li>
                @endforeach
            </ul>
        @endif
        @foreach ($sections->where('uid', $picked?->uid) as $row)
            <form
                class="section-row"
                method="post"
                action="{{ route('sections.update', [$layout, $row]) }}"
                id="section-{{ $row->uid }}"
            >
                @csrf
                @seen
                @method('PATCH')
                <input type="hidden" name="form" value="{{ $row->uid }}">
                @php($mine = old('form') === $row->uid)
                @foreach ([
                        'name' => 'Name',
                        'width_mm' => 'Width',
                        'depth_mm' => 'Depth',
                        'x_mm' => 'x',
                        'y_mm' => 'y',
                        'angle_deg' => 'Turn',
                        'base_mm' => 'Base'
                    ]
                    as $field => $label)
                    @php($value = $field === 'name' ? $row->name
                        : ($field === 'angle_deg' ? Decimal::trimmed($row->angle_deg, 3) : (isset($row->typed[$field]) &&
                        abs(Amount::parse($row->typed[$field], 'mm') - $row->$field) < 1e-6 ? $row->typed[$field] :
                        Format::field($row->$field))))
                    <div class="field {{ $field === 'name' ? 'grow' : '' }}">
                        <label for="{{ $row->uid }}-{{ $field }}"
                            >{{ $label }}
                            @if ($field !== 'name')
                                <small>{{ $field === 'angle_deg' ? '°' : $in }}</small>
                            @endif
                        </label>
                        <input
                            id="{{ $row->uid }}-{{ $field }}"
                            name="{{ $field }}"
                            value="{{ $mine ? \App\Http\OldInput::text($field, $value) : $value }}"
                            autocomplete="off"
                            @if ($mine && $errors->has($field)) aria-invalid="true"
                                aria-describedby="{{ $row->uid }}-{{ $field }}-fault" @endif
                        >
                        @if ($mine && $errors->has($field))
                            <p class="fault" id="{{ $row->uid }}-{{ $field }}-fault">{{ $errors->first($field) }}</p>
                        @endif
                    </div>
                @endforeach
                <div class="row-acts">
                    <button class="btn quiet">Save</button
                    ><a class="btn quiet" href="{{ route('land.show', [$layout, $row]) }}">Land</a
                    ><button class="link" form="remove-{{ $row->uid }}">Remove</button>
                    @if (count($rooms) > 1)
                        <label class="check"
                            >stands in
                            <select name="room" aria-label="Room of {{ $row->name }}">
                                @foreach ($rooms as $room)
                                    <option
                                        value="{{ $room->uid }}"
                                        @selected(($row->room ?? $rooms[0]->uid) === $room->uid)
                                    >
                                        {{ $room->name }}
                                    </option>
                                @endforeach</select
                        ></label>
                    @endif
                    <label class="check"
                        ><input type="checkbox" name="leave_land" value="1"> when it moves, leave its land where it
                        is</label
                    >
                    @if ($row->runs_on || in_array($row->uid, $held, true))
                        <label class="check"
                            ><input type="hidden" name="runs_on" value="0"><input
                                type="checkbox"
                                name="runs_on"
                                value="1"
                                @checked($row->runs_on)
                            >
                            its neighbours’ land runs on over it</label
                        >
                    @endif
                </div>
            </form>
            <form id="remove-{{ $row->uid }}" method="post" action="{{ route('sections.destroy', [$layout, $row]) }}">
                @csrf
                @seen
                @method('DELETE')
            </form>
        @endforeach
        <form class="section-row new" method="post" action="{{ route('sections.store', $layout) }}">
            @csrf
            @seen
            <input type="hidden" name="form" value="new">
            @php([$mine, $begin] = [old('form') === 'new', \IdleRidge\Core\Track\StartingValues::board()])
            @foreach (['name' => ['Add a section', ''], 'width_mm' => ['Width', Format::length($begin[0])],
                'depth_mm' => ['Depth', Format::length($begin[1])]]
                as $field => [$label, $value])
                <div class="field {{ $field === 'name' ? 'grow' : '' }}">
                    <label for="new-{{ $field }}">{{ $label }}</label>
                    <input
                        id="new-{{ $field }}"
                        name="{{ $field }}"
                        value="{{ $mine ? \App\Http\OldInput::text($field, $value) : $value }}"
                        @if ($field === 'name') placeholder="name" @endif
                        autocomplete="off"
                        @if ($mine && $errors->has($field)) aria-invalid="true" aria-describedby="new-{{ $field }}-fault"
                            @endif
                        @if ($field === 'name' && count($sections) === 0) autofocus @endif
                    >
                    @if ($mine && $errors->has($field))
                        <p class="fault" id="new-{{ $field }}-fault">{{ $errors->first($field) }}</p>
                    @endif
                </div>
            @endforeach
            <div class="row-acts">
                <button class="btn {{ count($sections) === 0 ? '' : 'quiet' }}">Add the section</button>
            </div>
        </form>
    </div>
</section>
