@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
@use('IdleRidge\Core\Measure\UnitsInUse')
@php($mm = UnitsInUse::areMetric() ? ' mm' : '')
@php($goes = $scheduled['goes'])
<div class="cut-hold">
    @if ($picked === 0)
        <p class="blank-words">There is no land above the board yet, so nothing is to be cut. Raise a hill on Land.</p>
    @else
        <form class="small glue-job" method="post" action="{{ route('cuts.plan', [$layout, $section->uid]) }}">
            @csrf
            @seen
            <span
                >{{ $shell === null ? 'Cutting, gluing, shaping' : 'Ribs and web' }}:
                <b class="num">{{ Decimal::trimmed($minutes / 60, 1) }} h</b> at the bench.</span
            >
            @if ($shell !== null)
                <span class="soft">The cover goes on as coats, {{ Decimal::trimmed(($shell->minutes() - $minutes) / 60, 1) }} h more.</span>
            @endif
            @if ($goes > 0)
                <span class="soft"
                    >On the schedule {{ $goes === 1 ? 'in one go' : "in {$goes} goes" }},
                    {{ Decimal::trimmed($scheduled['minutes'] / 60, 1) }} h.</span
                >
            @endif
            <button class="btn quiet">{{ $goes === 0 ? 'Put it on the schedule' : 'Renew it there' }}</button>
            @error('cuts')
                <p class="fault">{{ $message }}</p>
            @enderror
        </form>
        @include('cuts.findings')
        @if ($gluing !== null)
            <p class="small">
                @foreach ($gluing->amounts() as $glue => $ml)
                    {{ $loop->first ? '' : ' · ' }}{{ $glue }}
                    <span class="num">{{ Format::text($ml, 'ml') }}</span>
                @endforeach
            </p>
            <table class="layers glue-table">
                <thead>
                    <tr>
                        <th scope="col">From the board up</th>
                        <th scope="col">onto</th>
                        <th scope="col">{{ Format::unit('cm²') }}</th>
                        <th scope="col">glue</th>
                        <th scope="col">why</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($gluing->joints as $joint)
                        <tr>
                            <th scope="row">{{ $joint->piece }}</th>
                            <td>{{ $joint->on }}</td>
                            <td>{{ Format::field($joint->area / 100, 'cm²', 0) }}</td>
                            <td class="word">{{ $joint->glue }}</td>
                            <td class="word">{{ $joint->why }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        @else
            <table class="layers">
                <thead>
                    <tr>
                        <th scope="col">Bay</th>
                        <th scope="col">from</th>
                        <th scope="col">to</th>
                        <th scope="col">surface, {{ Format::unit('cm²') }}</th>
                        <th scope="col">pieces a layer</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($shell->bays as $k => $bay)
                        <tr>
                            <th scope="row">R{{ $k + 1 }} to R{{ $k + 2 }}</th>
                            <td>{{ Format::cell($bay['from']) }}</td>
                            <td>{{ Format::cell($bay['to']) }}</td>
                            <td>{{ Format::field($bay['surface'] / 100, 'cm²', 0) }}</td>
                            <td>{{ Decimal::trimmed($bay['pieces'], 1) }}</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
            <p class="small">
                {{ $shell->stripCount }} strips {{ Format::cell($shell->build->strip) }}{{ $mm }} wide,
                {{ Decimal::trimmed(Format::strip($shell->strips / 1000)[0], 1) }} {{ Format::strip(1)[1] }} in all, woven
                {{ Format::cell($shell->build->stripGap) }}{{ $mm }} apart both ways. {{ $shell->pieces() }} pieces of
                {{ Format::cell($shell->build->clothWidth) }} ×
                {{ Format::cell($shell->build->clothLength) }}{{ $mm }} in {{ $shell->build->layers }} layers: lay each over
                {{ Decimal::trimmed(100 * $shell->build->overlap, 0) }} % of its neighbour, {{ Format::text($shell->weight(true),
                    'kg', 1) }} wet.
            </p>
        @endif
    @endif
</div>
