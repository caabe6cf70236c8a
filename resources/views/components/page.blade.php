@use('IdleRidge\Core\Measure\Format')
@use('IdleRidge\Core\Measure\RoundSteps')
@props(['title', 'layout' => null, 'section' => null, 'current' => null])
<!doctype html>
<html lang="en" data-theme="{{ in_array(request()->cookie('theme'), ['lamp', 'film'], true) ? request()->cookie('theme') : 'system' }}">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="csrf-token" content="{{ csrf_token() }}">
    <meta
        name="htmx-config"
        content='{"allowEval":false,"includeIndicatorStyles":false,"selfRequestsOnly":true,
            "historyEnabled":false,"defaultSwapStyle":"outerHTML","defaultSettleDelay":0,
            "responseHandling":[{"code":"204","swap":false},
            {"code":"[23]..","swap":true},{"code":"409","swap":true,"target":"#faults","swapOverride":"innerHTML"},
            {"code":"422","swap":true,"target":"#faults","swapOverride":"innerHTML"},{"code":"...","swap":false,"error":true}]}'
    >
    <link rel="icon" href="/favicon.svg" type="image/svg+xml">
    <title>{{ $title }} – Idle Ridge</title>
    @vite(['resources/css/app.scss', 'resources/js/app.js'])
</head>
<body
    x-data="bench"
    data-fine="{{ RoundSteps::fine() }}"
    data-coarse="{{ RoundSteps::coarse() }}"
    @if (request()->attributes->get('role') === \App\Models\Role::Guest) class="guest" @endif
    @if ($layout)
        data-seen="{{ app(\App\Actions\Ledger\SeenRevision::class)->step }}"
        data-elsewhere="{{ route('layouts.step', $layout) }}"
    @endif
