@php
    use IdleRidge\Core\Measure\Amount;
    use IdleRidge\Core\Measure\Decimal;
    use IdleRidge\Core\Measure\Format;
    $units = $sheet->units;
    $shown = fn(string $field, float $mm): string => isset($sheet->typed[$field]) &&
    abs(Amount::parse($sheet->typed[$field], 'mm') - $mm) < 1e-6
        ? $sheet->typed[$field]
        : Format::field($mm);
    $in = Format::unit('mm');
@endphp
<x-page :title="$layout->name" :layout="$layout" :section="$sections->first()" current="settings">
    <main class="page wide" id="land">
        <div class="title">
            <h1>{{ $layout->name }}</h1>
            <div class="sub">
                Layout sheet: what holds for every board.<br>
                Lengths may be typed as {{ $units->value === 'metric' ? '38, 3.8 cm or 2.4 m, or in the other system' : '1 1/2, 6\'
                    3" or 6.25 ft, or in the other system' }}.
            </div>
            <x-undo :layout="$layout" :next="$next" look="btn quiet" class="end" />
        </div>
        @if (session('said'))
            <p class="said" role="status">{{ session('said') }}</p>
        @endif
        <div class="desk settings">
            <div class="cards">
                @include('layouts.settings.sections')
                @include('layouts.settings.rooms')
                <section class="sheet">
                    <header>
                        <h2>History</h2>
                        <span class="meta">the last changes; undo and redo go back across restarts</span>
                    </header>
                    <ol class="in history">
                        @forelse ($history as $entry)
                            <li><span class="num soft">{{ $entry['at'] }}</span> {{ $entry['sentence'] }}</li>
                        @empty
                            <li class="soft">Nothing has been changed yet.</li>
                        @endforelse
                    </ol>
                </section>
            </div>
            <div class="side">
                @include('layouts.settings.layout')
            </div>
        </div>
    </main>
</x-page>
