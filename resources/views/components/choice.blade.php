@props(['name', 'label', 'options', 'value' => '', 'id' => null])
@php($id ??= 'f-'.$name)
<div {{ $attributes->class(['field']) }}>
    <label for="{{ $id }}">{{ $label }}</label>
    <select id="{{ $id }}" name="{{ $name }}" data-at="{{ $name }}" @error($name) aria-invalid="true" aria-describedby="{{ $id }}-fault" @enderror>
        @foreach ($options as $key => $text)
            <option value="{{ $key }}" @selected((string) old($name, $value) === (string) $key)>{{ $text }}</option>
        @endforeach
    </select>
    @error($name)<p class="fault" id="{{ $id }}-fault">{{ $message }}</p>@enderror
</div>
