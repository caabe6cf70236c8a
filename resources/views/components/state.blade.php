@props(['state', 'word' => null])
<span {{ $attributes->class(['st', 'st-'.$state->value]) }}>{!! \App\Drawing\Marks::html($state) !!}{{ $word ?? $state->value }}</span>
