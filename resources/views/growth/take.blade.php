@php($of = $page->picked === null ? [] : ['of' => $page->picked])
@if ($stands !== [] || $rows !== [])
    <section class="sheet">
        <header>
            <h2>At full size</h2>
            <span class="meta">{{ $stand ? 'to prick through' : ($row ? 'stick, jig and post' : 'all of the board') }}</span>
        </header>
        <form class="in printing" method="get" action="{{ route('growth.take', [$layout, $section->uid, 'pdf']) }}">
            @foreach ($of as $name => $value)
                <input type="hidden" name="{{ $name }}" value="{{ $value }}">
            @endforeach
            <div class="pair">
                <x-paper />
                <div class="acts"><button class="btn quiet">PDF</button></div>
            </div>
        </form>
        <p class="in take">
            <span class="soft">Or</span>
            <a class="link" href="{{ route('growth.take', [$layout, $section->uid, 'svg'] + $of) }}" download>SVG</a>
            <a class="link" href="{{ route('growth.take', [$layout, $section->uid, 'dxf'] + $of) }}" download>DXF</a>
            <a class="link" href="{{ route('growth.take', [$layout, $section->uid, 'csv'] + $of) }}" download>a list as CSV</a>
        </p>
    </section>
@endif
@if ($travel !== [])
    <section class="sheet">
        <header>
            <h2>Lifts off</h2>
            <span class="meta">{{ count($travel) }} for the box, tallest first</span>
        </header>
        <ul class="due-list growth-list">
            @foreach (array_slice($travel, 0, 40) as $one)
                <li>
                    <b>{{ $one['stand'] }} {{ $one['number'] }}</b>
                    <span class="num">{{ \IdleRidge\Core\Measure\Length::show($one['height'], $units) }}</span>
                    <span class="words">{{ $one['species'] }}</span>
                </li>
            @endforeach
        </ul>
        @if (count($travel) > 40)
            <p class="in soft">and {{ count($travel) - 40 }} shorter; the list as CSV has all.</p>
        @endif
    </section>
@endif
