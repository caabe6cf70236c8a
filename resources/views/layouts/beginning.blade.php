@use('App\Http\OldInput')
@use('IdleRidge\Core\Measure\Format')
@use('IdleRidge\Core\Measure\Scale')
<form
    class="begin-form"
    method="post"
    action="{{ route('layouts.store') }}"
    hx-get="{{ route('layouts.begin') }}"
    hx-trigger="change delay:80ms from:.begin-asks"
    hx-target="#begin-live"
    hx-select="#begin-live"
    hx-swap="outerHTML"
    hx-select-oob="#begin-size,#begin-gauge"
>
    @csrf
    <input type="hidden" name="zone" value="{{ old('zone') }}" data-browser-zone>
    <div class="begin-asks">
        <section class="sheet">
            <header><b class="step">1</b><h2>What runs?</h2></header>
            <div class="in stack">
                <div class="pair">
                    <x-field name="ratio" label="Scale" unit="1 to" :value="$ratio" mode="decimal" />
                    <div id="begin-gauge">
                        <x-field
                            name="gauge_mm"
                            label="Gauge"
                            :unit="Format::unit('mm')"
                            :value="$gauge"
                            :real="'empty: standard gauge, ' . $standard"
                            mode="decimal"
                        />
                    </div>
                </div>
                <p class="presets soft small">
                    @foreach (Scale::PRESETS as $preset)
                        <button type="button" class="link" data-fill="f-ratio" data-value="{{ $preset }}">1:{{ $preset }}</button>
                    @endforeach
                </p>
                <div class="chips" role="radiogroup" aria-label="Shown in">
                    @foreach (['metric' => 'millimetres', 'imperial' => 'inches'] as $key => $word)
                        <label class="check"
                            ><input type="radio" name="units" value="{{ $key }}" @checked(OldInput::text('units', $units) === $key)>
                            {{ $word }}</label
                        >
                    @endforeach
                </div>
            </div>
        </section>
        <section class="sheet">
            <header><b class="step">2</b><h2>How large is the first board?</h2></header>
            <div class="in stack" id="begin-size">
                <input type="hidden" name="shown_in" value="{{ $units }}">
                <div class="pair">
                    <x-field name="width_mm" label="Width" :unit="Format::unit('mm')" :value="$width" mode="decimal" />
                    <x-field name="depth_mm" label="Depth" :unit="Format::unit('mm')" :value="$depth" mode="decimal" />
                </div>
                <p class="small soft">{{ $real }} outdoors.</p>
            </div>
        </section>
        <section class="sheet">
            <header><b class="step">3</b><h2>Where does it stand?</h2></header>
            <div class="in stack">
                <div class="choices" role="radiogroup" aria-label="Where does it stand?">
                    @foreach ($rooms as $one)
                        <label class="check"
                            ><input
                                type="radio"
                                name="room"
                                value="{{ $one->value }}"
                                @checked(OldInput::text('room', $room->value) === $one->value)
                            >
                            {{ $one->says() }}</label
                        >
                    @endforeach
                </div>
                <p class="small soft">It says how fast things dry, until you measure.</p>
            </div>
        </section>
    </div>
    <section class="sheet begin-boards">
        <header>
            <h2>Begin from</h2>
            <span class="meta">each is computed for your scale and board</span>
        </header>
        <div class="in" id="begin-live">
            <div class="board-cards" role="radiogroup" aria-label="Begin from">
                @foreach ($boards as ['kind' => $kind, 'drawing' => $drawing, 'fault' => $fault])
                    <label @class(['board-card', 'off' => $drawing === null])>
                        <input
                            type="radio"
                            name="board"
                            id="f-board-{{ $kind->value }}"
                            value="{{ $kind->value }}"
                            @checked(OldInput::text('board', $picked->value) === $kind->value)
                        >
                        <span class="board-picture">{!! $drawing?->toHtml() !!}</span>
                        <b>{{ $kind->title() }}</b>
                        <span class="small">{{ $fault === '' ? $kind->says() : $fault }}</span>
                    </label>
                @endforeach
            </div>
        </div>
        <div class="in begin-end">
            <x-field name="name" label="Name" :value="$name" real="empty: as the board is called" />
            <button class="btn">Begin</button>
        </div>
    </section>
</form>
