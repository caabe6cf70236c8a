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
                    <button class="link roomy">Remove</button>
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
