{{-- told: its caption stands beside it, so that nobody is read it twice --}}
@props(['layout', 'photo', 'size' => 'small', 'lazy' => true, 'told' => false])
@php([$width, $height] = $photo->shape($size))
<img
    {{ $attributes->class(['shot']) }}
    src="{{ route('photos.picture', [$layout, $photo->hash, $size]) }}"
    width="{{ $width }}"
    height="{{ $height }}"
    alt="{{ $photo->caption === '' ? 'Picture' : ($told ? '' : $photo->caption) }}"
    decoding="async"
    @if ($lazy) loading="lazy" @endif
>
