@use('IdleRidge\Core\Measure\Format')
<div class="cut-hold">
    <form class="small rise" method="get" action="{{ route('cuts.show', [$layout, $section->uid]) }}">
        <input type="hidden" name="on" value="edges"><input type="hidden" name="layer" value="{{ $picked }}">
        <label for="f-rise">Over the land by</label
        ><input
            id="f-rise"
            name="rise"
            value="{{ $edges['rise'] }}"
            placeholder="0"
            autocomplete="off"
            @if ($edges['fault'] !== '') aria-invalid="true" aria-describedby="f-rise-fault" @endif
        ><span class="soft"
            >{{ Format::unit('mm') }}: nothing for a fascia, more for a board that stands in half relief behind the
            land</span
        ><button class="btn quiet">Draw</button>
        @if ($edges['fault'] !== '')
            <p class="fault" id="f-rise-fault">{{ $edges['fault'] }}</p>
        @endif
    </form>
    {!! $edges['drawing']->toHtml() !!}
    <p class="small take">
        @foreach (['pdf' => 'at full size, PDF', 'svg' => 'SVG', 'dxf' => 'DXF'] as $form => $word)
            <a class="link"
                href="{{ route('cuts.take',
                    [$layout, $section->uid, $form, 'of' => 'edges', 'rise' => $edges['fault'] === '' ? $edges['rise'] : '']) }}"
                    download>{{ $word }}</a>
        @endforeach
    </p>
</div>
