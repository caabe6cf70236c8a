<section class="sheet">
    <header><h2>Here stand</h2></header>
    @if ($stands === [] && $rows === [])
        <p class="blank-words">
            Nothing yet. Plant a stand in a zone, or set out a fence along the track: heights, counts and what they stand too near to are
            worked out, and the template to prick through is printed at full size.
        </p>
    @endif
    <ul class="due-list growth-list">
        @foreach ($stands as $one)
            <li>
                <a href="{{ $here(['pick' => $one['uid']]) }}"><b>{{ $one['name'] }}</b></a>
                <span class="num">{{ $one['trees'] === 1 ? '1 tree' : $one['trees'] . ' trees' }}</span>
                <span class="words">{{ $one['words'] }}</span>
            </li>
        @endforeach
        @foreach ($rows as $one)
            <li>
                <a href="{{ $here(['pick' => $one['uid']]) }}"><b>{{ $one['name'] }}</b></a>
                <span class="num">{{ $one['count'] }}</span>
                <span class="words">{{ $one['words'] }}</span>
            </li>
        @endforeach
    </ul>
</section>
<section class="sheet">
    <header><h2>Plant a stand</h2></header>
    <form class="in stack" method="post" action="{{ route('stands.store', [$layout, $section->uid]) }}">
        @csrf
        @seen
        <input type="hidden" name="form" value="stand">
        <div class="pair">
            <x-choice form="stand" name="set" label="What grows" :options="$choices" />
            <x-choice form="stand" name="zone" label="Where" :options="$zones" />
        </div>
        <x-field form="stand" name="name" id="f-stand-name" label="Called" />
        <div class="acts">
            <button class="btn">Plant it</button>
            <button class="btn quiet" name="by_hand" value="1">Set it by hand</button>
        </div>
    </form>
</section>
<section class="sheet">
    <header><h2>Set out a row</h2></header>
    <form class="in stack" id="new-row" method="post" action="{{ route('rows.store', [$layout, $section->uid]) }}">
        @csrf
        @seen
        <input type="hidden" name="form" value="row">
        <div class="pair">
            <x-choice form="row" name="kind" label="What" :options="$kinds" />
            <x-choice form="row" name="along" label="Along" :value="array_key_first($lines) ?? ''"
                :options="$lines + ['' => 'a line I draw']" />
        </div>
        <div class="pair">
            <x-field form="row" name="offset" at="offset_mm" label="To its left" hint="less than 0 for its right" value="{{
                \IdleRidge\Core\Measure\Format::field(12.0) }}" />
            <x-choice form="row" name="from_edge" label="Counted from" :options="['1' => 'formation’s edge', '0' => 'the line']" />
        </div>
        <div class="acts"><button class="btn quiet">Set it out</button></div>
    </form>
</section>
