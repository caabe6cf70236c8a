@props(['layout', 'on'])
<nav class="sheet-tabs tools" aria-label="About the whole layout">
    @foreach ([
        'layouts.settings' => 'Boards and rooms',
        'whole.show' => 'Whole layout',
        'carrying.show' => 'Carrying',
        'curves.show' => 'Curves and sizes',
        'history.show' => 'History',
    ] as $route => $word)
        <a class="tool" href="{{ route($route, $layout) }}" @if ($on === $route) aria-current="page" @endif>{{ $word }}</a>
    @endforeach
</nav>
