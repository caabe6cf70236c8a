@use('IdleRidge\Core\Measure\Format')
<table class="points grades">
    <thead>
        <tr>
            <th scope="col">Station</th>
            <th scope="col">Formation</th>
            <th scope="col">Curve</th>
            <th scope="col">Grade to here</th>
        </tr>
    </thead>
    <tbody>
        <tr>
            <th scope="row" class="num">0</th>
            <td>
                <input
                    name="start_height"
                    data-at="start_height_mm"
                    aria-label="Start height"
                    value="{{ Format::field($run->startHeight) }}"
                    autocomplete="off"
                >
            </td>
            <td></td>
            <td class="soft small">start, {{ $mm }}</td>
        </tr>
        @php($shown = array_slice($grades->stations, 1))
        @foreach ($shown as $k => $station)
            <tr>
                <td>
                    <input
                        name="grade_points[{{ $k }}][station]"
                        data-at="grade_points/{{ $k }}/station_mm"
                        aria-label="Station of grade point {{ $k + 1 }}"
                        value="{{ Format::field($station) }}"
                        autocomplete="off"
                    >
                </td>
                <td>
                    <input
                        name="grade_points[{{ $k }}][height]"
                        data-at="grade_points/{{ $k }}/height_mm"
                        aria-label="Height of grade point {{ $k + 1 }}"
                        value="{{ Format::field($grades->heights[$k + 1]) }}"
                        autocomplete="off"
                    >
                </td>
                <td>
                    <input
                        name="grade_points[{{ $k }}][curve]"
                        data-at="grade_points/{{ $k }}/curve_mm"
                        aria-label="Vertical curve at grade point {{ $k + 1 }}"
                        placeholder="none"
                        value="{{ $grades->curves[$k + 1] > 0 ? Format::field($grades->curves[$k + 1]) : '' }}"
                        autocomplete="off"
                    >
                </td>
                <td class="num">
                    {{
                        \App\Pages\Land\GradeWords::of(
                            $grades->stretches($run->alignment->length)[$k]['grade'],
                        )
                    }}
                </td>
            </tr>
        @endforeach
        @php($k = count($shown))
        <tr>
            <td>
                <input
                    name="grade_points[{{ $k }}][station]"
                    data-at="grade_points/{{ $k }}/station_mm"
                    aria-label="Station of a new grade point"
                    placeholder="{{ Format::field(round($run->alignment->length)) }}"
                    autocomplete="off"
                >
            </td>
            <td>
                <input
                    name="grade_points[{{ $k }}][height]"
                    data-at="grade_points/{{ $k }}/height_mm"
                    aria-label="Height or grade of a new grade point"
                    placeholder="80 or 2.2 %"
                    autocomplete="off"
                >
            </td>
            <td>
                <input
                    name="grade_points[{{ $k }}][curve]"
                    data-at="grade_points/{{ $k }}/curve_mm"
                    aria-label="Vertical curve at a new grade point"
                    placeholder="none"
                    autocomplete="off"
                >
            </td>
            <td class="soft small">a new point</td>
        </tr>
    </tbody>
</table>
