@props(['layout', 'on', 'label', 'tabs'])
<nav {{ $attributes->class('page-tabs tools') }} aria-label="{{ $label }}">
    @foreach ($tabs as $route => $word)
        <a class="tool" href="{{ route($route, $layout) }}" @if ($on === $route) aria-current="page" @endif>{{ $word }}</a>
    @endforeach
</nav>
