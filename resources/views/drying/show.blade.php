@use('IdleRidge\Core\Measure\Decimal')
<x-page title="Drying line" :layout="$layout" :section="$first" current="drying">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="coats.show" />
        <main class="page drying" id="land">
            <div class="title">
                <h1>Drying line</h1>
                <div class="sub">
                    {{ $span }};<br>
                    starts are safe at {{ Decimal::trimmed(100 * $plan->work->certainty(), 0) }} %
                </div>
                <x-facts :facts="$facts" />
                <nav class="drying-links" aria-label="About the plan">
                    <a href="{{ route('what-if.show', $layout) }}">What if</a><a href="{{ route('by.show', $layout) }}">By Sunday</a
                    ><a href="{{ route('bench.show', $layout) }}">How it is planned</a>
                </nav>
                <div class="undo-pair">
                    <form method="post" action="{{ route('layouts.undo', $layout) }}">
                        @csrf
                        @seen
                        <button
                            class="tool"
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
                            class="tool"
                            data-redo
                            @disabled($next['redo'] === null)
                            @if ($next['redo']) title="{{ $next['redo'] }}" @endif
                        >
                            Redo
                        </button>
                    </form>
                </div>
            </div>
            <x-said :undo="false" />
            <section class="sheet dusk-sheet">{!! $line->toHtml() !!}</section>
            <div class="cols">
                <section class="sheet moves-sheet">
                    <header>
                        <h2>{{ $picked ? 'Why not sooner' : 'Moves, in order' }}</h2>
                        <span class="meta">
                            @if ($picked) touch another pane to ask again @else touch a pane above, or a move, to ask why not sooner @endif
                        </span>
                        @if ($picked)
                            <a class="link end" href="{{ route('drying.show', $layout) }}">All moves</a>
                        @endif
                    </header>
                    <div class="mv-list">
                        @if ($picked)
                            <article class="mv-now">
                                <h3>{{ $picked->move->title() }}</h3>
                                <p class="wh">
                                    {{ $picked->move->place() }} · {{ $words->day($picked->start) }}, {{ $words->clock($picked->start) }} to
                                    {{ $words->clock($picked->end) }} · {{ $picked->move->minutes }} min
                                </p>
                                <p class="why">{{ ucfirst($picked->reason['text']) }}.</p>
                                @if ($held)
                                    <p class="soft">
                                        It is one of those that hold up the end: an hour sooner here may be an hour sooner there.
                                    </p>
                                @endif
                            </article>
                        @else
                            @forelse ($moves as $placed)
                                <a class="mv-line" href="{{ route('drying.show', [$layout, 'move' => $placed->move->id]) }}"
                                    ><span class="tm num">{{ $words->at($placed->start)->format('D j M H:i') }}</span
                                    ><span><b>{{ $placed->move->title() }}</b><span class="wh">{{ $placed->move->place() }}</span></span
                                    ><span class="num">{{ $placed->move->minutes }} min</span></a
                                >
                            @empty
                                <p class="blank-words">
                                    @if ($times === []) Nothing can be planned: add an evening.@elseif ($unplaced === []) There is nothing
                                    to lay. Zones and their coats are made on Coats.@else Nothing finds a session.@endif
                                </p>
                            @endforelse
                        @endif
                        @foreach ($unplaced as $row)
                            <div class="nt">
                                <i>{{ $row->kind === 'sessions' ? 'time' : $row->kind }}</i>
                                <div>
                                    <div class="nm">{{ $row->move->title() }}<span>{{ $row->move->place() }}</span></div>
                                    <p>{{ $row->text }}</p>
                                </div>
                            </div>
                        @endforeach
                    </div>
                </section>
                <div class="rcol">
                    <section class="sheet times-sheet">
                        <header>
                            <h2>At the bench</h2>
                            <span class="meta end">local time, {{ $layout->zone }}</span>
                        </header>
                        <ul class="in times">
                            @forelse ($times as $time)
                                <li>
                                    {{ $time['text'] }}
                                    @if ($time['visit'])
                                        <a class="link" href="{{ route('visits.show', [$layout, $time['uid']]) }}">Pack</a>
                                    @endif
                                    <form method="post" action="{{ route('times.destroy', [$layout, $time['uid']]) }}">
                                        @csrf
                                        @seen
                                        @method('DELETE')
                                        <button class="link">Remove</button>
                                    </form>
                                </li>
                            @empty
                                <li class="soft">No sessions: nothing can be planned. Add an evening.</li>
                            @endforelse
                        </ul>
                        <form class="in stack weekly" method="post" action="{{ route('times.store', $layout) }}">
                            @csrf
                            @seen
                            <input type="hidden" name="kind" value="weekly"><input type="hidden" name="form" value="weekly">
                            <fieldset class="edges days">
                                <legend>Every week on</legend>
                                @foreach ($dayNames as $day => $name)
                                    <label class="check"
                                        ><input
                                            type="checkbox"
                                            name="weekdays[]"
                                            value="{{ $day }}"
                                            @checked(old('form') === 'weekly' && in_array((string) $day, (array) old('weekdays'), true))
                                        >
                                        {{ substr($name, 0, 3) }}</label
                                    >
                                @endforeach
                            </fieldset>
                            @if (old('form') === 'weekly') @error('weekdays')
                                <p class="fault">{{ $message }}</p>
                            @enderror @endif
                            <div class="pair four">
                                <x-field form="weekly" name="from" id="w-from" label="From" value="19:30" /><x-field
                                    form="weekly"
                                    name="to"
                                    id="w-to"
                                    label="to"
                                    value="21:30"
                                /><x-field form="weekly" name="hands" id="w-hands" label="Hands" value="1" mode="decimal" />
                                <div class="acts low"><button class="btn {{ $times === [] ? '' : 'quiet' }}">Add</button></div>
                            </div>
                        </form>
                        <form class="in stack" method="post" action="{{ route('times.store', $layout) }}">
                            @csrf
                            @seen
                            <input type="hidden" name="form" value="single">
                            <div class="pair five">
                                <x-choice
                                    form="single"
                                    name="kind"
                                    id="s-kind"
                                    label="Some days"
                                    :options="['single' => 'open', 'visit' => 'a visit', 'closed' => 'closed']"
                                    value="single"
                                /><x-field form="single" name="date" id="s-date" label="Date" /><x-field
                                    form="single"
                                    name="until"
                                    id="s-until"
                                    label="until"
                                /><x-field form="single" name="from" id="s-from" label="From" value="10:00" /><x-field
                                    form="single"
                                    name="to"
                                    id="s-to"
                                    label="to"
                                    value="13:00"
                                />
                            </div>
                            <div class="pair three">
                                <x-field form="single" name="hands" id="s-hands" label="Hands" value="1" mode="decimal" /><x-field
                                    form="single"
                                    name="who"
                                    id="s-who"
                                    label="Who comes"
                                />
                                <div class="acts low"><button class="btn quiet">Add</button></div>
                            </div>
                        </form>
                        <form class="in stack" method="post" action="{{ route('layouts.show-on', $layout) }}">
                            @csrf
                            @seen
                            @method('PATCH')
                            <input type="hidden" name="form" value="show">
                            <div class="pair show-pair">
                                <x-field form="show" name="show_on" id="f-show-on" label="Shown on" :value="$layout->show_on ?? ''" />
                                <div class="acts low"><button class="btn quiet">Set</button></div>
                                @if ($show)
                                    <p @class(['small', 'low', 'bad' => $show['late']])>{{ $show['text'] }}</p>
                                @endif
                            </div>
                        </form>
                    </section>
                </div>
            </div>
        </main>
    </div>
</x-page>
