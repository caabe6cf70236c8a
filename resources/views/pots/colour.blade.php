@use('IdleRidge\Core\Measure\Decimal')
<div class="pot-tint">
    <svg class="swatch" viewBox="0 0 64 28" role="img" aria-label="{{ $colour->name }}, wet and dry">
        <rect width="32" height="28" fill="{{ $wet }}" />
        <rect x="32" width="32" height="28" fill="{{ $dry }}" />
    </svg>
    <p><b>{{ $colour->name }}</b> <span class="wh">wet and dry</span></p>
    @if ($family->shades !== [])
        <p class="wh">
            Mix {{ Decimal::trimmed($family->whole(), 0) }} ml in one go and keep it as one family:
            {{ Decimal::trimmed($family->own, 0) }} ml for itself@foreach ($family->shades as $shade),
                {{ Decimal::trimmed($shade['from'], 0) }} ml with
                {{ Decimal::trimmed($shade['add'], 1) }} ml {{ $shade['colour']->tied['base'] }} for
                {{ $shade['colour']->name }}@endforeach.
        </p>
    @endif
</div>
