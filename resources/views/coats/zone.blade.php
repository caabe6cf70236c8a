@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
@php($form = $edited ? 'zone' : 'new-zone')
@php($slope = $edited?->slope)
@php($near = $edited?->near)
@php($in = Format::unit('mm'))
<header>
    <h2>{{ $edited ? 'Zone ' . $edited->name : 'A new zone' }}</h2>
    @if ($rows !== [])
        <a class="link end" href="{{ $here('coats.show', $edited ? ['zone' => $edited->uid] : []) }}">Leave</a>
    @endif
</header>
<form class="in stack" method="post" action="{{ $edited ? $here('zones.update', [$edited->uid]) : $here('zones.store') }}">
    @csrf
    @seen
    @if ($edited) @method('PATCH')@endif
    <input type="hidden" name="form" value="{{ $form }}">
    <p class="soft small">
        All that is given must hold; with nothing given it is the whole board. It follows the land. Heights are over the datum, as on the
        plan.
    </p>
    <x-field :form="$form" name="name" label="Name" :value="$edited->name ?? ($rows === [] ? 'The board' : '')" />
    <div class="pair">
        <x-field
            :form="$form"
            name="slope_from"
            at="slope/from"
            label="Slope from"
            unit="°"
            :value="$slope ? Decimal::trimmed($slope[0], 1) : ''"
            mode="decimal"
        /><x-field
            :form="$form"
            name="slope_to"
            at="slope/to"
            label="to"
            unit="°"
            :value="$slope ? Decimal::trimmed($slope[1], 1) : ''"
            mode="decimal"
        />
    </div>
    <x-choice
        :form="$form"
        name="near"
        label="Near"
        :options="['' => 'anywhere', 'any' => 'any track'] + array_column(array_map(fn($r) => [$r->uid, $r->name], $runs), 1, 0)"
        :value="$near ? $near['run'] ?? 'any' : ''"
    />
    <div class="pair">
        <x-field
            :form="$form"
            name="near_from"
            at="near/from"
            label="From"
            :unit="$in"
            :value="$near && $near['from'] > 0 ? Format::field($near['from']) : ''"
        /><x-field
            :form="$form"
            name="near_to"
            at="near/to"
            label="to"
            :unit="$in"
            :value="$near ? Format::field($near['to']) : ''"
        />
    </div>
    <div class="pair">
        <x-field
            :form="$form"
            name="height_from"
            at="height/from"
            label="Height from"
            :unit="$in"
            :value="$edited?->height ? Format::field($edited->height[0] + $section->base) : ''"
        /><x-field
            :form="$form"
            name="height_to"
            at="height/to"
            label="to"
            :unit="$in"
            :value="$edited?->height ? Format::field($edited->height[1] + $section->base) : ''"
        />
    </div>
    <div class="pair">
        <x-field
            :form="$form"
            name="damp"
            label="The dampest"
            unit="%"
            :value="$edited?->damp ? Decimal::trimmed(100 * $edited->damp, 0) : ''"
            mode="decimal"
        /><x-choice
            :form="$form"
            name="aspect"
            label="Facing"
            :options="['' => 'anywhere', 'sun' => 'the sun', 'north' => 'north']"
            :value="$edited->aspect ?? ''"
        />
    </div>
    <x-choice
        :form="$form"
        name="made"
        label="What was made there"
        :options="['' => 'anything', 'formation' => 'the formation', 'bank' => 'banks and cuttings', 'tunnel' => 'inside a tunnel']"
        :value="$edited->made ?? ''"
    />
    <div class="pair">
        <x-choice
            :form="$form"
            name="backdrop"
            label="Or a backdrop along"
            :options="['' => 'none', 'back' => 'the back', 'left' => 'the left', 'right' => 'the right', 'front' => 'the front']"
            :value="$edited->backdrop['edge'] ?? ''"
        /><x-field
            :form="$form"
            name="backdrop_height"
            at="backdrop/height"
            label="so high"
            :unit="$in"
            :value="$edited?->backdrop ? Format::field($edited->backdrop['height']) : ''"
        />
    </div>
    @if ($edited && $page->zone?->along !== null)
        <p class="soft">It lies along a row: its outline follows that, on <a href="{{ route('growth.show', [$layout, $section->uid,
            'pick' => $page->zone->along]) }}">Growth</a>.</p>
    @endif
    @if ($waters !== [])
        <div class="pair">
            <x-choice
                :form="$form"
                name="water"
                label="Under water of"
                :options="['' => 'none'] + $waters"
                :value="$edited->water ?? ''"
            /><x-field
                :form="$form"
                name="shore"
                label="or so far about it"
                :unit="$in"
                :value="$edited?->shore ? Format::field($edited->shore) : ''"
            />
        </div>
    @endif
    @if ($stands !== [])
        <fieldset class="under">
            <legend>Under the crowns of</legend>
            <input type="hidden" name="under[]" value="">
            @foreach ($stands as $stand)
                <label class="check"
                    ><input
                        type="checkbox"
                        name="under[]"
                        value="{{ $stand->uid }}"
                        @checked($edited && in_array($stand->uid, $page->zone?->under ?? [], true))
                    > {{ $stand->name }}</label
                >
            @endforeach
        </fieldset>
    @endif
    <x-field
        :form="$form"
        name="crowns"
        label="Under crowns, x,y,width"
        :value="$edited ? $crowns : ''"
        hint="empty: in sun and shade alike"
    />
    <x-field
        :form="$form"
        name="outline"
        label="Corners, x,y"
        :value="$edited ? $corners : ''"
        hint="empty: not drawn; or draw it on Land"
    />
    @php($others = array_filter($rows, fn($row) => $row['zone'] !== $edited))
    @if ($others !== [])
        <table class="zone-others">
            <thead>
                <tr>
                    <th scope="col">Other zones</th>
                    <th scope="col">within</th>
                    <th scope="col">and all of</th>
                    <th scope="col">without</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($others as $row)
                    <tr>
                        <th scope="row">{{ $row['zone']->name }}</th>
                        @foreach (['within', 'also', 'without'] as $key)
                            <td>
                                <input
                                    type="checkbox"
                                    name="{{ $key }}[]"
                                    value="{{ $row['zone']->uid }}"
                                    aria-label="{{ ['within' => 'Within', 'also' => 'And all of', 'without' => 'Without'][$key] }} {{
                                        $row['zone']->name }}"
                                    @checked(in_array($row['zone']->uid, (array) old($key, $edited?->{$key} ?? []), true))
                                >
                            </td>
                        @endforeach
                    </tr>
                @endforeach
            </tbody>
        </table>
        @foreach (['without', 'within', 'also'] as $key)
            <input type="hidden" name="{{ $key }}[]" value="">
            @error($key)
                <p class="fault">{{ $message }}</p>
            @enderror
        @endforeach
    @endif
    @unless ($edited && $page->states[$edited->uid] !== [])
        <x-choice
            :form="$form"
            name="build_up"
            label="Begin with"
            :options="['' => 'no coats'] + array_map(fn($up) => $up['name'], $library->buildUps)"
            value=""
        />
    @endunless
    <div class="acts">
        <button class="btn">{{ $edited ? 'Set the zone' : 'Add the zone' }}</button>
        @if ($edited)
            <button class="link" form="drop-zone">Remove</button>
        @endif
    </div>
</form>
@if ($edited)
    <form id="drop-zone" method="post" action="{{ $here('zones.destroy', [$edited->uid]) }}">
        @csrf
        @seen
        @method('DELETE')
    </form>
    @error('zone')
        <p class="fault in">{{ $message }}</p>
    @enderror
@endif
