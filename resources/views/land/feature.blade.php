@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
@use('IdleRidge\Core\Project\FeatureKind')
@php($isSpot = $feature->kind->isSpot())
<form class="pick-form" hx-patch="{{ $here('features.update', [$feature->uid]) }}" hx-target="#land" hx-include="#look">
    @php($mm = Format::unit('mm'))
    @php($heights = $feature->kind->isHeightLine())
    <header>
        <h2>{{ $feature->kind->title() }}</h2>
        <button type="button" class="link end" data-let-go>Let go</button>
    </header>

    <div class="in stack">
        @if ($isSpot)
            @php($p = $feature->points[0])
            <div class="pair three">
                <x-field
                    name="points[0][z]"
                    at="points/0/z_mm"
                    id="pick-height"
                    label="Height"
                    :unit="Format::unit('mm')"
                    :value="Format::field($p->z)"
                    :real="Format::text($page->project->layout->scale->toPrototype($p->z - $section->base) / 1000, 'm', 1) . ' real'"
                />
                <x-field name="points[0][x]" at="points/0/x" label="x" :value="Format::field($p->x)" />
                <x-field name="points[0][y]" at="points/0/y" label="y" :value="Format::field($p->y)" />
            </div>
            @include('land.foot')
        @else
            @if ($feature->kind === FeatureKind::Ridge) @include('land.foot')@endif
            <div class="pair three">
                @if ($feature->kind->isLevel())
                    <x-field name="level" at="level" label="Level" :unit="$mm" :value="Format::field($feature->points[0]->z)" />
                @endif
                @foreach ($feature->kind === FeatureKind::Ridge ? [] : $feature->figures as $key => $value)
                    @php($isLength = str_ends_with($key, '_mm'))
                    <x-field
                        :name="$key"
                        :at="$key"
                        :label="
                            [
        'depth_mm' => 'Depth',
        'shore_mm' => 'Reached over',
        'batter' => 'Sides, out to 1 up',
        'width_mm' => 'Width',
        'below_mm' => 'Under the bank',
        'height_mm' => 'Up and down',
        'grain_mm' => 'Grain',
        'seed' => 'Seed',
    ][$key]
                        "
                        :unit="$isLength && $loop->first && $feature->kind !== FeatureKind::Water ? $mm : ''"
                        :value="$isLength ? Format::field($value) : Decimal::trimmed($value, 3)"
                    />
                @endforeach
            </div>
            @if ($shape)
                <p class="small">
                    @foreach ($shape as $row)
                        {{ $row['before'] }}
                        <x-figure :figure="$row['figure']" />
                        {{ $row['figure']->unit() }}{{ $row['after'] }}
                    @endforeach
                    @if ($feature->kind->isWet())
                        <a class="link" href="{{ route('water.show', [$layout, $section->uid, 'pick' => $feature->uid]) }}"
                            >Made of what, and when?</a
                        >
                    @endif
                </p>
            @endif
            <table class="points">
                <thead>
                    <tr>
                        <th scope="col">Point</th>
                        <th scope="col">x</th>
                        <th scope="col">y</th>
                        @if ($heights)
                            <th scope="col">Height</th>
                        @endif
                        <th></th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($feature->points as $k => $p)
                        <tr>
                            <th scope="row" class="num">{{ $k + 1 }}</th>
                            @foreach ($heights ? ['x' => $p->x, 'y' => $p->y, 'z' => $p->z] : ['x' => $p->x, 'y' => $p->y] as $axis => $mm)
                                <td>
                                    <input
                                        name="points[{{ $k }}][{{ $axis }}]"
                                        data-at="points/{{ $k }}/{{ $axis === 'z' ? 'z_mm' : $axis }}"
                                        aria-label="Point {{ $k + 1 }}, {{ $axis === 'z' ? 'height' : $axis }}"
                                        value="{{ Format::field($mm) }}"
                                        autocomplete="off"
                                    >
                                </td>
                            @endforeach
                            <td><button type="button" class="link" data-drop-row>Drop</button></td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        @endif
        <div class="pair name-row">
            <x-field name="name" label="Name on the plan" :value="$feature->name" />
            <div class="acts">
                <button class="btn">Set</button>
                @if (isset(\IdleRidge\Core\Project\Variation::VARIABLES[$feature->kind->value]))
                    <a class="link" href="{{ $here('land.compare', ['pick' => $feature->uid]) }}">Side by side</a>
                @endif
                <button
                    type="button"
                    class="link"
                    hx-delete="{{ $here('features.destroy', [$feature->uid]) }}"
                    hx-target="#land"
                    hx-include="#look"
                >
                    Remove
                </button>
            </div>
        </div>
    </div>
</form>
