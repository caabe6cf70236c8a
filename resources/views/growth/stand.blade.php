@use('IdleRidge\Core\Measure\Format')
@use('IdleRidge\Core\Measure\Decimal')
@if ($tree)
    <section class="sheet">
        <header>
            <h2>Tree {{ $page->tree + 1 }}</h2>
            <span class="meta">{{ $stand->species($tree)->name }} of {{ $stand->name }}</span>
            <a class="link" href="{{ $here(['pick' => $stand->uid]) }}">Let go</a>
        </header>
        <form class="in stack" method="post" action="{{ route('stands.tree', [$layout, $section->uid, $stand->uid, $page->tree]) }}">
            @csrf
            @method('patch')
            @seen
            <input type="hidden" name="form" value="tree">
            <div class="trio">
                <x-field form="tree" name="x" label="Along" :value="Format::field($tree->x, decimals: 1)" />
                <x-field form="tree" name="y" label="From the front" :value="Format::field($tree->y, decimals: 1)" />
                <x-choice
                    form="tree"
                    name="species"
                    id="f-tree-species"
                    label="Species"
                    :value="$tree->species"
                    :options="array_map(fn($s) => $s->name, $stand->mix)"
                />
            </div>
            <div class="trio">
                <x-field
                    form="tree"
                    name="height"
                    label="Height"
                    :value="Format::field($tree->height)"
                    :real="Format::text($sheet->scale->toPrototype($tree->height) / 1000, 'm', 1).' outdoors'"
                />
                <x-field
                    form="tree"
                    name="crown"
                    label="Crown"
                    :value="Format::field($tree->crown)"
                    :real="Format::text($sheet->scale->toPrototype($tree->crown) / 1000, 'm', 1).' outdoors'"
                />
                <div class="checks">
                    <input type="hidden" name="dead" value="0"><label class="check"
                        ><input type="checkbox" name="dead" value="1" @checked($tree->dead)> dead</label
                    >
                    <input type="hidden" name="fixed" value="0"><label class="check"
                        ><input type="checkbox" name="fixed" value="1" @checked($tree->fixed)> stays when planted anew</label
                    >
                </div>
            </div>
            <div class="acts">
                <button class="btn">Save</button>
                <button class="btn quiet" name="out" value="1">Take it out</button>
            </div>
        </form>
    </section>
