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
        <x-sheet-head :layout="$layout" on="layouts.settings" :next="$next" />
        @if (session('said'))
            <p class="said" role="status">{{ session('said') }}</p>
        @endif
        <div class="desk settings">
            <div class="cards">
                @include('layouts.settings.sections')
                @include('layouts.settings.rooms')
            </div>
            <div class="side">
                @include('layouts.settings.layout')
            </div>
        </div>
    </main>
</x-page>
