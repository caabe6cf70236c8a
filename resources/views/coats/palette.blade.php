@use('IdleRidge\Core\Measure\Decimal')
<x-page title="Palette" :layout="$layout" :section="$first" current="coats">
    <main class="page wide" id="land">
        <div class="title">
            <h1>Palette</h1>
            <div class="sub">
                {{ implode(', ', array_filter([$region, $season])) ?: 'of this layout' }};<br>
                each colour wet, and as it dries: about a shade darker
            </div>
        </div>
        <x-said />
        <div class="grid">
            <div class="col">
                <section class="sheet">
                    <header><h2>Colours</h2></header>
                    @if ($rows === [])
                        <p class="blank-words">
                            Mix a first colour at the right: base paints by parts. Coats can then be given it, and two boards be held side
                            by side.
                        </p>
                    @endif
                    <ul class="in colours">
                        @foreach ($rows as $uid => $row)
                            <li>
                                <svg
                                    class="swatch-pair"
                                    viewBox="0 0 120 44"
                                    role="img"
                                    aria-label="{{ $row['colour']->name }}, wet {{ $row['wet'] }} and dry {{ $row['dry'] }}"
                                >
                                    <rect width="60" height="44" fill="{{ $row['wet'] }}" />
                                    <rect x="60" width="60" height="44" fill="{{ $row['dry'] }}" />
                                </svg>
                                <div>
                                    <a class="link" href="{{ route('palette.show', [$layout, 'colour' => $uid]) }}"
                                        ><b>{{ $row['colour']->name }}</b></a
                                    >
                                    <span class="soft small">{{ $row['colour']->season }}</span><br>
                                    <span class="small">{{ $row['colour']->words() }}</span>
                                    @if ($row['lies'] !== [])
                                        <br>
                                        <span class="soft small">{{ implode(' · ', $row['lies']) }}</span>
                                    @endif
                                </div>
                            </li>
                        @endforeach
                    </ul>
                </section>
                @if ($one !== null && $other !== null)
                    <section class="sheet">
                        <header>
                            <h2>Side by side, dry</h2>
                            <form class="end side-by" method="get">
                                @foreach (['one' => $one, 'other' => $other] as $key => $now)
                                    <select name="{{ $key }}" aria-label="{{ ucfirst($key) }} colour">
                                        @foreach ($rows as $uid => $row)
                                            <option value="{{ $uid }}" @selected($row === $now)>{{ $row['colour']->name }}</option>
                                        @endforeach
                                    </select>
                                @endforeach
                                <button class="btn quiet">Compare</button>
                            </form>
                        </header>
                        <svg
                            class="swatch-wide"
                            viewBox="0 0 720 90"
                            role="img"
                            aria-label="{{ $one['colour']->name }} beside {{ $other['colour']->name }}"
                        >
                            <rect width="360" height="90" fill="{{ $one['dry'] }}" />
                            <rect x="360" width="360" height="90" fill="{{ $other['dry'] }}" />
                        </svg>
                        <p class="in">
                            {{ $one['colour']->name }} and {{ $other['colour']->name }} are <x-figure :figure="$apart" /> apart:
                            <b>{{ $seen }}</b>.
                        </p>
                    </section>
                @endif
            </div>
            <div class="col">
                <section class="sheet">
                    <header>
                        <h2>{{ $picked === null ? 'Mix a colour' : $picked->name }}</h2>
                        @if ($picked !== null)
                            <a class="link end" href="{{ route('palette.show', $layout) }}">A new one</a>
                        @endif
                    </header>
                    <form
                        class="in stack"
                        method="post"
                        action="{{ $picked === null ? route('palette.store', $layout) : route('palette.update', [$layout, $picked->uid]) }}"
                    >
                        @csrf
                        @seen
                        @if ($picked !== null) @method('PATCH')@endif
                        <input type="hidden" name="form" value="colour">
                        <div class="pair">
                            <x-field form="colour" name="name" label="Name" :value="$picked->name ?? ''" /><x-field
                                form="colour"
                                name="season"
                                label="Region, season"
                                :value="$picked->season ?? $season"
                            />
                        </div>
                        @foreach ([0, 1, 2, 3] as $k)
                            <div class="pair mix-row">
                                <x-choice
                                    form="colour"
                                    :name="'mix[' . $k . '][base]'"
                                    :label="$k === 0 ? 'Base paint' : 'and'"
                                    :options="['' => '–'] + array_combine(array_keys($bases), array_keys($bases))"
                                    :value="$picked?->mix[$k]['base'] ?? ''"
                                /><x-field
                                    form="colour"
                                    name="mix[{{ $k }}][parts]"
                                    at="mix/{{ $k }}/parts"
                                    label="parts"
                                    :value="isset($picked?->mix[$k]) ? Decimal::trimmed($picked->mix[$k]['parts'], 2) : ''"
                                    mode="decimal"
                                />
                            </div>
                            @error("mix/{$k}/base")
                                <p class="fault">{{ $message }}</p>
                            @enderror
                        @endforeach
                        @error('mix')
                            <p class="fault">{{ $message }}</p>
                        @enderror
                        @error('colour')
                            <p class="fault">{{ $message }}</p>
                        @enderror
                        <div class="acts">
                            <button class="btn">Mix</button>
                            @if ($picked !== null)
                                <button class="link" form="drop-colour">Remove</button>
                            @endif
                        </div>
                    </form>
                    @if ($picked !== null)
                        <form id="drop-colour" method="post" action="{{ route('palette.destroy', [$layout, $picked->uid]) }}">
                            @csrf
                            @seen
                            @method('DELETE')
                        </form>
                    @endif
                    <ul class="in bases">
                        @foreach ($bases as $name => $hex)
                            <li>
                                <svg class="swatch-one" viewBox="0 0 22 22" aria-hidden="true"><rect width="22" height="22"
                                    fill="{{ $hex }}" /></svg>
                                {{ $name }}
                            </li>
                        @endforeach
                    </ul>
                </section>
            </div>
        </div>
    </main>
</x-page>
