@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
@php($arc = $piece['kind'] === 'arc')
@php($bend = $piece['kind'] === 'transition')
<tr>
    <th scope="row">
        <input type="hidden" name="elements[{{ $k }}][kind]" value="{{ $piece['kind'] }}">{{ $arc ? 'arc, R' : $piece['kind'] }}
    </th>
    <td>
        @if ($arc)
            <input
                name="elements[{{ $k }}][radius]"
                data-at="elements/{{ $k }}/radius_mm"
                aria-label="Radius"
                value="{{ Format::field($piece['radius_mm']) }}"
                autocomplete="off"
            >
        @else
            <input
                name="elements[{{ $k }}][length]"
                data-at="elements/{{ $k }}/length_mm"
                aria-label="Length"
                value="{{ Format::field($piece['length_mm']) }}"
                autocomplete="off"
            >
        @endif
    </td>
    <td>
        @if ($arc)
            <input
                name="elements[{{ $k }}][angle]"
                data-at="elements/{{ $k }}/angle_deg"
                aria-label="Angle, left positive"
                value="{{ Decimal::trimmed($piece['angle_deg'], 3) }}"
                autocomplete="off"
            >
        @elseif ($bend)
            <span class="pair"
                ><input
                    name="elements[{{ $k }}][from]"
                    data-at="elements/{{ $k }}/from_radius_mm"
                    aria-label="Radius at its start, left positive, empty for straight"
                    placeholder="straight"
                    value="{{ $piece['from_radius_mm'] == 0 ? '' : Format::field($piece['from_radius_mm']) }}"
                    autocomplete="off"><input
                    name="elements[{{ $k }}][to]"
                    data-at="elements/{{ $k }}/to_radius_mm"
                    aria-label="Radius at its end, left positive, empty for straight"
                    placeholder="straight"
                    value="{{ $piece['to_radius_mm'] == 0 ? '' : Format::field($piece['to_radius_mm']) }}"
                    autocomplete="off"
            ></span>
        @endif
    </td>
    <td><button type="button" class="link" data-drop-row>Drop</button></td>
</tr>
