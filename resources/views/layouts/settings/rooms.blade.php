@use('IdleRidge\Core\Measure\Format')
@use('IdleRidge\Core\Measure\Decimal')
<section class="sheet">
    <header>
        <h2>Rooms</h2>
        <span class="meta">where sections stand and dry; what is set here stands for the air until it is measured</span>
    </header>
    <div class="in">
        @if (count($sections) > 0)
            <ul class="bays">
                @foreach ($bays as ['room' => $room, 'boards' => $boards])
                    <li class="bay" data-room="{{ $room->uid }}">
                        <h3>{{ $room->name }}</h3>
                        <p class="soft small">
                            {{ Format::text($room->day->temperature, '°C', 1) }} by day,
                            {{ Format::text($room->night->temperature, '°C', 1) }} at night
                        </p>
                        <div class="in-room">
                            @forelse ($boards as $board)
                                <div>
                                    {!! $board['drawing']->toHtml() !!}
                                    <span>{{ $project->section($board['uid'])->name }}</span>
                                </div>
                            @empty
                                <p class="soft small">Nothing stands here.</p>
                            @endforelse
                        </div>
                    </li>
                @endforeach
            </ul>
            @if (count($rooms) > 1)
                <p class="soft small">Drag a board into the room it is carried to; what dries on it has dried here until now.</p>
            @endif
        @endif
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
                        :unit="Format::unit($unit)"
                        :value="$value === null ? '' : Format::field($value, $unit, 1)"
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
                            {{ Format::text($room->was->day->temperature, '°C', 1) }} by day and
                            {{ Format::text($room->was->night->temperature, '°C', 1) }} at night.
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