@endif
<section class="sheet">
    <header>
        <h2>{{ $stand->name }}</h2>
        <span class="meta">{{ count($stand->trees) === 1 ? '1 tree' : count($stand->trees) . ' trees' }}</span>
        <a class="link" href="{{ $here() }}">All of the board</a>
    </header>
    <form class="in stack" method="post" action="{{ route('stands.update', [$layout, $section->uid, $stand->uid]) }}">
        @csrf
        @method('patch')
        @seen
        <input type="hidden" name="form" value="stand">
        <div class="pair">
            <x-field form="stand" name="name" id="f-stand-name" label="Called" :value="$stand->name" />
            <x-choice form="stand" name="zone" label="Where" :value="$stand->zone ?? ''" :options="$zones" />
        </div>
        <div class="trio">
            <x-choice
                form="stand"
                name="pattern"
                label="How they stand"
                :value="$stand->rule->pattern->value"
                :options="['wood' => 'all over', 'groups' => 'odd groups', 'orchard' => 'in rows', 'by-hand' => 'set by hand']"
            />
            <x-field
                form="stand"
                name="spacing"
                label="Spacing"
                unit="crowns"
                :value="Decimal::trimmed($stand->rule->spacing, 2)"
                mode="decimal"
            />
            <x-field
                form="stand"
                name="tall_behind"
                label="Tall behind"
                unit="%"
                :value="Decimal::trimmed(100 * $stand->rule->tallBehind, 0)"
                mode="decimal"
            />
        </div>
        <div class="trio">
            <x-field form="stand" name="dead" id="f-stand-dead" label="Dead" unit="%"
                :value="Decimal::trimmed(100 * $stand->rule->dead, 0)" mode="decimal" />
            <x-field form="stand" name="steepest_deg" label="Steepest" unit="°"
                :value="Decimal::trimmed($stand->rule->steepestDeg, 0)" mode="decimal" />
            <x-field form="stand" name="clear_mm" label="Clear of crowns" :value="Format::field($stand->rule->clear)" />
        </div>
        <div class="pair">
            <x-field
                form="stand"
                name="bore"
                at="bore_mm"
                label="Socket, bore"
                :value="$stand->socket === null ? '' : Format::field($stand->socket->bore)"
                hint="empty where they do not lift off"
            />
            <x-field
                form="stand"
                name="depth"
                at="depth_mm"
                label="deep"
                :value="$stand->socket === null ? '' : Format::field($stand->socket->depth)"
                :hint="$stand->socket === null ? null : 'pins of ' . Format::length($stand->socket->pin(), 1)"
            />
        </div>
        <details class="mix-of" @if (old('form') === 'stand' && $errors->has('species*')) open @endif>
            <summary>Species, outdoors</summary>
            <table class="species">
                <thead>
                    <tr><th scope="col">Species</th><th scope="col">Height <small>{{ Format::unit('m') }}</small></th><th
                        scope="col">Crown <small>{{ Format::unit('m') }}</small></th><th scope="col">Parts</th></tr>
                </thead>
                <tbody>
                    @foreach ([...$stand->mix, null] as $k => $one)
                        <tr>
                            <td>
                                <input name="species[{{ $k }}][name]" value="{{ $one?->name }}" aria-label="Species {{ $k + 1 }}"
                                    data-at="species/{{ $k }}/name" autocomplete="off">
                                <select name="species[{{ $k }}][form]" aria-label="Form of species {{ $k + 1 }}">
                                    @foreach (\IdleRidge\Core\Planting\TreeForm::cases() as $form)
                                        <option value="{{ $form->value }}" @selected($one?->form === $form)>{{ $form->value }}</option>
                                    @endforeach
                                </select>
                            </td>
                            <td>
                                <input name="species[{{ $k }}][low]" value="{{ $one === null ? '' : Format::field($one->lowM, 'm') }}"
                                    aria-label="Height of a young one" inputmode="decimal" autocomplete="off">
                                <input name="species[{{ $k }}][high]" value="{{ $one === null ? '' : Format::field($one->highM, 'm') }}"
                                    aria-label="Height of an old one" inputmode="decimal" autocomplete="off">
                            </td>
                            <td>
                                <input name="species[{{ $k }}][crown_low]"
                                    value="{{ $one === null ? '' : Format::field($one->crownLowM, 'm') }}"
                                    aria-label="Crown of a young one" inputmode="decimal" autocomplete="off">
                                <input name="species[{{ $k }}][crown_high]"
                                    value="{{ $one === null ? '' : Format::field($one->crownHighM, 'm') }}"
                                    aria-label="Crown of an old one" inputmode="decimal" autocomplete="off">
                            </td>
                            <td>
                                <input name="species[{{ $k }}][parts]" value="{{ $one === null ? '' : Decimal::trimmed($one->parts, 2) }}"
                                    aria-label="Parts" inputmode="decimal" autocomplete="off">
                            </td>
                        </tr>
                        @foreach (['name', 'form', 'height_m/0', 'height_m/1', 'crown_m/0', 'crown_m/1', 'parts'] as $part)
                            @error("species/{$k}/{$part}")
                                <tr><td colspan="4"><p class="fault">{{ $message }}</p></td></tr>
                            @enderror
                        @endforeach
                    @endforeach
                </tbody>
            </table>
            @error('species')
                <p class="fault">{{ $message }}</p>
            @enderror
        </details>
        @error('trees')
            <p class="fault">{{ $message }}</p>
        @enderror
        <div class="acts">
            <button @class(['btn', 'quiet' => $tree]) name="plant" value="anew">Plant anew</button>
            <button class="btn quiet" name="plant" value="same">With the same seed</button>
            <button class="btn quiet" name="plant" value="">Save</button>
        </div>
        <p class="soft">
            Trees that were set or dragged by hand stay; seed {{ $stand->rule->seed }}. Their sunny side is to the {{ $sunny }}: lighter
            green and grass up to it there, moss and litter behind.
        </p>
    </form>
    @include('growth.work', [
        'to' => 'stands',
        'uid' => $stand->uid,
        'away' => 'Put the stand away',
        'brings' => 'litter in its shade, then ' . count($stand->trees) . ' trees',
    ])
</section>
