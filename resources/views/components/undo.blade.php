@props(['layout', 'next', 'look' => 'tool'])
<div {{ $attributes->class('undo-pair') }}>
    @foreach (['undo' => 'Undo', 'redo' => 'Redo'] as $way => $word)
        <form method="post" action="{{ route('layouts.'.$way, $layout) }}">
            @csrf
            @seen
            <button class="{{ $look }}" data-{{ $way }} @disabled($next[$way] === null) @if ($next[$way]) title="{{ $next[$way] }}" @endif>
                {{ $word }}
            </button>
        </form>
    @endforeach
</div>
