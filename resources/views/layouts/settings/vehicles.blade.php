@use('IdleRidge\Core\Measure\Format')
<table class="points vehicles">
    <thead>
        <tr>
            <th scope="col">What runs</th>
            <th scope="col">Body</th>
            <th scope="col">Bogies</th>
            <th scope="col">Width</th>
            <th scope="col">Height</th>
        </tr>
    </thead>
    <tbody>
        @foreach ([...$sheet->clearance->vehicles, null] as $k => $vehicle)
            <tr>
                @foreach ([
                        'name' => 'Name',
                        'body_mm' => 'Body',
                        'bogie_centres_mm' => 'Bogie centres',
                        'width_mm' => 'Width',
                        'height_mm' => 'Height'
                    ]
                    as $part => $label)
                    @php($at = "vehicles/{$k}/{$part}")
                    @php($now = $vehicle === null ? ''
                        : ($part === 'name' ? $vehicle->name : Format::field($vehicle->toArray()[$part])))
                    <td>
                        <input
                            name="vehicles[{{ $k }}][{{ $part }}]"
                            aria-label="{{ $label }} of {{ $vehicle === null ? 'a new vehicle' : $vehicle->name }}"
                            value="{{ old('form') === 'sheet'
                                ? \App\Http\OldInput::text("vehicles.{$k}.{$part}", $now) : $now }}"
                            autocomplete="off"
                            @if ($vehicle === null && $part === 'name') placeholder="another" @endif
                            @if ($errors->has($at)) aria-invalid="true" aria-describedby="vehicle-{{ $k }}-fault"
                                @endif
                        >
                    </td>
                @endforeach
            </tr>
            @foreach (['name', 'body_mm', 'bogie_centres_mm', 'width_mm', 'height_mm'] as $part)
                @if ($errors->has("vehicles/{$k}/{$part}"))
                <tr>
                    <td colspan="5">
                        <p
                            class="fault"
                            id="vehicle-{{ $k }}-fault"
                        >{{ $errors->first("vehicles/{$k}/{$part}") }}</p>
                    </td>
                </tr>
            @endif @endforeach
        @endforeach
    </tbody>
</table>
