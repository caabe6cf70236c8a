@php($degrees = \IdleRidge\Core\Measure\Format::unit('°C'))
<x-page :title="$room->name" :layout="$layout" :section="$first" current="">
    <main class="page wide room-page" id="land">
        <div class="title">
            <h1>{{ $room->name }}</h1>
            <div class="sub">
                {{
                    $sections === []
                        ? 'no board stands in it'
                        : implode(', ', array_map(fn($s) => $s->name, $sections))
                }};<br>
                {{ $isRead ? 'its air is read' : 'its air is as set on the layout sheet' }}
            </div>
        </div>
        <x-said />
        <div class="grid">
            <div class="col">
                <section class="sheet">
                    <header>
                        <h2>Its air</h2>
                        <span class="meta end">{{ $last ?? 'nothing was read yet' }}</span>
                    </header>
                    <div class="in">{!! $drawing->toHtml() !!}</div>
                    @if ($gaps !== [])
                        <p class="in soft small">Nothing is known {{ implode('; ', $gaps) }}: the usual air of the hour stands there.</p>
                    @endif
                </section>
                <section class="sheet">
                    <header>
                        <h2>Learned here</h2>
                        <span class="meta end">half as long, as long, twice as long as the figures</span>
                    </header>
                    @forelse ($learned as $row)
                        <div class="learned-row">
                            <div>
                                <b>{{ $row['name'] }}</b>
                                <p>{{ $row['words'] }}; nine times in ten {{ $row['range'] }} of it or less.</p>
                            </div>
                            {!! $row['picture']->toHtml() !!}
                        </div>
                    @empty
                        <p class="in soft">
                            Nothing yet. Say on Tonight when something is still wet or dry: times here are then taken from what was seen.
                        </p>
                    @endforelse
                </section>
            </div>
            <div class="col">
                <section class="sheet">
                    <header><h2>A logger</h2></header>
                    <form class="in stack" method="post" action="{{ route('rooms.logger', [$layout, $room->uid]) }}">
                        @csrf
                        @seen
                        @method('PATCH')
                        <input type="hidden" name="form" value="logger">
                        @if ($asks)
                            <p class="fault">
                                This address came with a file, and nothing was asked of it yet. Set it if it is the logger of this room;
                                empty it if not.
                            </p>
                        @endif
                        <x-field
                            form="logger"
                            name="logger"
                            label="Its address"
                            :value="$room->logger"
                            hint="such as http://127.0.0.1:8090/workroom; empty for none"
                        />
                        <div class="acts">
                            <button class="btn quiet">Set</button>
                            @if ($room->logger !== '' && !$asks)
                                <button class="btn" form="read-now">Read now</button>
                            @endif
                        </div>
                    </form>
                    <form id="read-now" method="post" action="{{ route('rooms.read', [$layout, $room->uid]) }}">
                        @csrf
                        @seen
                    </form>
                </section>
                <section class="sheet">
                    <header><h2>A file</h2></header>
                    <form
                        class="in stack"
                        method="post"
                        enctype="multipart/form-data"
                        action="{{ route('rooms.air', [$layout, $room->uid]) }}"
                    >
                        @csrf
                        @seen
                        <input type="hidden" name="form" value="air">
                        <p class="soft small">
                            CSV with a time, {{ $degrees }} and % in columns <b>time</b>,
                            <b>temperature_{{ mb_strtolower(mb_substr($degrees, 1)) }}</b>, <b>humidity</b>; times without an offset
                            are those of {{ $layout->zone }}.
                        </p>
                        <label class="file"><span>Readings</span><input type="file" name="file" accept=".csv,text/csv,text/plain"></label>
                        @foreach ($errors->getMessages() as $place => $messages)
                            @if (old('form') === 'air' || $place === 'file' || str_starts_with($place, 'line'))
                                @foreach ($messages as $message)
                            <p class="fault">{{ str_starts_with($place, 'line') ? ucfirst($place) . ': ' : '' }}{{ $message }}</p>
                        @endforeach @endif @endforeach
                        <div class="acts"><button class="btn quiet">Take it in</button></div>
                    </form>
                </section>
                <p class="in">
                    <a class="link" href="{{ route('layouts.settings', $layout) }}#rooms">What it is set to, on the layout sheet</a>
                </p>
            </div>
        </div>
    </main>
</x-page>
