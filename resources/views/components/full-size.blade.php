@props(['layout', 'section', 'route', 'of', 'note'])
@php($to = fn(string $form): string => route($route, [$layout, $section->uid, $form] + ($of === null ? [] : ['of' => $of])))
<section class="sheet">
    <header>
        <h2>At full size</h2>
        <span class="meta">{{ $note }}</span>
    </header>
    <form class="in printing" method="get" action="{{ route($route, [$layout, $section->uid, 'pdf']) }}">
        @if ($of !== null)
            <input type="hidden" name="of" value="{{ $of }}">
        @endif
        <div class="pair">
            <x-paper />
            <div class="acts"><button class="btn quiet">PDF</button></div>
        </div>
    </form>
    <p class="in take">
        <span class="soft">Or</span>
        <a class="link" href="{{ $to('svg') }}" download>SVG</a>
        <a class="link" href="{{ $to('dxf') }}" download>DXF</a>
        <a class="link" href="{{ $to('csv') }}" download>a list as CSV</a>
    </p>
</section>
