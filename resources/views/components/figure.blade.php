@props(['figure', 'unit' => null, 'column' => false])
<button
    type="button"
    class="fig num"
    data-origin="{{ $figure->origin() }}"
    aria-label="{{ $figure->text() }} {{ $unit ?? $figure->unit() }}. {{ $figure->origin() }}"
>
    {{ $column ? $figure->inColumn() : $figure->text() }}
</button>
