@php
    use IdleRidge\Core\Measure\Decimal;
    use IdleRidge\Core\Measure\Length;
    $units = $sheet->units;
    $shown = fn(string $field, float $mm): string => isset($sheet->typed[$field]) &&
    abs(Length::parse($sheet->typed[$field], $units) - $mm) < 1e-6
        ? $sheet->typed[$field]
        : Length::field($mm, $units);
    $in = $units->value === 'metric' ? 'mm' : 'in';
@endphp
<x-page :title="$layout->name" :layout="$layout" :section="$sections->first()" current="settings">
    <main class="page wide" id="land">
        <div class="title">
            <h1>{{ $layout->name }}</h1>
            <div class="sub">
                Layout sheet: what holds for every board.<br>
                Lengths may be typed as 38 mm, 2.4 m or 1 1/2".
            </div>
            <div class="end undo-pair">
                <form method="post" action="{{ route('layouts.undo', $layout) }}">
                    @csrf
                    @seen
                    <button
                        class="btn quiet"
                        data-undo
                        @disabled($next['undo'] === null)
                        @if ($next['undo']) title="{{ $next['undo'] }}" @endif
                    >
                        Undo
                    </button>
                </form>
                <form method="post" action="{{ route('layouts.redo', $layout) }}">
                    @csrf
                    @seen
                    <button
                        class="btn quiet"
                        data-redo
                        @disabled($next['redo'] === null)
                        @if ($next['redo']) title="{{ $next['redo'] }}" @endif
                    >
                        Redo
                    </button>
                </form>
            </div>
        </div>
        @if (session('said'))
            <p class="said" role="status">{{ session('said') }}</p>
        @endif
        <div class="desk settings">
            <div class="cards">
                <section class="sheet">
                    <header>
                        <h2>Sections</h2>
                        <span class="meta">x and y of the lower left corner in the layout; base is the board top over the datum</span>
                    </header>
                    <div class="in">
                        @if ($boards) {!! $boards->toHtml() !!}@endif
                        @foreach ($sections as $row)
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
                                        abs(Length::parse($row->typed[$field], $units) - $row->$field) < 1e-6 ? $row->typed[$field] :
                                        Length::field($row->$field, $units))))
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
                            @php($mine = old('form') === 'new')
                            @foreach (['name' => ['Add a section', ''], 'width_mm' => ['Width', '1200 mm'],
                                'depth_mm' => ['Depth', '600 mm']]
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
                <section class="sheet">
                    <header>
                        <h2>Rooms</h2>
                        <span class="meta">where sections stand and dry; what is set here stands for the air until it is measured</span>
                    </header>
                    <div class="in">
                        @foreach ([...$rooms, null] as $room)
                            @php($form = $room ? 'room-' . $room->uid : 'room-new')
                            <form
                                class="section-row room-row"
                                method="post"
                                action="{{ $room ? route('rooms.update', [$layout, $room->uid]) : route('rooms.store', $layout) }}"
                            >
                                @csrf
                                @seen
                                @if ($room) @method('PATCH')@endif
                                <input type="hidden" name="form" value="{{ $form }}">
                                <x-field
                                    :form="$form"
                                    :id="$form . '-name'"
                                    name="name"
                                    :label="$room ? 'Name' : 'Add a room'"
                                    :value="$room->name ?? ''"
                                />
                                @foreach ([
                                        'day_c' => ['Day', '°C', $room?->day->temperature],
                                        'day_rh' => ['air', '%', $room?->day->humidity],
                                        'night_c' => ['Night', '°C', $room?->night->temperature],
                                        'night_rh' => ['air', '%', $room?->night->humidity],
                                        'volume_m3' => ['Size', 'm³', $room?->volume],
                                        'air_changes' => ['Changes', '/h', $room?->airChanges]
                                    ]
                                    as $field => [$label, $unit, $value])
                                    <x-field
                                        :form="$form"
                                        :id="$form . '-' . $field"
                                        :name="$field"
                                        :label="$label"
                                        :unit="$unit"
                                        :value="$value === null ? '' : Decimal::trimmed($value, 1)"
                                        mode="decimal"
                                    />
                                @endforeach
                                <x-field
                                    :form="$form"
                                    :id="$form . '-day_from'"
                                    name="day_from"
                                    label="Day from"
                                    :value="$room ? \IdleRidge\Core\Schedule\BenchTime::clock($room->dayFrom) : ''"
                                />
                                <x-field
                                    :form="$form"
                                    :id="$form . '-day_to'"
                                    name="day_to"
                                    label="to"
                                    :value="$room ? \IdleRidge\Core\Schedule\BenchTime::clock($room->dayTo) : ''"
                                />
                                <x-choice
                                    :form="$form"
                                    :id="$form . '-airflow'"
                                    name="airflow"
                                    label="Air is"
                                    :options="['closed' => 'closed', 'still' => 'still', 'moving' => 'moving', 'fan' => 'a fan']"
                                    :value="$room
                                        ? (array_search($room->day->airflow, \IdleRidge\Core\Cure\Climate::AIRFLOW_FACTORS, true) ?:
                                        'still') : 'still'"
                                />
                                @if ($room)
                                    <p class="soft small wide">
                                        @if ($room->was)
                                            So since {{ $roomSince($room) }}; before,
                                            {{ Decimal::trimmed($room->was->day->temperature, 1) }} °C by day and
                                            {{ Decimal::trimmed($room->was->night->temperature, 1) }} °C at night.
                                        @endif
                                        What is changed holds from now on.
                                    </p>
                                @endif
                                <div class="row-acts">
                                    <button class="btn quiet">{{ $room ? 'Save' : 'Add the room' }}</button>
                                    @if ($room)
                                        <label class="check"
                                            ><input type="checkbox" name="always" value="1"> it was always so: correct the past too</label
                                        >
                                    @endif
                                    @if ($room)
                                        <a class="btn quiet" href="{{ route('rooms.show', [$layout, $room->uid]) }}">Readings</a>
                                    @endif
                                    @if ($room && count($rooms) > 1)
                                        <button class="link" form="drop-{{ $form }}">Remove</button>
                                    @endif
                                </div>
                            </form>
                            @if ($room && count($rooms) > 1)
                                <form id="drop-{{ $form }}" method="post" action="{{ route('rooms.destroy', [$layout, $room->uid]) }}">
                                    @csrf
                                    @seen
                                    @method('DELETE')
                                    <input type="hidden" name="form" value="{{ $form }}">
                                </form>
                            @endif
                        @endforeach
                    </div>
                </section>
                <section class="sheet">
                    <header>
                        <h2>History</h2>
                        <span class="meta">the last changes; undo and redo go back across restarts</span>
                    </header>
                    <ol class="in history">
                        @forelse ($history as $entry)
                            <li><span class="num soft">{{ $entry['at'] }}</span> {{ $entry['sentence'] }}</li>
                        @empty
                            <li class="soft">Nothing has been changed yet.</li>
                        @endforelse
                    </ol>
                </section>
            </div>
            <div class="side">
                <section class="sheet">
                    <header><h2>Layout</h2></header>
                    <form class="in stack" method="post" action="{{ route('layouts.update', $layout) }}">
                        @csrf
                        @seen
                        @method('PATCH')
                        <input type="hidden" name="form" value="sheet"><input type="hidden" name="viewing_edges[]" value="">
                        <x-field form="sheet" name="name" label="Name" :value="$sheet->name" id="sheet-name" />
                        <div class="pair">
                            <x-field
                                form="sheet"
                                name="ratio"
                                label="Scale"
                                unit="1 to"
                                :value="Decimal::trimmed($sheet->scale->ratio, 4)"
                                mode="decimal"
                            />
                            <x-field form="sheet" name="gauge_mm" label="Gauge" :unit="$in" :value="$shown('gauge_mm', $sheet->gauge)" />
                            <x-choice
                                form="sheet"
                                name="units"
                                label="Lengths"
                                :options="['metric' => 'mm and m', 'imperial' => 'inches and feet']"
                                :value="$units->value"
                            />
                            <x-field form="sheet" name="currency" label="Currency" :value="$sheet->currency" />
                        </div>
                        <x-choice
                            form="sheet"
                            name="zone"
                            label="Time zone"
                            :options="array_combine($zones, $zones)"
                            :value="$sheet->zone"
                        />
                        <div class="pair">
                            <x-field form="sheet" name="region" label="Region" :value="$sheet->region" /><x-field
                                form="sheet"
                                name="season"
                                label="Season"
                                :value="$sheet->season"
                            />
                        </div>
                        <x-field
                            form="sheet"
                            name="north_deg"
                            label="North on the plan"
                            unit="° from the front edge, 90 is straight back"
                            :value="Decimal::trimmed($sheet->northDeg, 1)"
                            mode="decimal"
                        />
                        <fieldset class="edges">
                            <legend>Looked at from</legend>
                            @foreach (['front', 'back', 'left', 'right'] as $edge)
                                <label class="check"
                                    ><input
                                        type="checkbox"
                                        name="viewing_edges[]"
                                        value="{{ $edge }}"
                                        @checked(in_array($edge, $sheet->viewingEdges, true))
                                    >
                                    {{ $edge }}</label
                                >
                            @endforeach
                        </fieldset>
                        <h3>Vehicles</h3>
                        <table class="points vehicles">
                            <thead>
                                <tr>
                                    <th scope="col">What runs</th>
                                    <th scope="col">Body</th>
                                    <th scope="col">Bogies</th>
                                    <th scope="col">Width</th>
                                    <th scope="col">Height</th>
                                </tr>
                            </thead>
                            <tbody>
                                @foreach ([...$sheet->vehicles, null] as $k => $vehicle)
                                    <tr>
                                        @foreach ([
                                                'name' => 'Name',
                                                'body_mm' => 'Body',
                                                'bogie_centres_mm' => 'Bogie centres',
                                                'width_mm' => 'Width',
                                                'height_mm' => 'Height'
                                            ]
                                            as $part => $label)
                                            @php($at = "vehicles/{$k}/{$part}")
                                            @php($now = $vehicle === null ? ''
                                                : ($part === 'name' ? $vehicle->name : Length::field($vehicle->toArray()[$part], $units)))
                                            <td>
                                                <input
                                                    name="vehicles[{{ $k }}][{{ $part }}]"
                                                    aria-label="{{ $label }} of {{ $vehicle === null ? 'a new vehicle' : $vehicle->name }}"
                                                    value="{{ old('form') === 'sheet'
                                                        ? \App\Http\OldInput::text("vehicles.{$k}.{$part}", $now) : $now }}"
                                                    autocomplete="off"
                                                    @if ($vehicle === null && $part === 'name') placeholder="another" @endif
                                                    @if ($errors->has($at)) aria-invalid="true" aria-describedby="vehicle-{{ $k }}-fault"
                                                        @endif
                                                >
                                            </td>
                                        @endforeach
                                    </tr>
                                    @foreach (['name', 'body_mm', 'bogie_centres_mm', 'width_mm', 'height_mm'] as $part)
                                        @if ($errors->has("vehicles/{$k}/{$part}"))
                                        <tr>
                                            <td colspan="5">
                                                <p
                                                    class="fault"
                                                    id="vehicle-{{ $k }}-fault"
                                                >{{ $errors->first("vehicles/{$k}/{$part}") }}</p>
                                            </td>
                                        </tr>
                                    @endif @endforeach
                                @endforeach
                            </tbody>
                        </table>
                        @error('vehicles')
                            <p class="fault">{{ $message }}</p>
                        @enderror
                        <p class="small soft">Empty a row to take its vehicle off. Clearance is kept for all of them.</p>
                        <label class="check"
                            ><input type="hidden" name="felt_grade" value="0"><input
                                type="checkbox"
                                name="felt_grade"
                                value="1"
                                @checked($sheet->feltGrade)
                            >
                            show what curves add to a grade, a rule of thumb</label
                        >
                        <div class="pair">
                            <x-field
                                form="sheet"
                                name="clearance_margin_mm"
                                label="Margin beside them"
                                :unit="$in"
                                :value="$shown('clearance_margin_mm', $sheet->clearanceMargin)"
                            />
                            <x-field
                                form="sheet"
                                name="face_limit_deg"
                                label="Steepest face the skin holds"
                                unit="°"
                                :value="Decimal::trimmed($sheet->faceLimitDeg, 1)"
                            />
                            <x-field
                                form="sheet"
                                name="bank_reach_mm"
                                label="Width allowed for slopes"
                                :unit="$in"
                                :value="$sheet->bankReach === null ? '' : $shown('bank_reach_mm', $sheet->bankReach)"
                            />
                            <x-field
                                form="sheet"
                                name="stiffness_mm"
                                label="Stiffness of the ground"
                                :unit="$in"
                                :value="$shown('stiffness_mm', $sheet->stiffness)"
                            />
                        </div>
                        <div class="acts">
                            <button class="btn {{ count($sections) === 0 ? 'quiet' : '' }}">Save the sheet</button
                            ><a class="btn quiet" href="{{ route('layouts.export', $layout) }}">Export</a>
                        </div>
                    </form>
                </section>
            </div>
        </div>
    </main>
</x-page>
