@use('IdleRidge\Core\Track\RunKind')
@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
@use('IdleRidge\Core\Track\StartingValues')
@php
    $mm = Format::unit('mm');
    $rows = $run->pieces;
    $grades = $run->grade;
@endphp
<form class="pick-form" hx-patch="{{ $here('runs.update', [$run->uid]) }}" hx-target="#land" hx-include="#look">
    <header>
        <h2>{{ $run->name }}</h2>
        <div class="tools" role="group" aria-label="Parts of the run">
            @foreach (['line' => 'Line', 'grade' => 'Grade', 'formation' => 'Formation', 'structures' => 'Structures'] as $tab => $word)
                <button type="button" class="tool" data-tab="{{ $tab }}" aria-pressed="{{ $page->tab === $tab ? 'true' : 'false' }}">
                    {{ $word }}
                </button>
            @endforeach
        </div>
        <button type="button" class="link end" data-let-go>Let go</button>
    </header>

    <div class="in stack">
        @if ($page->tab === 'line')
            <div class="pair run-head">
                <x-field name="name" label="Name" :value="$run->name" /><x-field
                    name="x"
                    at="x"
                    label="Start x"
                    :value="Format::field($run->start->x)"
                /><x-field name="y" at="y" label="y" :value="Format::field($run->start->y)" /><x-field
                    name="heading"
                    at="heading_deg"
                    label="Heading"
                    unit="°"
                    :value="Decimal::trimmed($run->headingDeg, 3)"
                />
            </div>
            <table class="points elements">
                <thead>
                    <tr>
                        <th scope="col">Piece</th>
                        <th scope="col">Length or radius</th>
                        <th scope="col">Angle ° or radii, left +</th>
                        <th></th>
                    </tr>
                </thead>
                <tbody data-rows>
                    @foreach ($rows as $k => $piece)
                        @include('land.piece', ['k' => $k, 'piece' => $piece])
                    @endforeach
                </tbody>
            </table>
            <template data-piece="tangent">
                @include('land.piece', ['k' => '__', 'piece' => ['kind' => 'tangent', 'length_mm' => 200.0]])
            </template>
            <template data-piece="arc">
                @include('land.piece', ['k' => '__', 'piece' => ['kind' => 'arc', 'radius_mm' => 720.0, 'angle_deg' => 20.0]])
            </template>
            <template data-piece="transition">
                @include('land.piece',
                    ['k' => '__', 'piece' => ['kind' => 'transition', 'length_mm' => 150.0, 'from_radius_mm' => 0.0, 'to_radius_mm' =>
                    720.0]])
            </template>
            <div class="acts">
                <button class="btn">Set</button><button type="button" class="link" data-add="tangent">Add a tangent</button
                ><button type="button" class="link" data-add="arc">Arc</button
                ><button type="button" class="link" data-add="transition">Transition</button
                ><button
                    type="button"
                    class="link end"
                    hx-delete="{{ $here('runs.destroy', [$run->uid]) }}"
                    hx-target="#land"
                    hx-include="#look"
                >
                    Take up
                </button>
            </div>
            @foreach ($page->turnouts as $turnout)
                @if ($turnout->main->uid === $run->uid || $turnout->branch->uid === $run->uid)
                    <p class="small">
                        {{ $turnout->main->uid === $run->uid ? $turnout->branch->name . ' leaves' : 'Leaves ' . $turnout->main->name }} at
                        station <span class="num">{{ Format::cell($turnout->toe) }}</span>, to the {{ $turnout->left ? 'left' :
                            'right' }}; keep
                        clear <span class="num">{{ Format::cell($turnout->from) }}–{{ Format::cell($turnout->to) }}</span>.
                    </p>
                @endif
            @endforeach
            @if ($run->kind === RunKind::Track)
                <div class="pair beside">
                    <x-field name="apart" at="apart" label="Second track, apart" :unit="$mm"
                        :value="Format::field(StartingValues::apart($page->project->layout->scale))" />
                    <div class="acts">
                        @foreach (['left', 'right'] as $side)
                            <button
                                type="button"
                                class="link"
                                hx-post="{{ $here('runs.beside', [$run->uid]) }}"
                                hx-vals='@json(['side' => $side])'
                                hx-target="#land"
                                hx-include="#look, closest form"
                            >
                                Lay it {{ $side }}
                            </button>
                        @endforeach
                    </div>
                </div>
            @endif
        @elseif ($page->tab === 'grade')
            @include('land.run.pieces')
            <div class="acts"><button class="btn">Set</button><span class="soft small">Empty both fields to take a point out.</span></div>
        @elseif ($page->tab === 'structures')
            @include('land.run.structures')
            <div class="acts"><button class="btn">Set</button><span class="soft small">Empty both stations to take one out.</span></div>
            @if ($built !== [])
                <ul class="built small">
                    @foreach ($built as $row)
                        <li>
                            {{ $row['before'] }}
                            @foreach ($row['figures'] as $k => $figure)
                                @if ($k > 0)
                                    <span aria-hidden="true"> · </span>
                                @endif
                                <x-figure :figure="$figure" />
                                @if ($loop->last || $figure->unit() !== $row['figures'][1]->unit()) {{ $figure->unit() }}@endif
                            @endforeach
                            {{ $row['after'] }}
                        </li>
                    @endforeach
                </ul>
            @endif
        @else
            <x-formation :profile="$run->profile" :road="$run->kind === RunKind::Road" />
            <div class="acts">
                <button class="btn">Set</button><a class="link" href="{{ $here('land.compare', ['pick' => $run->uid]) }}">Side by side</a
                ><a class="link end" href="{{ route('formations.show', [$layout, 'of' => $run->uid]) }}">Of several runs at once</a>
            </div>
        @endif
    </div>
</form>
