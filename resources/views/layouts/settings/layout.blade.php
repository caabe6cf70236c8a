@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
@use('IdleRidge\Core\Measure\UnitsInUse')
<section class="sheet">
    <header><h2>Layout</h2></header>
    <form class="in stack" method="post" action="{{ route('layouts.update', $layout) }}">
        @csrf
        @seen
        @method('PATCH')
        <input type="hidden" name="form" value="sheet"><input type="hidden" name="viewing_edges[]" value="">
        <x-field form="sheet" name="name" label="Name" :value="$sheet->name" id="sheet-name" />
        <div class="pair">
            <x-field
                form="sheet"
                name="ratio"
                label="Scale"
                unit="1 to"
                :value="Decimal::trimmed($sheet->scale->ratio, 4)"
                mode="decimal"
            />
            <x-field form="sheet" name="gauge_mm" label="Gauge" :unit="$in" :value="$shown('gauge_mm', $sheet->gauge)" />
            <x-choice
                form="sheet"
                name="units"
                label="Units"
                :options="['metric' => 'metric', 'imperial' => 'imperial']"
                :value="$units->value"
            />
            <x-field form="sheet" name="currency" label="Currency" :value="$sheet->currency" />
        </div>
        <p class="small soft">
            Lengths may be typed as {{ UnitsInUse::areMetric() ? '38, 3.8 cm or 2.4 m' : '1 1/2, 6\' 3" or 6.25 ft' }}, or in the other
            system.
        </p>
        <x-choice
            form="sheet"
            name="zone"
            label="Time zone"
            :options="array_combine($zones, $zones)"
            :value="$sheet->zone"
        />
        <div class="pair">
            <x-field form="sheet" name="region" label="Region" :value="$sheet->region" /><x-field
                form="sheet"
                name="season"
                label="Season"
                :value="$sheet->season"
            />
        </div>
        <x-field
            form="sheet"
            name="north_deg"
            label="North on the plan"
            unit="° from the front edge, 90 is straight back"
            :value="Decimal::trimmed($sheet->northDeg, 1)"
            mode="decimal"
        />
        <div class="pair">
            <x-field
                form="sheet"
                name="far_percent"
                label="Far side built to"
                unit="% of scale"
                :value="Decimal::trimmed(100 * $sheet->growth->farScale, 1)"
                mode="decimal"
            />
            <x-field
                form="sheet"
                name="shelf_mm"
                label="Clear height of the shelf"
                :value="$sheet->growth->shelf === null ? '' : $shown('shelf_mm', $sheet->growth->shelf)"
            />
        </div>
        <fieldset class="edges">
            <legend>Looked at from</legend>
            @foreach (\IdleRidge\Core\Geometry\BoardEdge::cases() as $edge)
                <label class="check"
                    ><input
                        type="checkbox"
                        name="viewing_edges[]"
                        value="{{ $edge->value }}"
                        @checked(in_array($edge, $sheet->viewing->edges, true))
                    >
                    {{ $edge->value }}</label
                >
            @endforeach
        </fieldset>
        <div class="pair">
            <x-field
                form="sheet"
                name="eye_distance_mm"
                label="Eyes off the edge"
                :unit="$in"
                :value="$shown('eye_distance_mm', $sheet->viewing->distance)"
            />
            <x-field
                form="sheet"
                name="eye_height_mm"
                label="over the board’s top"
                :unit="$in"
                :value="$shown('eye_height_mm', $sheet->viewing->height)"
            />
        </div>
        <h3>Vehicles</h3>
        @include('layouts.settings.vehicles')
        @error('vehicles')
            <p class="fault">{{ $message }}</p>
        @enderror
        <p class="small soft">Empty a row to take its vehicle off. Clearance is kept for all of them.</p>
        <label class="check"
            ><input type="hidden" name="felt_grade" value="0"><input
                type="checkbox"
                name="felt_grade"
                value="1"
                @checked($sheet->feltGrade)
            >
            show what curves add to a grade, a rule of thumb</label
        >
        <div class="pair">
            <x-field
                form="sheet"
                name="clearance_margin_mm"
                label="Margin beside them"
                :unit="$in"
                :value="$shown('clearance_margin_mm', $sheet->clearance->margin)"
            />
            <x-field
                form="sheet"
                name="face_limit_deg"
                label="Steepest face the skin holds"
                unit="°"
                :value="Decimal::trimmed($sheet->faceLimitDeg, 1)"
            />
            <x-field
                form="sheet"
                name="bank_reach_mm"
                label="Width allowed for slopes"
                :unit="$in"
                :value="$sheet->bankReach === null ? '' : $shown('bank_reach_mm', $sheet->bankReach)"
            />
            <x-field
                form="sheet"
                name="stiffness_mm"
                label="Stiffness of the ground"
                :unit="$in"
                :value="$shown('stiffness_mm', $sheet->stiffness)"
            />
        </div>
        <div class="acts">
            <button class="btn {{ count($sections) === 0 ? 'quiet' : '' }}">Save the sheet</button
            ><a class="btn quiet" href="{{ route('layouts.export', $layout) }}">Export</a>
            <a class="btn quiet" href="{{ route('layouts.archive', $layout) }}">With pictures</a>
        </div>
    </form>
</section>
