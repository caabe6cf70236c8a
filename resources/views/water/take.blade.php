@php($of = $page->body === null ? [] : ['of' => $page->body->uid])
@if ($bodies !== [])
    <section class="sheet">
        <header>
            <h2>At full size</h2>
            <span class="meta">dams, sheet, mirrors</span>
        </header>
        <form class="in printing" method="get" action="{{ route('water.take', [$layout, $section->uid, 'pdf']) }}">
            @foreach ($of as $name => $value)
                <input type="hidden" name="{{ $name }}" value="{{ $value }}">
            @endforeach
            <div class="pair">
                <x-paper />
                <div class="acts"><button class="btn quiet">PDF</button></div>
            </div>
        </form>
        <p class="in take">
            <span class="soft">Or</span>
            <a class="link" href="{{ route('water.take', [$layout, $section->uid, 'svg'] + $of) }}" download>SVG</a>
            <a class="link" href="{{ route('water.take', [$layout, $section->uid, 'dxf'] + $of) }}" download>DXF</a>
            <a class="link" href="{{ route('water.take', [$layout, $section->uid, 'csv'] + $of) }}" download>a list as CSV</a>
        </p>
    </section>
@endif
