@use('IdleRidge\Core\Measure\Decimal')
@if ($page->classes !== [])
    <header>
        <h2>
            {{
                [
                    'slope' => 'How steep',
                    'damp' => 'Where it is damp',
                    'sun' => 'Which way it faces',
                    'sight' => 'What is not seen',
                ][$page->tint]
            }}
        </h2>
        <span class="meta end">true surface</span>
    </header>
    <ul class="in classes">
        @foreach ($page->classes as $k => $class)
            <li>
                <svg class="swatch" viewBox="0 0 14 14" aria-hidden="true"><rect class="tint-{{ $page->tint }}-{{ $k }}" width="14"
                    height="14" /></svg
                >{{ $class->name }}<span class="num">{{ \IdleRidge\Core\Measure\Format::text($class->area / 100, 'cm²') }}</span>
            </li>
        @endforeach
    </ul>
@endif
@if ($page->sight)
    <dl class="in read seen">
        <div>
            <dt>Land seen from {{ implode(', ', array_column($page->project->layout->viewing->edges, 'value')) }}</dt>
            <dd><x-figure :figure="$page->sight->land" /> <small>%</small></dd>
        </div>
        @foreach ($page->sight->runs as [$name, $figure])
            <div>
                <dt>{{ $name }} seen</dt>
                <dd><x-figure :figure="$figure" /> <small>%</small></dd>
            </div>
        @endforeach
    </dl>
@elseif ($page->tint === 'sight' && $page->project->layout->viewing->edges === [])
    <p class="in soft">Nothing is looked at: set the edges this layout is looked at from on the Layout sheet.</p>
@endif
<header><h2>{{ $findings === [] ? 'Nothing picked' : 'Findings' }}</h2></header>
@if ($findings === [])
    <p class="in soft">Touch a spot, a line or a run on the plan to see its values. Every grip has a typed value too.</p>
@endif
@include('land.found')
<header>
    <h2>Edges</h2>
    <span class="meta end">left to right, front to back</span>
</header>
<table class="points edges-table">
    <tbody>
        @foreach ($edges as $row)
            <tr>
                <th scope="row">{{ $row['edge'] }}</th>
                <td>
                    {{
                        ($row['fixed']
                            ? 'fixed at '.$row['points'].($row['points'] === 1 ? ' point' : ' points')
                            : 'free')
                            .($row['other'] ? ", {$row['other']} beyond" : '')
                    }}
                </td>
                <td class="row-links">
                    <button
                        type="button"
                        class="link"
                        hx-post="{{ $here('land.edge') }}"
                        hx-vals='@json(['edge' => $row['edge'], 'how' => $row['fixed'] ? 'free' : 'fix'])'
                        hx-target="#land"
                        hx-include="#look"
                    >
                        {{ $row['fixed'] ? 'Set free' : 'Fix as it lies' }}
                    </button>
                    @if ($row['mayCopy'])
                        <button
                            type="button"
                            class="link"
                            hx-post="{{ $here('land.edge') }}"
                            hx-vals='@json(['edge' => $row['edge'], 'how' => 'copy'])'
                            hx-target="#land"
                            hx-include="#look"
                        >
                            Copy across
                        </button>
                    @endif
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
<header><h2>Files</h2></header>
<form class="in bring" method="post" action="{{ $here('land.bring') }}" enctype="multipart/form-data">
    @csrf
    @seen
    <label for="bring-file">Track from CSV, DXF, SVG or LandXML, heights from an ASCII grid</label>
    <input
        type="file"
        id="bring-file"
        name="file"
        accept=".csv,.tsv,.txt,.dxf,.svg,.xml,.landxml,.asc,.grd"
        @error('file') aria-invalid="true" aria-describedby="bring-fault" @enderror
    >
    <div class="pair bring-how">
        <select name="size" aria-label="Whose lengths they are">
            <option value="model">model size</option>
            <option value="full">full size, ÷ {{ Decimal::trimmed($layout->ratio, 1) }}</option></select
        ><button class="btn quiet">Bring in</button>
    </div>
    @error('file')
        <p class="fault" id="bring-fault" role="alert">{{ $message }}</p>
    @enderror
</form>
<p class="in take">
    <span class="soft">Take along:</span>
    @foreach (['csv' => 'track as CSV', 'dxf' => 'DXF', 'svg' => 'SVG', 'xml' => 'LandXML', 'asc' => 'heights as ASCII grid',
        'geojson' => 'contours as GeoJSON', 'png' => 'relief as PNG'] + ($page->sheet->walls === [] ? [] : ['walls' => 'walls to cut, 1:1'])
        as $form => $word)
        <a class="link" href="{{ $here('land.take', [$form]) }}" download>{{ $word }}</a>
    @endforeach
</p>
