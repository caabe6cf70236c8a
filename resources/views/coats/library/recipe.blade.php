@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
<section class="sheet inspector library-one">
    @if ($picked === null)
        <header><h2>No recipe picked</h2></header>
        <p class="in soft">
            Touch a recipe at the left. Its figures are starting values of general practice until you make them yours; what
            is laid already keeps those it was laid with.
        </p>
    @else
        <header>
            <h2>{{ $picked->cure->name }}</h2>
            <span class="meta end">{{ $picked->provenance->value }}</span>
        </header>
        @include('coats.library.yours')
        <form class="in stack" method="post" action="{{ route('library.keep', [$layout, $picked->id]) }}">
            @csrf
            @seen
            @method('PATCH')
            <input type="hidden" name="form" value="recipe">
            @error('recipe')
                <p class="fault">{{ $message }}</p>
            @enderror
            <h3>Goes in</h3>
            @foreach ($picked->parts as $k => $part)
                <x-field
                    form="recipe"
                    name="parts[{{ $k }}][value]"
                    at="parts/{{ $k }}/value"
                    :label="implode(' + ',
                        array_map(fn($o) => ($o['parts'] == 1 ? '' : Decimal::trimmed($o['parts'], 1) . ' ') .
                        $o['material'], $part->of))"
                    :unit="trim(Format::unit($part->rate()) . ' ' . $part->rule->each())"
                    :value="Format::field($part->value, $part->rate(), 4)"
                    mode="decimal"
                    :hint="$low($picked, 'parts/' . $k) === null ? null
                        : 'low ' . Format::field($low($picked, 'parts/' . $k)[0], $part->rate(), 3) .
                        ', high ' . Format::field($low($picked, 'parts/' . $k)[1], $part->rate(), 3)"
                />
                <x-field
                    form="recipe"
                    name="parts[{{ $k }}][of]"
                    at="parts/{{ $k }}/of"
                    label="mixed of"
                    :value="\IdleRidge\Core\Coats\Mix::words($part->of)"
                    :hint="$costs[$k] ?? null"
                />
            @endforeach
            <x-field form="recipe" name="note" label="Note to yourself" :value="$note" />
            <div class="pair">
                <x-field
                    form="recipe"
                    name="waste"
                    label="Waste"
                    unit="%"
                    :value="Decimal::trimmed(100 * $picked->waste, 1)"
                    mode="decimal"
                /><x-field
                    form="recipe"
                    name="recovered"
                    label="Comes off again"
                    unit="%"
                    :value="Decimal::trimmed(100 * $picked->recovered, 1)"
                    mode="decimal"
                    :hint="$low($picked, 'recovered') === null ? null
                        : $range(array_map(fn($v) => 100 * $v, $low($picked, 'recovered')))"
                />
            </div>
            <h3>At the bench</h3>
            <div class="pair three">
                <x-field
                    form="recipe"
                    name="labour[setup_min]"
                    at="labour/setup_min"
                    label="Setting up"
                    unit="min"
                    :value="Decimal::trimmed($picked->labour->setUp, 1)"
                    mode="decimal"
                /><x-field
                    form="recipe"
                    name="labour[minutes_per_dm2]"
                    at="labour/minutes_per_dm2"
                    :label="'A ' . Format::unit('dm²')"
                    unit="min"
                    :value="Format::field($picked->labour->perDm2, 'min/dm²')"
                    mode="decimal"
                />
                @if ($picked->labour->openPerDm2 !== null)
                    <x-field
                        form="recipe"
                        name="labour[open_minutes_per_dm2]"
                        at="labour/open_minutes_per_dm2"
                        label="of it open"
                        unit="min"
                        :value="Format::field($picked->labour->openPerDm2, 'min/dm²')"
                        mode="decimal"
                    />
                @endif
                @if ($picked->labour->perThing !== null)
                    <x-field
                        name="labour[minutes_each]"
                        at="labour/minutes_each"
                        label="Each that is set out"
                        unit="min"
                        :value="Decimal::trimmed($picked->labour->perThing, 2)"
                        mode="decimal"
                    />
                @endif
                @if ($picked->labour->metresPerHour !== null)
                    <x-field
                        form="recipe"
                        name="labour[metres_per_hour]"
                        at="labour/metres_per_hour"
                        label="Track"
                        :unit="Format::unit('m/h')"
                        :value="Format::field($picked->labour->metresPerHour, 'm/h')"
                        mode="decimal"
                    />
                @endif
            </div>
            <h3>Dries, minutes at {{ Format::text(20, '°C') }}, 50 %</h3>
            <div class="pair">
                @foreach ([
                        'workable_until' => 'Workable until',
                        'touch_dry' => 'Touch-dry',
                        'next_coat' => 'Next coat',
                        'dry_through' => 'Dry through'
                    ]
                    as $key => $word) @if (isset($picked->cure->minutes[$key]))
                    <x-field
                        form="recipe"
                        name="minutes[{{ $key }}]"
                        at="minutes/{{ $key }}"
                        :label="$word"
                        :value="Decimal::trimmed($picked->cure->minutes[$key], 1)"
                        mode="decimal"
                    />
                @endif @endforeach
            </div>
            <div class="pair three">
                <x-field
                    form="recipe"
                    name="reference_mm"
                    label="At"
                    :unit="Format::unit('mm')"
                    :value="Format::field($picked->cure->referenceMm)"
                    mode="decimal"
                /><x-field
                    form="recipe"
                    name="exponent"
                    label="Thickness to the"
                    :value="Decimal::trimmed($picked->cure->exponent, 2)"
                    mode="decimal"
                />
                @if ($picked->cure->filmTemperature !== null)
                    <x-field
                        form="recipe"
                        name="film_c"
                        label="Film from"
                        :unit="Format::unit('°C')"
                        :value="Format::field($picked->cure->filmTemperature, '°C', 1)"
                        mode="decimal"
                    />
                @endif
                @if ($picked->angleOfReposeDeg !== null)
                    <x-field
                        form="recipe"
                        name="resting_deg"
                        label="Rests at"
                        unit="°"
                        :value="Decimal::trimmed($picked->angleOfReposeDeg, 1)"
                        mode="decimal"
                    />
                @endif
            </div>
            @if ($picked->window !== null)
                <h3>
                    {{
                        ['self' => 'The next pour', 'above' => 'What goes on it', 'below' => 'After the coat below'][
                            $picked->window->side
                        ]
                    }}{{ is_float($picked->window->opens) ? ', minutes' : '' }}
                </h3>
                @if (is_float($picked->window->opens))
                    <div class="pair three">
                        @foreach (['opens' => 'from', 'closes' => 'until', 'again' => 'or again from'] as $key => $word)
                            @if ($picked->window->{$key} !== null)
                            <x-field
                                form="recipe"
                                name="window[{{ $key }}]"
                                at="window/{{ $key }}"
                                :label="$word"
                                :value="Decimal::trimmed($picked->window->{$key}, 0)"
                                mode="decimal"
                            />
                        @endif @endforeach
                    </div>
                @else
                    <p class="soft small">
                        from {{ str_replace('_', ' ', $picked->window->opens->value) }} to
                        {{ str_replace('_', ' ', $picked->window->closes->value) }} of it
                    </p>
                @endif
            @endif
            @if ($picked->cautions !== [])
                <div class="cau">
                    @foreach ($picked->cautions as $caution)
                        <p><b>{{ Format::sentence($caution['do']) }}</b> {{ $caution['why'] }}</p>
                    @endforeach
                </div>
            @endif
            <x-field
                form="recipe"
                name="copy"
                label="Keep under a new name"
                value=""
                hint="empty: these figures stand in its place"
            />
            <div class="acts">
                <button class="btn">Keep as yours</button>
                @if (isset($mine[$picked->id]))
                    <button class="link" form="drop-recipe">{{ $start === null ? 'Remove' : 'Starting values' }}</button>
                @endif
            </div>
        </form>
        <form class="in stack prices" method="post" action="{{ route('prices.keep', $layout) }}">
            @csrf
            @seen
            <input type="hidden" name="form" value="prices"><input type="hidden" name="recipe" value="{{ $picked->id }}">
            <h3>What it costs</h3>
            @foreach (array_values(array_diff($picked->materials(), ['water'])) as $k => $material)
                <input type="hidden" name="prices[{{ $k }}][material]" value="{{ $material }}">
                <div class="pair">
                    <x-field
                        form="prices"
                        name="prices[{{ $k }}][price]"
                        at="prices/{{ $k }}/price"
                        :label="$material"
                        :unit="$currency"
                        :value="isset($prices[$material]) ? Decimal::trimmed($prices[$material]->minor / 100, 2) : ''"
                        mode="decimal"
                    /><x-field
                        form="prices"
                        name="prices[{{ $k }}][amount]"
                        at="prices/{{ $k }}/amount"
                        label="for a pack of"
                        :unit="Format::unit($materials[$material]->unit ?? '')"
                        :value="isset($prices[$material]) ? Format::field($prices[$material]->amount, $materials[$material]->unit
                            ?? '') : ''"
                        mode="decimal"
                    />
                </div>
            @endforeach
            <div class="acts"><button class="btn quiet">Set prices</button></div>
        </form>
        @if (isset($mine[$picked->id]))
            <form id="drop-recipe" method="post" action="{{ route('library.drop', [$layout, $picked->id]) }}">
                @csrf
                @seen
                @method('DELETE')
            </form>
        @endif
    @endif
</section>
