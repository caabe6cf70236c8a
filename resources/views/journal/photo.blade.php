@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
<x-page title="Picture" :layout="$layout" :section="$section" current="journal">
    <main class="page wide photo-page" id="land">
        <div class="title">
            <h1>{{ $photo->caption === '' ? 'Picture' : $photo->caption }}</h1>
            <div class="sub">{{ $section?->name ?? 'a board that is gone' }}<br>{{ $day }}</div>
            <div class="ways">
                @if ($photo->entry)
                    <a class="btn quiet" href="{{ route('journal.show', [$layout, 'entry' => $photo->entry]) }}">In the journal</a>
                @endif
                <form method="post" action="{{ route('photos.destroy', [$layout, $photo->uid]) }}">
                    @csrf
                    @method('delete')
                    @seen
                    <button class="btn quiet">Put it away</button>
                </form>
            </div>
        </div>
        <x-said />
        <div class="photo-cols">
            <section class="sheet photo-sheet">
                @if (! $here)
                    <p class="blank-words">The picture itself is not here: it came with a file without pictures.</p>
                @elseif ($other)
                    <div class="slide" data-slide>
                        <x-shot :layout="$layout" :photo="$photo" size="large" :lazy="false" />
                        <x-shot class="over" :layout="$layout" :photo="$other" size="large" :lazy="false" />
                        <input type="range" min="0" max="100" value="50" aria-label="How much of either picture is shown">
                    </div>
                    <p class="slide-words">
                        <span>{{ $otherDay }}: {{ $other->caption }}</span>
                        <span>{{ $day }}: {{ $photo->caption }}</span>
                    </p>
                @else
                    <form method="post" action="{{ route('photos.touch', [$layout, $photo->uid]) }}" data-touch>
                        @csrf
                        @seen
                        <div class="touch">
                            <x-shot :layout="$layout" :photo="$photo" size="large" :lazy="false" />
                            <svg viewBox="0 0 {{ $photo->width }} {{ $photo->height }}" aria-hidden="true">
                                @foreach (['patch' => $photo->patch, 'white' => $photo->white] as $kind => $spot)
                                    @if ($spot)
                                        <circle
                                            class="{{ $kind }}"
                                            cx="{{ round($spot['x'] * $photo->width) }}"
                                            cy="{{ round($spot['y'] * $photo->height) }}"
                                            r="{{ round(0.014 * max($photo->width, $photo->height)) }}"
                                        />
                                    @endif
                                @endforeach
                            </svg>
                        </div>
                        <fieldset class="touch-what" aria-label="What is touched">
                            <span>Touch the picture:</span>
                            <label class="check"><input type="radio" name="what" value="patch" checked> the colour looked for</label>
                            <label class="check"><input type="radio" name="what" value="white"> a white card in it</label>
                            <span class="by-hand"
                                ><label
                                    >across <input name="x" inputmode="decimal" value="{{ $photo->patch['x'] ?? '' }}" autocomplete="off"
                                ></label>
                                <label>
                                    down
                                    <input name="y" inputmode="decimal" value="{{ $photo->patch['y'] ?? '' }}" autocomplete="off">
                                </label>
                                <button class="btn quiet">Read it there</button></span
                            >
                        </fieldset>
                        @foreach (['patch', 'white', 'x', 'y'] as $place)
                            @error($place)
                                <p class="fault wide-fault" role="alert">{{ $message }}</p>
                            @enderror
                        @endforeach
                    </form>
                @endif
            </section>
            <div class="rcol">
                <section class="sheet" id="colour">
                    <header>
                        <h2>Colour</h2>
                        @if ($colour)
                            <span class="meta">CIELAB <b class="num">{{ $colour['lab'] }}</b></span>
                        @endif
                    </header>
                    @if ($colour === null)
                        <p class="blank-words">
                            Touch a spot of the picture: what colour it has, and what mixes to it. A white card takes the lamp out of it.
                        </p>
                    @else
                        <div class="mixes">
                            <div class="near-mix target">
                                <svg viewBox="0 0 34 22" aria-hidden="true">
                                    <rect width="34" height="22" fill="{{ $colour['hex'] }}" />
                                </svg>
                                <div>
                                    <b>as it lies there</b>
                                    <span>{{ $colour['balanced'] ? 'balanced by the white card' : 'in the light it was taken in' }}</span>
                                </div>
                            </div>
                            @foreach ($colour['mixes'] as $mix)
                                <div class="near-mix">
                                    <svg viewBox="0 0 34 22" aria-hidden="true">
                                        <rect width="17" height="22" fill="{{ $colour['hex'] }}" />
                                        <rect x="17" width="17" height="22" fill="{{ $mix['hex'] }}" />
                                    </svg>
                                    <div>
                                        <b>{{ $mix['parts'] }}</b>
                                        <span>ΔE <b class="num">{{ $mix['apart'] }}</b>, {{ $mix['told'] }}</span>
                                    </div>
                                    <form method="post" action="{{ route('palette.store', $layout) }}">
                                        @csrf
                                        @seen
                                        <input
                                            type="hidden"
                                            name="name"
                                            value="{{ mb_substr($photo->caption === '' ? 'From a picture' : $photo->caption, 0, 50) }}"
                                        >
                                        @foreach ($mix['mix'] as $k => $part)
                                            <input type="hidden" name="mix[{{ $k }}][base]" value="{{ $part['base'] }}">
                                            <input type="hidden" name="mix[{{ $k }}][parts]" value="{{ $part['parts'] }}">
                                        @endforeach
                                        <button class="btn quiet">To the palette</button>
                                    </form>
                                </div>
                            @endforeach
                            @foreach ($colour['palette'] as $own)
                                <div class="near-mix own">
                                    <svg viewBox="0 0 34 22" aria-hidden="true">
                                        <rect width="17" height="22" fill="{{ $colour['hex'] }}" />
                                        <rect x="17" width="17" height="22" fill="{{ $own['hex'] }}" />
                                    </svg>
                                    <div>
                                        <b>{{ $own['name'] }}</b>
                                        <span>of your palette; ΔE <b class="num">{{ $own['apart'] }}</b>, {{ $own['told'] }}</span>
                                    </div>
                                </div>
                            @endforeach
                        </div>
                        <form class="in" method="post" action="{{ route('photos.clear', [$layout, $photo->uid]) }}">
                            @csrf
                            @method('delete')
                            @seen
                            <button class="link">Take the touched spots off</button>
                        </form>
                    @endif
                </section>
                <section class="sheet">
                    <header><h2>Beside another</h2></header>
                    @if ($others === [])
                        <p class="blank-words">There is no other picture yet.</p>
                    @else
                        <form class="in stack" method="get" action="{{ route('photos.show', [$layout, $photo->uid]) }}">
                            <x-choice
                                name="with"
                                label="Before and after, or against a reference"
                                :options="['' => 'alone'] + $others"
                                :value="$other?->uid ?? ''"
                            />
                            <div class="acts"><button class="btn quiet">Hold them together</button></div>
                        </form>
                        @if ($apart)
                            <p class="in-ca">
                                The touched spots are
                                <b>ΔE <span class="num">{{ $apart['apart'] }}</span></b>
                                apart: {{ $apart['seen'] }}.
                            </p>
                        @elseif ($other)
                            <p class="wh in-ca">Touch a spot of both to be told how far their colours are apart.</p>
                        @endif
                    @endif
                </section>
                <section class="sheet">
                    <header><h2>Where it was taken</h2></header>
                    <form class="in stack" method="post" action="{{ route('photos.update', [$layout, $photo->uid]) }}">
                        @csrf
                        @method('patch')
                        @seen
                        <input type="hidden" name="form" value="photo">
                        @if ($plan)
                            {!! $plan->toHtml() !!}
                        @endif
                        <div class="trio">
                            <x-field
                                form="photo"
                                name="x"
                                label="Along"
                                :value="$photo->place === null ? '' : Format::field($photo->place['x'])"
                            />
                            <x-field
                                form="photo"
                                name="y"
                                label="From the front"
                                :value="$photo->place === null ? '' : Format::field($photo->place['y'])"
                            />
                            <x-field
                                form="photo"
                                name="heading"
                                label="Looking to"
                                unit="°"
                                mode="decimal"
                                :value="$photo->place === null ? '90' : Decimal::trimmed($photo->place['heading'], 0)"
                            />
                        </div>
                        <x-field form="photo" name="caption" label="What it shows" :value="$photo->caption" />
                        <div class="pair">
                            <x-choice form="photo" name="zone" label="Zone" :options="$zones" :value="$photo->zone ?? ''" />
                            <x-choice
                                form="photo"
                                name="pin"
                                label="Pinned as a reference"
                                :options="['' => 'nowhere', 'land' => 'beside Land', 'coats' => 'beside Coats']"
                                :value="$photo->pin?->value ?? ''"
                            />
                        </div>
                        <div class="acts"><button class="btn">Keep it so</button></div>
                    </form>
                </section>
            </div>
        </div>
    </main>
</x-page>
