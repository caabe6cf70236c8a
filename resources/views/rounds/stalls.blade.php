<section class="sheet stalls" id="stalls">
    <header>
        <h2>Where it stalls</h2>
        <span class="meta">pass {{ $pass }}</span>
        <a class="meta end" href="{{ route('rounds.show', [$layout, 'pass' => max($lastPass, $pass) + 1]) }}#stalls">Next pass</a>
    </header>
    @foreach ($repeats as $one)
        <p class="again-words"><b>{{ $one['where'] }}: {{ $one['passes'] }} passes.</b> {{ ucfirst($one['told']) }}.</p>
    @endforeach
    @foreach ($strips as $strip)
        <div class="strip-run">
            <h3>{{ $strip['name'] }}</h3>
            <div class="strip-scroll" tabindex="0" role="region" aria-label="{{ $strip['name'] }}">{!! $strip['drawing']->toHtml() !!}</div>
        </div>
    @endforeach
    @if ($strips !== [])
        <p class="legend">
            <svg viewBox="0 0 12 12" aria-hidden="true"><circle class="mishap" cx="6" cy="6" r="4" /></svg> stalled
            <svg viewBox="0 0 12 12" aria-hidden="true"><path class="mishap" d="M1.6 10 6 1.6 10.4 10Z" /></svg> scraped
            <svg viewBox="0 0 12 12" aria-hidden="true"><path class="mishap" d="M2 2h8v8H2Z" /></svg> came off; filled on cleaned rails
        </p>
    @else
        <p class="blank-words">
            Drive the same train along a few times, and note where it stalls, scrapes or comes off. What repeats at one place is told.
        </p>
    @endif
    @if ($runs !== [])
        <form class="in stack" method="post" action="{{ route('rounds.stall', $layout) }}">
            @csrf
            @seen
            <input type="hidden" name="form" value="stall">
            <input type="hidden" name="pass" value="{{ $pass }}">
            <div class="trio">
                <x-choice form="stall" name="run" label="Run" :options="$runs" />
                <x-field form="stall" name="station" label="Along it" />
                <x-choice form="stall" name="vehicle" label="Vehicle" :options="array_combine($vehicles, $vehicles)" />
            </div>
            <div class="mishap-acts">
                <label class="check"><input type="checkbox" name="cleaned" value="1"> rails cleaned before</label>
                @foreach ($mishaps as $what)
                    <button class="btn quiet" name="what" value="{{ $what }}">{{ ucfirst($what) }}</button>
                @endforeach
            </div>
        </form>
    @endif
</section>
