@use('IdleRidge\Core\Cuts\CutSchool')
@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
@php($in = Format::unit('mm'))
@php($open = fn(string $part): bool =>
    $errors->hasAny( array_filter($errors->keys(), fn(string $key): bool => str_starts_with($key, "cuts/{$part}")) ))
<section class="sheet">
    <header><h2>Cut from</h2></header>
    <form class="in stack" method="post" action="{{ route('layouts.update', $layout) }}">
        @csrf
        @seen
        @method('PATCH')
        <input type="hidden" name="back" value="cuts">
        <div class="field">
            <label for="f-school">School</label
            ><select id="f-school" name="cuts[school]">
                @foreach (CutSchool::cases() as $school)
                    <option value="{{ $school->value }}" @selected(old('cuts.school', $cuts->school->value) === $school->value)>
                        {{ $school->value }}: {{ $school->words() }}
                    </option>
                @endforeach
            </select>
        </div>
        <table class="points stock">
            <thead>
                <tr>
                    <th scope="col">To buy, thick</th>
                    <th scope="col">wide</th>
                    <th scope="col">deep</th>
                    <th scope="col">price</th>
                </tr>
            </thead>
            <tbody>
                @foreach ([...$cuts->kinds(), null] as $k => $kind)
                    @php($in1 = $k === 0 ? 'cuts' : 'cuts[more][' . ($k - 1) . ']')
                    @php($at1 = $k === 0 ? 'cuts' : 'cuts/more/' . ($k - 1))
                    @php($typed = fn(string $part, string|int|null $now) =>
                        \App\Http\OldInput::text( str_replace('/', '.', $at1) . '.' . $part, $now ))
                    <tr>
                        @foreach ([
                                'sheet_mm' => ['thickness', $kind?->thickness],
                                'sheet_width_mm' => ['width', $kind?->width],
                                'sheet_depth_mm' => ['depth', $kind?->depth]
                            ]
                            as $part => [$word, $mm])
                            <td>
                                <input
                                    name="{{ $in1 }}[{{ $part }}]"
                                    aria-label="{{ ucfirst($word) }} of sheets {{ $k + 1 }}"
                                    value="{{ $typed($part, $mm === null ? '' : Format::field($mm)) }}"
                                    autocomplete="off"
                                    @if ($errors->has("{$at1}/{$part}")) aria-invalid="true" @endif
                                >
                            </td>
                        @endforeach
                        <td>
                            <input
                                name="{{ $in1 }}[price]"
                                aria-label="Price of a sheet {{ $k + 1 }}, {{ $sheet->currency }}"
                                placeholder="none yet"
                                value="{{ $typed('price', $kind?->price === null ? '' : number_format($kind->price / 100, 2, '.', '')) }}"
                                autocomplete="off"
                            >
                        </td>
                    </tr>
                    @foreach (['sheet_mm', 'sheet_width_mm', 'sheet_depth_mm', 'price'] as $part) @if ($errors->has("{$at1}/{$part}"))
                        <tr>
                            <td colspan="4"><p class="fault">{{ $errors->first("{$at1}/{$part}") }}</p></td>
                        </tr>
                    @endif @endforeach
                @endforeach
            </tbody>
        </table>
        <div class="pair three">
            <x-field name="cuts[skin_mm]" at="cuts/skin_mm" label="Skin over it" :unit="$in" :value="Format::field($cuts->skin)" />
            <x-field name="cuts[kerf_mm]" at="cuts/kerf_mm" label="A cut takes" :unit="$in" :value="Format::field($cuts->kerf)" />
            <x-field
                name="cuts[margin_mm]"
                at="cuts/margin_mm"
                label="Free edges"
                :unit="$in"
                :value="Format::field($cuts->margin)"
            />
        </div>
        @if ($skin !== null)
            <p class="small">
                Coats lay <x-figure :figure="$skin['laid']" /> {{ $skin['laid']->unit() }} of plaster on this board; the foam leaves
                {{ Format::length($skin['left'], 1) }} for it. <button class="link" name="cuts[skin_mm]"
                    value="{{ Format::field($skin['take']) }}">Leave {{ Format::length($skin['take'], 1) }}</button>
            </p>
        @endif
        <details @if ($open('hollow') || $open('plate') || $open('riser')) open @endif>
            <summary>Hollows, plates, risers</summary>
            <div class="pair three">
                <x-field
                    name="cuts[hollow_mm]"
                    at="cuts/hollow_mm"
                    label="Hollow, wall"
                    :unit="$in"
                    :value="$cuts->hollow === null ? '' : Format::field($cuts->hollow)"
                    hint="empty for none"
                />
                <x-field
                    name="cuts[plate_mm]"
                    at="cuts/plate_mm"
                    label="Track’s plate"
                    :unit="$in"
                    :value="Format::field($cuts->plate)"
                />
                <x-field
                    name="cuts[riser_gap_mm]"
                    at="cuts/riser_gap_mm"
                    label="Riser gap"
                    :unit="$in"
                    :value="Format::field($cuts->riserGap)"
                />
            </div>
        </details>
        <details @if ($open('board')) open @endif>
            <summary>Frame and carrying</summary>
            <div class="pair three">
                @foreach ([
                        'top_mm' => ['Board’s top', $cuts->board->top],
                        'timber_mm' => ['Timber', $cuts->board->timber],
                        'timber_high_mm' => ['high', $cuts->board->timberHigh],
                        'gap_mm' => ['Cross gap', $cuts->board->gap],
                        'stock_mm' => ['Timber’s length', $cuts->board->stock]
                    ]
                    as $key => [$word, $mm])
                    <x-field
                        name="cuts[board][{{ $key }}]"
                        at="cuts/board/{{ $key }}"
                        :label="$word"
                        :unit="$in"
                        :value="Format::field($mm)"
                    />
                @endforeach
                <x-field
                    name="cuts[board][lift_kg]"
                    at="cuts/board/lift_kg"
                    label="One lifts"
                    :unit="Format::unit('kg')"
                    :value="Format::field($cuts->board->lift, 'kg', 1)"
                />
                <x-field
                    name="cuts[board][opening_width_mm]"
                    at="cuts/board/opening_width_mm"
                    label="Opening, wide"
                    :unit="$in"
                    :value="$cuts->board->opening === null ? '' : Format::field($cuts->board->opening[0])"
                />
                <x-field
                    name="cuts[board][opening_height_mm]"
                    at="cuts/board/opening_height_mm"
                    label="high"
                    :unit="$in"
                    :value="$cuts->board->opening === null ? '' : Format::field($cuts->board->opening[1])"
                />
                <x-field
                    name="cuts[board][packing_mm]"
                    at="cuts/board/packing_mm"
                    label="Packing"
                    :unit="$in"
                    :value="\App\Actions\Layouts\CutSettingsInput::packingOf($cuts->board)"
                />
            </div>
        </details>
        <details @if ($open('shell') || $shell !== null) open @endif>
            <summary>Shell</summary>
            <div class="pair three">
                @foreach ([
                        'rib_gap_mm' => ['Rib gap', $cuts->shell->ribGap],
                        'strip_gap_mm' => ['Strip gap', $cuts->shell->stripGap],
                        'strip_mm' => ['Strip', $cuts->shell->strip],
                        'cloth_width_mm' => ['Cloth, wide', $cuts->shell->clothWidth],
                        'cloth_length_mm' => ['long', $cuts->shell->clothLength]
                    ]
                    as $key => [$word, $mm])
                    <x-field
                        name="cuts[shell][{{ $key }}]"
                        at="cuts/shell/{{ $key }}"
                        :label="$word"
                        :unit="$in"
                        :value="Format::field($mm)"
                    />
                @endforeach
                <x-field
                    name="cuts[shell][overlap]"
                    at="cuts/shell/overlap"
                    label="Overlap"
                    unit="%"
                    :value="Decimal::trimmed(100 * $cuts->shell->overlap, 0)"
                />
                <x-field name="cuts[shell][layers]" at="cuts/shell/layers" label="Layers" :value="$cuts->shell->layers" />
            </div>
        </details>
        <div class="acts"><button class="btn">Cut again</button></div>
    </form>
</section>
