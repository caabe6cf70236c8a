@use('IdleRidge\Core\Track\StructureKind')
@use('IdleRidge\Core\Measure\Format')
<table class="points structures">
    <thead>
        <tr>
            <th scope="col">What</th>
            <th scope="col">From station</th>
            <th scope="col">to</th>
            <th scope="col">Deck, lining</th>
            <th scope="col">Piers, inside</th>
        </tr>
    </thead>
    <tbody>
        @foreach ([...$run->structures, null] as $k => $one)
            @php($tunnel = $one?->kind === StructureKind::Tunnel)
            <tr>
                <td>
                    <select
                        name="structures[{{ $k }}][kind]"
                        data-at="structures/{{ $k }}/kind"
                        aria-label="Kind of structure {{ $k + 1 }}"
                    >
                        @foreach (StructureKind::cases() as $kind)
                            <option @selected($one?->kind === $kind)>{{ $kind->value }}</option>
                        @endforeach
                    </select>
                </td>
                <td>
                    <input
                        name="structures[{{ $k }}][from]"
                        data-at="structures/{{ $k }}/from_mm"
                        aria-label="Structure {{ $k + 1 }} begins at station"
                        value="{{ $one === null ? '' : Format::field($one->from) }}"
                        autocomplete="off"
                    >
                </td>
                <td>
                    <input
                        name="structures[{{ $k }}][to]"
                        data-at="structures/{{ $k }}/to_mm"
                        aria-label="Structure {{ $k + 1 }} ends at station"
                        value="{{ $one === null ? '' : Format::field($one->to) }}"
                        autocomplete="off"
                    >
                </td>
                <td>
                    @if (!$one?->isWall())
                        <input
                            name="structures[{{ $k }}][thick]"
                            data-at="structures/{{ $k }}/{{ $tunnel ? 'lining_mm' : 'deck_mm' }}"
                            aria-label="Deck or lining of structure {{ $k + 1 }}"
                            value="{{ $one === null ? '' : Format::field($one->thick) }}"
                            autocomplete="off"
                        >
                    @endif
                </td>
                <td>
                    @if (!$one?->isWall())
                        <input
                            name="structures[{{ $k }}][more]"
                            data-at="structures/{{ $k }}/{{ $tunnel ? 'inside_mm' : 'piers' }}"
                            aria-label="Piers of a bridge or width inside a tunnel, structure {{ $k + 1 }}"
                            placeholder="{{ $tunnel ? 'as needed' : '' }}"
                            value="{{ $one === null ? ''
                                : ($tunnel ? ($one->inside === null ? '' : Format::field($one->inside)) : $one->piers)
                                }}"
                            autocomplete="off"
                        >
                    @endif
                </td>
            </tr>
        @endforeach
    </tbody>
</table>
