@use('IdleRidge\Core\Measure\Decimal')
<x-page title="The plan, planned how" :layout="$layout" :section="$first" current="drying">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="coats.show" />
        <main class="page bench-page" id="land">
            <div class="title">
                <h1>The plan</h1>
                <x-plan-tabs :layout="$layout" on="bench.show" />
            </div>
            <x-said />
            <div class="cols even">
                @include('drying.bench.rules')
                <div class="rcol">
                    <section class="sheet">
                        <header><h2>A longer search</h2></header>
                        <div id="search">@include('drying.search')</div>
                    </section>
                    <section class="sheet">
                        <header>
                            <h2>Calendars</h2>
                            <a class="link end" href="{{ route('bench.ics', $layout) }}" download>The plan as a calendar</a>
                        </header>
                        <ul class="in times">
                            @foreach ($calendars as $name => $count)
                                <li>
                                    {{ $name }}: busy {{ $count }} {{ $count === 1 ? 'time' : 'times' }}
                                    <form method="post" action="{{ route('bench.forget', $layout) }}">
                                        @csrf
                                        @seen
                                        @method('DELETE')
                                        <input type="hidden" name="name" value="{{ $name }}"><button class="link">Leave aside</button>
                                    </form>
                                </li>
                            @endforeach
                        </ul>
                        <form class="in stack" method="post" enctype="multipart/form-data" action="{{ route('bench.calendar', $layout) }}">
                            @csrf
                            @seen
                            <label class="file"
                                ><span>Busy hours from a calendar file (.ics)</span
                                ><input type="file" name="calendar" accept=".ics,text/calendar"
                            ></label>
                            @error('calendar')
                                <p class="fault">{{ $message }}</p>
                            @enderror
                            <div class="acts"><button class="btn quiet">Take them out of the sessions</button></div>
                        </form>
                        @foreach ($changes as $change)
                            <p class="in small soft">{{ $change }}</p>
                        @endforeach
                    </section>
                    <section class="sheet idle-sheet">
                        <header>
                            <h2>Idle at the bench</h2>
                            <span class="meta">up to the last evening</span>
                            @if (count($idle) > 6) <x-filter class="end" for="all-idle" what="idle times" /> @endif
                        </header>
                        <div id="all-idle">
                            @forelse ($idle as $row)
                                <div class="nt" data-row>
                                    <i class="num">{{ $row['minutes'] }} min</i>
                                    <div>
                                        <div class="nm">{{ $row['when'] }}</div>
                                        @foreach ($row['fillers'] as $filler)
                                            <p>{{ $filler }}</p>
                                        @endforeach
                                    </div>
                                </div>
                            @empty
                                <p class="in soft">No quarter of an hour stands idle.</p>
                            @endforelse
                        </div>
                        @if (array_filter($idle, fn(array $row): bool => $row['fillers'] === []) !== [])
                            <p class="in small soft">Where nothing is named, nothing is ready then: sieve, mix dry, cut stencils.</p>
                        @endif
                    </section>
                </div>
            </div>
        </main>
    </div>
</x-page>
