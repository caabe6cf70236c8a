@props([
    'name',
    'label',
    'value' => '',
    'at' => null,
    'unit' => null,
    'id' => null,
    'hint' => null,
    'type' => 'text',
    'mode' => null,
    'real' => null,
    'form' => null
])
@use('IdleRidge\Core\Measure\UnitsInUse')
@php($place = $at ?? $name)
@php($id ??= 'f-' . str_replace(['[', ']', '.'], ['-', '', '-'], $name))
@php($key = str_replace(['[', ']'], ['.', ''], $name))
{{-- Where a page has several forms, one that failed speaks for its own fields only. --}}
@php($mine = $form === null || old('form') === $form)
@php($fault = $mine ? $errors->first($place) : '')
<div {{ $attributes->class(['field']) }}>
    <label for="{{ $id }}"
        >{{ $label }}
        @if ($unit)
            <small>{{ $unit }}</small>
        @endif
    </label>
    <input
        id="{{ $id }}"
        type="{{ $type }}"
        name="{{ $name }}"
        value="{{ $mine ? \App\Http\OldInput::text($key, $value) : $value }}"
        data-at="{{ $place }}"
        autocomplete="off"
        @if ($mode && ($mode !== 'decimal' || UnitsInUse::areMetric())) inputmode="{{ $mode }}" @endif
        @if ($fault !== '') aria-invalid="true" aria-describedby="{{ $id }}-fault" @endif
    >
    @if ($real)
        <small class="real">{{ $real }}</small>
    @endif
    @if ($fault !== '')
        <p class="fault" id="{{ $id }}-fault">{{ $fault }}</p>
    @endif
    @if ($hint)
        <small class="hint">{{ $hint }}</small>
    @endif
</div>
