@props(['name', 'label', 'value' => '', 'at' => null, 'unit' => null, 'id' => null, 'hint' => null, 'type' => 'text', 'mode' => null, 'real' => null])
@php($place = $at ?? $name)
@php($id ??= 'f-'.str_replace(['[', ']', '.'], ['-', '', '-'], $name))
@php($key = str_replace(['[', ']'], ['.', ''], $name))
<div {{ $attributes->class(['field']) }}>
    <label for="{{ $id }}">{{ $label }}@if ($unit) <small>{{ $unit }}</small>@endif</label>
    <input id="{{ $id }}" type="{{ $type }}" name="{{ $name }}" value="{{ old($key, $value) }}" data-at="{{ $place }}" autocomplete="off" @if ($mode) inputmode="{{ $mode }}" @endif @error($place) aria-invalid="true" aria-describedby="{{ $id }}-fault" @enderror>
    @if ($real)<small class="real">{{ $real }}</small>@endif
    @error($place)<p class="fault" id="{{ $id }}-fault">{{ $message }}</p>@enderror
    @if ($hint)<small class="hint">{{ $hint }}</small>@endif
</div>
