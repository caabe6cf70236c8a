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
                                    <span class="small">{{
                                        $row['colour']->tied === null
                                            ? $row['colour']->words()
                                            : '10 ' . ($names[$row['colour']->tied['of']] ?? 'of another') . ', ' .
                                                Decimal::trimmed($row['colour']->tied['parts'], 2) . ' ' . $row['colour']->tied['base']
                                    }}</span>
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
                @include('coats.palette.mix')
            </div>
        </div>
    </main>
</x-page>
