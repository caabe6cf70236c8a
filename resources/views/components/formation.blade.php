@props(['profile', 'road' => false])
@use('App\Http\OldInput')
@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
{{-- The values of a formation, to be set. --}}
@php($values = $profile->toArray())
<table class="points">
    <thead>
        <tr>
            <th scope="col">Looking along rising stations</th>
            <th scope="col">Left</th>
            <th scope="col">Right</th>
        </tr>
    </thead>
    <tbody>
        @foreach ([
                'half_width_%s_mm' => 'Half-width, ' . Format::unit('mm'),
                'batter_cut_%s' => 'Slope in cutting, out to 1 up',
                'batter_fill_%s' => 'Slope of banks, out to 1 up'
            ]
            as $pattern => $word)
            <tr>
                <th scope="row">{{ $word }}</th>
                @foreach (['left', 'right'] as $side)
                    @php($key = sprintf($pattern, $side))
                    @php($stands = str_ends_with($key, '_mm') ? Format::field($values[$key]) : Decimal::trimmed($values[$key], 3))
                    @php($fault = $errors->first("profile/{$key}"))
                    <td>
                        <input
                            name="profile[{{ $key }}]"
                            data-at="profile/{{ $key }}"
                            aria-label="{{ $word }}, {{ $side }}"
                            value="{{ OldInput::text("profile.{$key}", $stands) }}"
                            autocomplete="off"
                            @if ($fault !== '') aria-invalid="true" aria-describedby="fault-{{ $key }}" @endif
                        >
                        @if ($fault !== '') <p class="fault" id="fault-{{ $key }}">{{ $fault }}</p> @endif
                    </td>
                @endforeach
            </tr>
        @endforeach
    </tbody>
</table>
<div class="pair five">
    @foreach ($road
            ? ['ditch_width_mm' => 'Ditch', 'ditch_depth_mm' => 'deep', 'roadbed_mm' => 'Surface']
            : [
                'ditch_width_mm' => 'Ditch',
                'ditch_depth_mm' => 'deep',
                'roadbed_mm' => 'Roadbed',
                'sleeper_mm' => 'Sleeper',
                'rail_mm' => 'Rail'
            ]
        as $key => $word)
        <x-field :name="'profile[' . $key . ']'" :at="'profile/' . $key" :label="$word" :value="Format::field($values[$key])" />
    @endforeach
</div>
