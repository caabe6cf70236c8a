@props(['state', 'word' => null])
<span {{ $attributes->class(['st', 'st-' . $state->value]) }}
    >{!! \App\Pages\Drawing\StateMarks::html($state) !!}{{ $word ?? $state->value }}</span
>
