<section class="sheet">
    <header><h2>At full size</h2></header>
    <form class="in printing" method="get" action="{{ route('cuts.take', [$layout, $section->uid, 'pdf']) }}">
        <div class="pair three">
            <x-paper />
            <div class="field">
                <label for="f-layer">Templates of</label
                ><select id="f-layer" name="layer">
                    @if ($picked > 0)
                        <option value="{{ $picked }}">{{ mb_strtolower($names[$picked]) }}</option>
                    @endif
                    <option value="0">all {{ $shell === null ? 'layers' : 'ribs' }}</option>
                </select>
            </div>
            <div class="acts"><button class="btn quiet">PDF</button></div>
        </div>
    </form>
    <p class="in take">
        <span class="soft">Or</span>
        @foreach (['svg' => 'this one as SVG', 'dxf' => 'as DXF'] as $form => $word) @if ($picked > 0)
            <a class="link" href="{{ route('cuts.take', [$layout, $section->uid, $form, 'layer' => $picked]) }}" download>{{ $word }}</a>
        @endif @endforeach
        @if ($tunnels > 0)
            <a class="link" href="{{ route('cuts.take', [$layout, $section->uid, 'pdf', 'of' => 'tunnels']) }}" download
                >portals and lining, PDF</a
            >
        @endif
        <a class="link" href="{{ route('cuts.take', [$layout, $section->uid, 'sheets']) }}" download>sheets as SVG</a> <a class="link"
            href="{{ route('cuts.take', [$layout, $section->uid, 'pdf', 'of' => 'plan']) }}" download>the board’s plan, PDF</a> <a
                class="link" href="{{ route('cuts.take', [$layout, $section->uid, 'stl']) }}" download>land as STL</a>
    </p>
</section>
