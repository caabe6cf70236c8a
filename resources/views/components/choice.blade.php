@props(['name', 'label', 'options', 'value' => '', 'id' => null, 'form' => null])
@php($id ??= 'f-' . str_replace(['[', ']', '.'], ['-', '', '-'], $name))
@php($dotted = str_replace(['[', ']'], ['.', ''], $name))
@php($mine = $form === null || old('form') === $form)
@php($fault = $mine ? $errors->first($name) : '')
<div {{ $attributes->class(['field']) }}>
    <label for="{{ $id }}">{{ $label }}</label>
    <select
        id="{{ $id }}"
        name="{{ $name }}"
        data-at="{{ $name }}"
        @if ($fault !== '') aria-invalid="true" aria-describedby="{{ $id }}-fault" @endif
    >
        @foreach ($options as $key => $text)
            <option value="{{ $key }}" @selected(($mine ? \App\Http\OldInput::text($dotted, $value) : (string) $value) === (string) $key)>
                {{ $text }}
            </option>
        @endforeach
    </select>
    @if ($fault !== '')
        <p class="fault" id="{{ $id }}-fault">{{ $fault }}</p>
    @endif
</div>
