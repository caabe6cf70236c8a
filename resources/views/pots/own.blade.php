@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
<section class="sheet">
    <header><h2>A pot of your own</h2></header>
    <form class="in stack" method="get" action="{{ route('pots.show', $layout) }}">
        @if (isset($query['cup']))
            <input type="hidden" name="cup" value="{{ $query['cup'] }}">
        @endif
        <div class="field">
            <label for="own-recipe">Recipe</label>
            <select id="own-recipe" name="recipe">
                @foreach ($recipes as $id => $name)
                    <option value="{{ $id }}" @selected($asked['recipe'] === $id)>{{ $name }}</option>
                @endforeach
            </select>
            @isset($faults['recipe'])
                <p class="fault">{{ $faults['recipe'] }}</p>
            @endisset
        </div>
        <div class="pair">
            <div class="field">
                <label for="own-value">As much as</label>
                <input id="own-value" name="value" value="{{ $query['value'] ?? (Format::unit('dm²') === 'dm²' ? '10' : '1') }}"
                    inputmode="decimal" autocomplete="off"
                    @isset($faults['value']) aria-invalid="true" @endisset>
            </div>
            <div class="field">
                <label for="own-by">of</label>
                <select id="own-by" name="by">
                    @foreach (['area' => Format::unit('dm²').' laid', 'volume' => Format::unit('ml').' in all', 'left' =>
                        'what is left'] as $by => $label)
                        <option value="{{ $by }}" @selected($asked['by'] === $by)>{{ $label }}</option>
                    @endforeach
                </select>
            </div>
        </div>
        @foreach (array_intersect_key($faults, ['value' => 1, 'by' => 1]) as $message)
            <p class="fault">{{ $message }}</p>
        @endforeach
        <div class="field">
            <label for="own-material">of which is left <small>{{ Format::unit('g') }} or {{ Format::unit('ml') }}</small></label>
            <input id="own-material" name="material" value="{{ $asked['material'] }}" autocomplete="off" placeholder="white glue">
            @isset($faults['material'])
                <p class="fault">{{ $faults['material'] }}</p>
            @endisset
        </div>
        <div class="acts"><button class="btn quiet">Work it out</button></div>
    </form>
    <details class="in-fold" @if ($asked['mix'] !== '') open @endif>
        <summary>A dry mix by weight</summary>
        <form class="in stack" method="get" action="{{ route('pots.show', $layout) }}">
            @if (isset($query['cup']))
                <input type="hidden" name="cup" value="{{ $query['cup'] }}">
            @endif
            <div class="field">
                <label for="own-mix">Parts</label>
                <input id="own-mix" name="mix" value="{{ $asked['mix'] }}" autocomplete="off" placeholder="2 sifted soil, 1 stone ballast">
                @isset($faults['mix'])
                    <p class="fault">{{ $faults['mix'] }}</p>
                @endisset
            </div>
            <div class="cup-row">
                <div class="field">
                    <label for="own-grams">all of it <small>{{ Format::unit('g') }}</small></label>
                    <input
                        id="own-grams"
                        name="value"
                        value="{{ $asked['mix'] === '' ? Format::field(200.0, 'g', 0) : $query['value'] ?? '' }}"
                        inputmode="decimal"
                        autocomplete="off"
                    >
                </div>
                <button class="btn quiet">Work it out</button>
            </div>
        </form>
    </details>
</section>
<section class="sheet" id="cups-sheet">
    <header><h2>Cup</h2></header>
    <form class="in stack" method="get" action="{{ route('pots.show', $layout) }}">
        @foreach (array_diff_key($query, ['cup' => 1]) as $key => $value)
            <input type="hidden" name="{{ $key }}" value="{{ $value }}">
        @endforeach
        <div class="cup-row">
            <div class="field">
                <label for="own-cup">It holds <small>{{ Format::unit('ml') }}</small></label>
                <input
                    id="own-cup"
                    name="cup"
                    value="{{ $query['cup'] ?? ($cup === null ? '' : Format::field($cup, 'ml', 0)) }}"
                    inputmode="decimal"
                    autocomplete="off"
                    list="cups"
                    @isset($faults['cup']) aria-invalid="true" @endisset
                >
                <datalist id="cups">
                    @foreach ($cups as $one)
                        <option value="{{ Format::field($one->ml, 'ml', 0) }}">{{ $one->name }}</option>
                    @endforeach
                </datalist>
            </div>
            <button class="btn quiet">Take it</button>
        </div>
        @isset($faults['cup'])
            <p class="fault">{{ $faults['cup'] }}</p>
        @endisset
    </form>
    <details class="in-fold" @if (old('form') === 'cups') open @endif>
        <summary>Your cups</summary>
        <form class="in stack" method="post" action="{{ route('shopping.update', $layout) }}">
            @csrf
            @method('patch')
            @seen
            <input type="hidden" name="form" value="cups"><input type="hidden" name="back" value="pots">
            @foreach ([...$cups, null] as $k => $one)
                <div class="trio">
                    <x-field form="cups" name="cups[{{ $k }}][name]" at="cups/{{ $k }}/name" label="Name" :value="$one->name ?? ''" />
                    <x-field
                        form="cups"
                        name="cups[{{ $k }}][ml]"
                        at="cups/{{ $k }}/ml"
                        label="holds"
                        :unit="Format::unit('ml')"
                        mode="decimal"
                        :value="$one === null ? '' : Format::field($one->ml, 'ml', 1)"
                    />
                    <x-field
                        form="cups"
                        name="cups[{{ $k }}][tare_g]"
                        at="cups/{{ $k }}/tare_g"
                        label="empty"
                        :unit="Format::unit('g')"
                        mode="decimal"
                        :value="$one?->tare === null ? '' : Format::field($one->tare, 'g', 1)"
                    />
                </div>
            @endforeach
            <div class="acts"><button class="btn quiet">Keep them</button></div>
        </form>
    </details>
    <details class="in-fold" @if ($errors->has('scale')) open @endif>
        <summary>{{ $scale === null ? 'A scale that speaks' : 'The scale' }}</summary>
        <form class="in stack" method="post" action="{{ route('pots.scale', $layout) }}">
            @csrf
            @seen
            <x-field name="scale" label="It answers at" :value="$scale ?? ''"
                :hint="'a line of text a reading: ' . Format::text(123.4, 'g', 1)" />
            <div class="acts"><button class="btn quiet">Set</button></div>
        </form>
    </details>
</section>
