@props(['layout', 'photo', 'size' => 'small', 'lazy' => true])
@php($edge = \IdleRidge\Core\Journal\Photo::SIZES[$size])
@php($share = min(1.0, $edge / max($photo->width, $photo->height)))
<img
    {{ $attributes->class(['shot']) }}
    src="{{ route('photos.picture', [$layout, $photo->hash, $size]) }}"
    width="{{ (int) round($photo->width * $share) }}"
    height="{{ (int) round($photo->height * $share) }}"
    alt="{{ $photo->caption === '' ? 'Picture' : $photo->caption }}"
    decoding="async"
    @if ($lazy) loading="lazy" @endif
>
