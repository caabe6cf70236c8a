@use('IdleRidge\Core\Measure\Decimal')
@php($range = fn(?array $pair, int $d = 0): string => $pair === null ? ''
    : '(' . Decimal::trimmed($pair[0], $d) . '–' . Decimal::trimmed($pair[1], $d) . ')')
@php($hours = fn(?float $min): string => $min === null ? '–'
    : ($min < 100 ? Decimal::trimmed($min, 0) . ' min' : Decimal::trimmed($min / 60, 1) . ' h'))
<x-page title="Recipes" :layout="$layout" :section="$first" current="coats">
    <main class="page wide" id="land">
        <div class="title">
            <h1>Recipes</h1>
            <div class="sub">
                what goes on for a square metre, and how it dries at 20 °C, 50 %;<br>
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
