@use('IdleRidge\Core\Measure\Decimal')
<section class="sheet">
    <header><h2>The plan goes by</h2></header>
    <form class="in stack" method="post" action="{{ route('bench.update', $layout) }}">
        @csrf
        @seen
        @method('PATCH')
        <input type="hidden" name="form" value="bench">
        <div class="pair">
            <x-choice
                form="bench"
                name="certainty"
                label="A start is right"
                :options="['50' => 'one time in two', '80' => 'four times in five', '90' => 'nine times in ten']"
                :value="Decimal::trimmed(100 * $rules->certainty, 0)"
            /><x-choice
                form="bench"
                name="order"
                label="Order of work"
                :options="[
                    'free' => 'whatever ends soonest',
                    'board' => 'one board before the next',
                    'stage' => 'all boards to the same stage',
                ]"
                :value="$rules->order->value"
            />
        </div>
        @if ($tools !== [])
            <h3>Tools there are</h3>
            <div class="pair three">
                @foreach (array_keys($tools) as $k => $tool)
                    <div>
                        <input type="hidden" name="tools[{{ $k }}][name]" value="{{ $tool }}"><x-field
                            form="bench"
                            name="tools[{{ $k }}][count]"
                            at="tools/{{ $tool }}"
                            :label="$tool"
                            :value="$tools[$tool]"
                            mode="numeric"
                        />
                    </div>
                @endforeach
            </div>
        @endif
        <h3>Loose material is held</h3>
        @foreach ($ways as $family => $choice)
            <x-way form="bench" :name="'ways[' . $family . ']'" :choice="$choice" none="as its recipe says" />
        @endforeach
        <x-choice
            form="bench"
            name="alcohol"
            label="Alcohol in store"
            :options="['99' => '99 %', '91' => '91 %', '70' => '70 %']"
            :value="(string) $rules->alcohol"
        />
        <h3>Dates of boards</h3>
        @foreach ($boards as $k => $board)
            <div class="pair due-pair">
                <input type="hidden" name="due[{{ $k }}][section]" value="{{ $board['section']->uid }}"><x-field
                    form="bench"
                    name="due[{{ $k }}][date]"
                    at="due/{{ $k }}/date"
                    :label="$board['section']->name"
                    :value="$board['due']->date ?? ''"
                    :hint="$board['due'] === null && $board['effective'] !== null
                        ? 'the show: ' . $words->day($board['effective'][0]) : null"
                /><x-choice
                    form="bench"
                    name="due[{{ $k }}][milestone]"
                    label="has to be"
                    :options="['worked' => 'worked', 'shown' => 'fit to be shown', 'travel' => 'safe to travel']"
                    :value="$board['due']->state->value ?? 'travel'"
                />
                <p @class(['small', 'low', 'bad' => ($board['late'] ?? 0) > 0, 'soft' => ($board['late'] ?? 0) === 0])>{{
                    $board['late'] === null
                        ? 'no date'
                        : ($board['late'] > 0
                            ? \IdleRidge\Core\Measure\ClockWords::span($board['late']) . ' too late'
                            : 'in time')
                }}</p>
            </div>
        @endforeach
        <div class="acts"><button class="btn">Plan by this</button></div>
    </form>
</section>
