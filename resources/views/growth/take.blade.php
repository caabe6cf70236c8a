@if ($stands !== [] || $rows !== [])
    <x-full-size
        :layout="$layout"
        :section="$section"
        route="growth.take"
        :of="$page->picked"
        :note="$stand ? 'to prick through' : ($row ? 'stick, jig and post' : 'all of the board')"
    />
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
                    <span class="num">{{ \IdleRidge\Core\Measure\Format::length($one['height']) }}</span>
                    <span class="words">{{ $one['species'] }}</span>
                </li>
            @endforeach
        </ul>
        @if (count($travel) > 40)
            <p class="in soft">and {{ count($travel) - 40 }} shorter; the list as CSV has all.</p>
        @endif
    </section>
@endif
