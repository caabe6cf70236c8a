{{-- told: its caption stands beside it, so that nobody is read it twice --}}
@props(['layout', 'photo', 'size' => 'small', 'lazy' => true, 'told' => false])
@php($edge = \IdleRidge\Core\Journal\Photo::SIZES[$size])
@php($share = min(1.0, $edge / max($photo->width, $photo->height)))
<img
    {{ $attributes->class(['shot']) }}
    src="{{ route('photos.picture', [$layout, $photo->hash, $size]) }}"
    width="{{ (int) round($photo->width * $share) }}"
    height="{{ (int) round($photo->height * $share) }}"
    alt="{{ $photo->caption === '' ? 'Picture' : ($told ? '' : $photo->caption) }}"
    decoding="async"
    @if ($lazy) loading="lazy" @endif
>
