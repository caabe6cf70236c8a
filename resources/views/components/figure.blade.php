@props(['figure', 'unit' => null])
<button
    type="button"
    class="fig num"
    data-origin="{{ $figure->origin() }}"
    aria-label="{{ $figure->text() }} {{ $unit ?? $figure->unit() }}. {{ $figure->origin() }}"
>
    {{ $figure->text() }}
</button>
