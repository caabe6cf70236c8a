@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
<section class="sheet">
    <header><h2>{{ $shell === null ? 'Layers' : 'Ribs' }}</h2></header>
    @if ($schools !== null)
        <table class="layers schools">
            <thead>
                <tr>
                    <th scope="col">To compare</th>
                    @foreach (\App\Pages\Cuts\CompareCutSchools::COLUMNS as $column => $unit)
                        <th scope="col">{{ $column }}{{ $unit === '' ? '' : ', ' . Format::unit($unit) }}</th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                @foreach ($schools['rows'] as $school => $row)
                    <tr @if ($school === $cuts->school->value) aria-current="true" @endif>
                        <th scope="row">{{ $school }}</th>
                        @foreach ($row as $column => $cell)
                            <td>
                                @if ($cell['figure'] !== null)
                                    @if ($cell['before'] !== '')
                                        <small>{{ $cell['before'] }} </small>
                                    @endif
                                    <x-figure :figure="$cell['figure']" column />
                                @elseif ($column === 'cost')
                                    <small>no price</small>
                                @else
                                    –
                                @endif
                            </td>
                        @endforeach
                    </tr>
                @endforeach
            </tbody>
        </table>
        <p class="in small">
            <b>&gt;</b> cloth, card or filler come on top.
            @if (!$schools['laid'])
                <b>≥</b>
                goes by area, seldom enough.
                <a class="link"
                    href="{{ route('cuts.show', [$layout, $section->uid, 'layer' => $picked, 'lay' => 'all']
                        + ($view === 'apart' ? [] : ['on' => $view])) }}">Lay all of them out</a>
            @endif
        </p>
    @endif
    <div class="in">
        <table class="layers">
            @if ($shell === null)
                <thead>
                    <tr>
                        <th scope="col">From the board up</th>
                        <th scope="col">bottom</th>
                        <th scope="col">pieces</th>
                        <th scope="col">{{ Format::unit('cm²') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($stack->layers as $one)
                        <tr @if ($one->index === $picked) aria-current="true" @endif>
                            <th scope="row">
                                <a
                                    href="{{ route('cuts.show', [$layout, $section->uid, 'layer' => $one->index]
                                        + ($view === 'sheets' ? ['on' => 'sheets'] : [])) }}"
                                    >Layer {{ $one->index }}</a
                                >
                            </th>
                            <td>{{ Format::cell($one->bottom, 1) }}</td>
                            <td>{{ count($one->pieces) }}</td>
                            <td>{{ Format::field($one->area / 100, 'cm²', 0) }}</td>
                        </tr>
                    @endforeach
                </tbody>
            @else
                <thead>
                    <tr>
                        <th scope="col">From the left</th>
                        <th scope="col">at</th>
                        <th scope="col">up to</th>
                        <th scope="col">{{ Format::unit('cm²') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($shell->ribs as $k => $one)
                        <tr @if ($k + 1 === $picked) aria-current="true" @endif>
                            <th scope="row">
                                <a
                                    href="{{ route('cuts.show', [$layout, $section->uid, 'layer' => $k + 1]
                                        + ($view === 'sheets' ? ['on' => 'sheets'] : [])) }}"
                                    >Rib {{ $one->name }}</a
                                >
                            </th>
                            <td>{{ Format::cell($one->x) }}</td>
                            <td>{{ Format::cell($one->highest, 1) }}</td>
                            <td>{{ Format::field($one->area() / 100, 'cm²', 0) }}</td>
                        </tr>
                    @endforeach
                </tbody>
            @endif
        </table>
    </div>
</section>
