@use('IdleRidge\Core\Measure\Length')
@php($isSpot = $feature->kind === 'spot')
<form class="pick-form" hx-patch="{{ $here('features.update', [$feature->uid]) }}" hx-target="#land" hx-include="#look">
    <header><h2>{{ ['spot' => 'Spot height', 'ridge' => 'Ridge line', 'hollow' => 'Hollow', 'water' => 'Water'][$feature->kind] }}</h2><button type="button" class="link end" data-let-go>Let go</button></header>
    <input type="hidden" name="rev" value="{{ $page->revs[$feature->uid] ?? 1 }}">
    <div class="in stack">
        @if ($isSpot)
            @php($p = $feature->points[0])
            <div class="pair three">
                <x-field name="points[0][z]" at="points/0/z_mm" id="pick-height" label="Height" :unit="$units->value === 'metric' ? 'mm' : 'in'" :value="Length::field($p->z, $units)" :real="Length::decimal($page->project->layout->scale->toPrototype($p->z - $section->base) / ($units->value === 'metric' ? 1000 : 304.8), 1).($units->value === 'metric' ? ' m' : ' ft').' real'" />
                <x-field name="points[0][x]" at="points/0/x" label="x" :value="Length::field($p->x, $units)" />
                <x-field name="points[0][y]" at="points/0/y" label="y" :value="Length::field($p->y, $units)" />
            </div>
        @else
            @if ($feature->kind === 'water')
                <div class="pair three"><x-field name="level" at="level" label="Level" :unit="$units->value === 'metric' ? 'mm' : 'in'" :value="Length::field($feature->points[0]->z, $units)" /><x-field name="depth" at="depth_mm" label="Depth" :value="Length::field($feature->depth, $units)" /><x-field name="shore" at="shore_mm" label="reached over" :value="Length::field($feature->shore, $units)" /></div>
                @if ($water)<p class="small">Holds <x-figure :figure="$water['volume']" /> ml over <x-figure :figure="$water['surface']" /> cm².</p>@endif
            @endif
            <table class="points"><thead><tr><th scope="col">Point</th><th scope="col">x</th><th scope="col">y</th>@if ($feature->kind !== 'water')<th scope="col">Height</th>@endif</tr></thead><tbody>
                @foreach ($feature->points as $k => $p)
                    <tr><th scope="row" class="num">{{ $k + 1 }}</th>@foreach ($feature->kind === 'water' ? ['x' => $p->x, 'y' => $p->y] : ['x' => $p->x, 'y' => $p->y, 'z' => $p->z] as $axis => $mm)<td><input name="points[{{ $k }}][{{ $axis }}]" data-at="points/{{ $k }}/{{ $axis === 'z' ? 'z_mm' : $axis }}" aria-label="Point {{ $k + 1 }}, {{ $axis === 'z' ? 'height' : $axis }}" value="{{ Length::field($mm, $units) }}" autocomplete="off"></td>@endforeach</tr>
                @endforeach
            </tbody></table>
        @endif
        <div class="pair name-row"><x-field name="name" label="Name on the plan" :value="$feature->name" /><div class="acts"><button class="btn">Set</button><button type="button" class="link" hx-delete="{{ $here('features.destroy', [$feature->uid]) }}" hx-target="#land" hx-include="#look">Remove</button></div></div>
    </div>
</form>
