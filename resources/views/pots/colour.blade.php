<div class="pot-tint">
    <svg class="swatch" viewBox="0 0 64 28" role="img" aria-label="{{ $colour->name }}, wet and dry">
        <rect width="32" height="28" fill="{{ $wet }}" />
        <rect x="32" width="32" height="28" fill="{{ $dry }}" />
    </svg>
    <p><b>{{ $colour->name }}</b> <span class="wh">wet and dry</span></p>
    @if ($family->shades !== [])
        <p class="wh">
            {{ $told }}
        </p>
    @endif
</div>
