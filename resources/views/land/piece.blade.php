@use('IdleRidge\Core\Measure\Length')
@php($arc = $piece['kind'] === 'arc')
<tr><th scope="row"><input type="hidden" name="elements[{{ $k }}][kind]" value="{{ $piece['kind'] }}">{{ $arc ? 'arc, R' : 'tangent' }}</th>
    <td>@if ($arc)<input name="elements[{{ $k }}][radius]" data-at="elements/{{ $k }}/radius_mm" aria-label="Radius" value="{{ Length::field($piece['radius_mm'], $units) }}" autocomplete="off">@else<input name="elements[{{ $k }}][length]" data-at="elements/{{ $k }}/length_mm" aria-label="Length" value="{{ Length::field($piece['length_mm'], $units) }}" autocomplete="off">@endif</td>
    <td>@if ($arc)<input name="elements[{{ $k }}][angle]" data-at="elements/{{ $k }}/angle_deg" aria-label="Angle, left positive" value="{{ Length::decimal($piece['angle_deg'], 3) }}" autocomplete="off">@endif</td>
    <td><button type="button" class="link" data-drop-row>Drop</button></td></tr>
