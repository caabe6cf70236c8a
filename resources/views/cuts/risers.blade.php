@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
@use('IdleRidge\Core\Measure\UnitsInUse')
@php($mm = UnitsInUse::areMetric() ? ' mm' : '')
@if ($risers['run'] === null)
    <p class="blank-words">Lay a run over this board and its risers stand here.</p>
@else
    <div class="cut-hold">
        <p class="small">
            Under
            @foreach ($risers['runs'] as $run)
                <a class="link" href="{{ route('cuts.show', [$layout, $section->uid, 'on' => 'risers', 'run' => $run->uid]) }}"
                    @if ($run->uid === $risers['run']->uid) aria-current="true" @endif>{{ $run->name }}</a>
            @endforeach
            <span class="soft">heights × {{ Decimal::trimmed($risers['stretch'], 1) }}</span>
        </p>
        {!! $risers['drawing']->toHtml() !!}
        @foreach ($risers['sets'] as $set)
            <p class="small">
                Risers {{ $set->first }} to {{ $set->last }} as slices of one block <span
                    class="num">{{ Format::cell($set->length) }}</span>{{ $mm }} long: saw its top once from <span
                        class="num">{{ Format::cell($set->low, 1) }}</span> to <span
                            class="num">{{ Format::cell($set->high, 1) }}</span>{{ $mm }}, then slice it every <span
                                class="num">{{ Format::cell($set->slice, 1) }}</span>{{ $mm }}.
            </p>
        @endforeach
        <table class="layers riser-table">
            <thead>
                <tr>
                    <th scope="col">Riser</th>
                    <th scope="col">station{{ $mm === '' ? '' : ', mm' }}</th>
                    <th scope="col">high</th>
                    <th scope="col">wide</th>
                    <th scope="col">top, °</th>
                    <th scope="col">stack and pack</th>
                    <th scope="col">left over</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($risers['risers'] as $k => $riser)
                    <tr>
                        <th scope="row">{{ $k + 1 }}</th>
                        <td>{{ Format::cell($riser->station) }}</td>
                        <td>{{ Format::cell($riser->height, 1) }}</td>
                        <td>{{ Format::cell($riser->width()) }}</td>
                        <td>{{ Decimal::trimmed($riser->bevelDeg, 1) }}</td>
                        <td>{{ $riser->of->words() }}</td>
                        <td>{{ $riser->of->rest >= 0.05 ? Format::cell($riser->of->rest, 1) : '–' }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <table class="layers riser-table">
            <thead>
                <tr>
                    <th scope="col">Plate under it</th>
                    <th scope="col">from station</th>
                    <th scope="col">to</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($risers['base']->pieces as $piece)
                    <tr>
                        <th scope="row">{{ $piece['name'] }}</th>
                        <td>{{ Format::cell($piece['from']) }}</td>
                        <td>{{ Format::cell($piece['to']) }}</td>
                    </tr>
                @endforeach
                @foreach ($risers['base']->splices as $k => $splice)
                    <tr>
                        <th scope="row">S{{ $k + 1 }}, splice</th>
                        <td>{{ Format::cell($splice['station']) }}</td>
                        <td>{{ Format::cell($splice['length']) }} × {{ Format::cell($splice['width']) }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        <p class="small take">
            @foreach (['risers' => 'risers', 'bases' => 'plates and splices'] as $of => $word)
                <a class="link" href="{{ route('cuts.take', [$layout, $section->uid, 'pdf', 'of' => $of, 'run' => $risers['run']->uid]) }}"
                    download>{{ $word }}, PDF</a
                ><a class="link" href="{{ route('cuts.take', [$layout, $section->uid, 'dxf', 'of' => $of, 'run' => $risers['run']->uid]) }}"
                    download>DXF</a>
            @endforeach
        </p>
    </div>
@endif
