@use('IdleRidge\Core\Measure\Decimal')
<section class="sheet">
    <header>
        <h2>{{ $picked === null ? 'Mix a colour' : $picked->name }}</h2>
        @if ($picked !== null)
            <a class="link end" href="{{ route('palette.show', $layout) }}">A new one</a>
        @endif
    </header>
    <form
        class="in stack"
        method="post"
        action="{{ $picked === null ? route('palette.store', $layout) : route('palette.update', [$layout, $picked->uid]) }}"
    >
        @csrf
        @seen
        @if ($picked !== null) @method('PATCH')@endif
        <input type="hidden" name="form" value="colour">
        <div class="pair">
            <x-field form="colour" name="name" label="Name" :value="$picked->name ?? ''" /><x-field
                form="colour"
                name="season"
                label="Region, season"
                :value="$picked->season ?? $season"
            />
        </div>
        @foreach ([0, 1, 2, 3] as $k)
            <div class="pair mix-row">
                <x-choice
                    form="colour"
                    :name="'mix[' . $k . '][base]'"
                    :label="$k === 0 ? 'Base paint' : 'and'"
                    :options="['' => '–'] + array_combine(array_keys($bases), array_keys($bases))"
                    :value="$picked?->mix[$k]['base'] ?? ''"
                /><x-field
                    form="colour"
                    name="mix[{{ $k }}][parts]"
                    at="mix/{{ $k }}/parts"
                    label="parts"
                    :value="isset($picked?->mix[$k]) ? Decimal::trimmed($picked->mix[$k]['parts'], 2) : ''"
                    mode="decimal"
                />
            </div>
            @error("mix/{$k}/base")
                <p class="fault">{{ $message }}</p>
            @enderror
        @endforeach
        <x-choice
            form="colour"
            name="tied[of]"
            label="Or a shade of"
            :options="['' => 'none: as mixed above'] + $shadeable"
            :value="$picked->tied['of'] ?? ''"
        />
        @error('tied/of')
            <p class="fault">{{ $message }}</p>
        @enderror
        <div class="pair mix-row">
            <x-choice
                form="colour"
                name="tied[base]"
                label="to 10 parts of it"
                :options="['' => '–'] + array_combine(array_keys($bases), array_keys($bases))"
                :value="$picked->tied['base'] ?? ''"
            /><x-field
                form="colour"
                name="tied[parts]"
                at="tied/parts"
                label="parts"
                :value="$picked?->tied ? Decimal::trimmed($picked->tied['parts'], 2) : ''"
                mode="decimal"
            />
        </div>
        @error('tied/base')
            <p class="fault">{{ $message }}</p>
        @enderror
        @error('mix')
            <p class="fault">{{ $message }}</p>
        @enderror
        @error('colour')
            <p class="fault">{{ $message }}</p>
        @enderror
        <div class="acts">
            <button class="btn">Mix</button>
            @if ($picked !== null)
                <button class="link" form="drop-colour">Remove</button>
            @endif
        </div>
    </form>
    @if ($picked !== null)
        <form id="drop-colour" method="post" action="{{ route('palette.destroy', [$layout, $picked->uid]) }}">
            @csrf
            @seen
            @method('DELETE')
        </form>
    @endif
    <ul class="in bases">
        @foreach ($bases as $name => $hex)
            <li>
                <svg class="swatch-one" viewBox="0 0 22 22" aria-hidden="true"><rect width="22" height="22"
                    fill="{{ $hex }}" /></svg>
                {{ $name }}
            </li>
        @endforeach
    </ul>
</section>
