@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
@php($range = fn(?array $pair, string $unit = ''): string => $pair === null ? ''
    : '(' . Format::field($pair[0], $unit, 0) . '–' . Format::field($pair[1], $unit, 0) . ')')
@php($hours = fn(?float $min): string => $min === null ? '–'
    : ($min < 100 ? Decimal::trimmed($min, 0) . ' min' : Decimal::trimmed($min / 60, 1) . ' h'))
<x-page title="Recipes" :layout="$layout" :section="$first" current="coats">
    <main class="page wide" id="land">
        <div class="title">
            <h1>Recipes</h1>
            <div class="sub">
                what goes on for {{ Format::bulk('m²')[0] }}, and how it dries at {{ Format::text(20, '°C') }}, 50 %;<br>
                touch one to make its figures yours
            </div>
        </div>
        <x-said />
        <div class="grid">
            <div class="col">
                @include('coats.library.table')
            </div>
            <div class="col">
                @include('coats.library.recipe')
            </div>
        </div>
    </main>
</x-page>
