@props(['figure', 'unit' => null, 'column' => false])
@php($shown = $column ? $figure->inColumn() : $figure->text())
@php($told = $shown . ' ' . ($unit ?? ($column ? \IdleRidge\Core\Measure\Format::unit($figure->unit) : $figure->unit())))
<button
    type="button"
    class="fig num"
    data-origin="{{ $figure->origin() }}"
    aria-label="{{ $told }}. {{ $figure->origin() }}"
>
    {{ $shown }}
</button>