>
    <a class="skip" href="#land">Skip to the page</a>
    <header class="horizon">
        <svg viewBox="0 0 1280 64" preserveAspectRatio="none" aria-hidden="true">
            <path class="sky-edge"
                d="M0 59C70 59 120 57.5 190 55.5S300 48.5 372 45.2 470 40.8 520 41 640 46 708 51.2 840 56.6 960 56.2 1130 58 1280 59.2" />
            <path class="land-fill"
                d="M0 59C70 59 120 57.5 190 55.5S300 48.5 372 45.2 470 40.8 520 41 640 46 708 51.2 840 56.6 960 56.2 1130 58 1280 59.2
                    V64H0Z"
            />
        </svg>
        <a class="hz-name" href="{{ $layout === null ? route('layouts.index') : route('layouts.settings', $layout) }}"
            ><b>Idle Ridge</b
            ><span>{{
                $layout === null
                    ? 'layouts'
                    : $layout->name . ' 1:' . rtrim(rtrim(number_format($layout->ratio, 2, '.', ''), '0'), '.')
            }}</span></a
        >
        <nav class="hz-line" aria-label="Working order">
            @if ($layout !== null)
                @foreach ([
                    ['tonight', 'Tonight', 'tonight.show', 1, false],
                    ['land', 'Land', 'land.show', 2, true],
                    ['cuts', 'Cuts', 'cuts.show', 3, true],
                    ['coats', 'Coats', 'coats.show', 4, true],
                    ['growth', 'Growth', 'growth.show', 0, true],
                    ['water', 'Water', 'water.show', 'W', true],
                    ['pots', 'Pots', 'pots.show', 6, false],
                    ['shelf', 'Shelf', 'shelf.show', 7, false],
                    ['drying', 'Drying line', 'drying.show', 5, false],
                    ['rounds', 'Rounds', 'rounds.show', 9, false],
                    ['journal', 'Journal', 'journal.show', 8, false],
                ] as [$station, $name, $route, $key, $ofBoard])
                    @if (! $ofBoard || $section !== null)
                        <a
                            class="hz-{{ $station }}"
                            href="{{ route($route, $ofBoard ? [$layout, $section->uid] : $layout) }}"
                            data-key="{{ $key }}"
                            @if ($current === $station) aria-current="page" @endif
                            >{{ $name }}</a
                        >
                    @endif
                @endforeach
            @endif
        </nav>
        <div class="hz-air">
            @if ($layout !== null)
                <a
                    class="hz-link"
                    data-key="L"
                    href="{{ route('layouts.settings', $layout) }}"
                    @if ($current === 'settings') aria-current="page" @endif
                    >Layout sheet</a
                >
            @endif
            @if ($layout === null)
                <a class="hz-link" href="{{ route('keeping.index') }}">Safe keeping</a>
                <a class="hz-link" href="{{ route('devices.index') }}">Devices</a>
            @endif
            <a class="hz-link" href="{{ route('layouts.index') }}">All layouts</a>
            @if ($layout)
                <button class="hz-link" type="button" x-on:click="find">Find</button>
            @endif
            <button class="hz-link" type="button" x-on:click="keys">Keys</button>
            <button class="hz-lamp" type="button" x-on:click="lamp" aria-label="Change between film and lamp light">
                <svg class="icn" viewBox="0 0 16 16" aria-hidden="true"><path
                    d="M5.2 8.2 6.6 3.4h2.8l1.4 4.8zM8 8.2v1.6M5 12.6l.8-1.2M8 13.2v-1.5M11 12.6l-.8-1.2" /></svg>
            </button>
        </div>
    </header>
    @if (in_array($current, ['tonight', 'cuts', 'coats', 'growth', 'water', 'pots', 'shelf', 'rounds', 'journal'], true))
        <form id="page-undo" method="post" action="{{ route('layouts.undo', $layout) }}" hidden>
            @csrf
            @seen
            <button data-undo>Undo</button>
        </form>
        <form id="page-redo" method="post" action="{{ route('layouts.redo', $layout) }}" hidden>
            @csrf
            @seen
            <button data-redo>Redo</button>
        </form>
    @endif
    @if (request()->attributes->get('role') === \App\Models\Role::Guest)
        <p class="looks-only">This device looks on. What is done at the bench shows here by itself.</p>
    @endif
    @if ($doubt ?? null)
        <p class="looks-only doubt" role="alert">{{ $doubt }}</p>
    @endif
    <div class="floating elsewhere" id="elsewhere" role="status" hidden>
        <span>Done on another device: <b data-words></b></span> <button type="button" class="link">Show it</button>
    </div>
    {{ $slot }}
    @if ($layout)
        <dialog class="finder" x-ref="finder" aria-label="Find anything">
            <form method="get" action="{{ route('find.show', $layout) }}" role="search">
                <label for="f-find">Find</label>
                <input
                    id="f-find"
                    type="search"
                    name="for"
                    placeholder="a board, zone, coat, material, rule, page, or words of the journal"
                    autocomplete="off"
                    hx-get="{{ route('find.show', $layout) }}"
                    hx-trigger="input changed delay:120ms"
                    hx-target="#found"
                    hx-select="#found"
                    hx-swap="outerHTML"
                    x-on:keydown="choose"
                >
                <div id="found"></div>
            </form>
        </dialog>
    @endif
    <dialog class="keys" x-ref="keys" aria-label="Keys, and what is set on this device">
        <h2>Keys</h2>
        @php([$fine, $coarse] = array_map(fn(float $mm): string => Format::length($mm), [RoundSteps::fine(), RoundSteps::coarse()]))
        <dl>
            <dt><kbd>1</kbd> … <kbd>9</kbd> <kbd>0</kbd></dt>
            <dd>Tonight, Land, Cuts, Coats, Drying line, Pots, Shelf, Journal, Rounds, Growth</dd>
            <dt><kbd>shift+w</kbd> <kbd>shift+l</kbd></dt>
            <dd>Water, Layout sheet</dd>
            <dt><kbd>,</kbd> <kbd>.</kbd></dt>
            <dd>the page before or after, where a row of them stands beside the heading</dd>
            <dt><kbd>[</kbd> <kbd>]</kbd></dt>
            <dd>slide the cut line by {{ $coarse }}, with shift by {{ $fine }}</dd>
            <dt><kbd>s</kbd> <kbd>r</kbd> <kbd>e</kbd> <kbd>h</kbd> <kbd>w</kbd> <kbd>z</kbd> <kbd>c</kbd> <kbd>t</kbd> <kbd>p</kbd></dt>
            <dd>Spot, Run, Ridge, Hollow, Water, Zone, Cut, Tape, Pick</dd>
            <dt><kbd>d</kbd> <kbd>m</kbd> <kbd>g</kbd> <kbd>f</kbd></dt>
            <dd>Road, Stream, Pad, Rough</dd>
            <dt>arrows</dt>
            <dd>move the picked grip by {{ $fine }}, with shift by {{ $coarse }}</dd>
            <dt><kbd>+</kbd> <kbd>-</kbd></dt>
            <dd>raise or lower it by {{ $fine }}, page up and down by {{ $coarse }}</dd>
            <dt><kbd>Enter</kbd> <kbd>Delete</kbd></dt>
            <dd>on a line: make the grip between two points one of them, take a point out</dd>
            <dt>on Growth</dt>
            <dd>arrows move the tree, <kbd>page up</kbd> and <kbd>down</kbd> go to the next, <kbd>Delete</kbd> takes it out</dd>
            <dt>on the Layout sheet</dt>
            <dd>
                arrows step the board, <kbd>[</kbd> and <kbd>]</kbd> turn it by 15°; on an edge <kbd>Enter</kbd> looks from
                there; in a room left and right carry it over
            </dd>
            <dt>Alt</dt>
            <dd>held while dragging: places do not snap to runs, ends, spots and edges</dd>
            <dt><kbd>u</kbd> <kbd>shift+u</kbd></dt>
            <dd>undo, redo</dd>
            <dt><kbd>/</kbd></dt>
            <dd>find anything</dd>
            <dt><kbd>Escape</kbd></dt>
            <dd>let go, put a started line aside</dd>
            <dt><kbd>?</kbd></dt>
            <dd>this list</dd>
        </dl>
        <h2>This device</h2>
        <label class="check"><input type="checkbox" x-bind:checked="letters" x-on:change="switchLetters"> Letters work as keys</label>
        <label class="check"
            ><input type="checkbox" x-bind:checked="sound" x-on:change="turnSound"> A sound when something must not be missed</label>
        <label class="check"
            ><input type="checkbox" x-bind:checked="notices" x-on:change="turnNotices"> A notice too, also while another page is in
            front</label>
        <form method="dialog"><button class="btn quiet">Close</button></form>
    </dialog>
</body>
</html>
