@use('IdleRidge\Core\Measure\Length')
@php($in = $units->value === 'metric' ? 'mm' : 'in')
<x-page :title="$section->name.', cuts'" :layout="$layout" :section="$section" current="cuts">
<div class="frame">
    <x-rail :layout="$layout" :boards="$rail" route="cuts.show" />
    <main class="page" id="land">
        <div class="title"><h1>{{ $section->name }}</h1><div class="sub">{{ count($cuts->sheets) === 1 ? count($stack->layers).(count($stack->layers) === 1 ? ' layer of ' : ' layers of ').Length::show($cuts->first()->thickness, $units, 1).' foam' : $stack->words().' mm foam' }},<br>{{ $stack->school->value === 'carved' ? 'cut away to shape' : 'filled out to shape' }}</div>
            <dl class="facts">@foreach ($facts as $fact)<div><dt>{{ $fact['label'] }}</dt><dd><x-figure :figure="$fact['figure']" :unit="$fact['unit']" /><small>{{ $fact['unit'] }}</small></dd></div>@endforeach</dl>
        </div>
        <x-said />
        <div class="grid"><div class="col">
            <section class="sheet profile-sheet cut-sheet" id="cut-sheet"><header>
                <div class="tools"><a class="tool" href="{{ route('cuts.show', [$layout, $section->uid, 'layer' => $picked]) }}" @if ($view === 'apart') aria-current="true" @endif>The stack, taken apart</a><a class="tool" href="{{ route('cuts.show', [$layout, $section->uid, 'layer' => $picked, 'on' => 'sheets']) }}" @if ($view === 'sheets') aria-current="true" @endif>On sheets</a><a class="tool" href="{{ route('cuts.show', [$layout, $section->uid, 'layer' => $picked, 'on' => 'risers']) }}" @if ($view === 'risers') aria-current="true" @endif>Risers</a></div>
                @if ($risers !== null)<span class="meta">{{ $risers['run'] === null ? 'no run over this board' : $risers['run']->name.', heights × '.Length::decimal($risers['stretch'], 1) }}</span>
                @elseif ($laid === null)<span class="meta">figures at the left are bottoms over the datum, mm; touch a layer to lay it flat</span>
                @elseif ($laid->round < $rounds)
                    <span class="meta">{{ $looking ? 'looking closer' : 'a first layout' }}</span>
                    <progress max="{{ $rounds }}" value="{{ $laid->round }}" aria-label="How far the closer look is"></progress>
                    @if ($looking)<a class="link end" href="{{ route('cuts.show', [$layout, $section->uid, 'layer' => $picked, 'on' => 'sheets']) }}">Stop</a><span hx-get="{{ route('cuts.show', [$layout, $section->uid, 'layer' => $picked, 'on' => 'closer']) }}" hx-trigger="load" hx-target="#land" hx-select="#land" hx-swap="outerHTML"></span>
                    @else<button type="button" class="link end" hx-get="{{ route('cuts.show', [$layout, $section->uid, 'layer' => $picked, 'on' => 'closer']) }}" hx-target="#land" hx-select="#land" hx-swap="outerHTML">Look closer</button>@endif
                @else<span class="meta">the best of {{ $rounds }} closer looks</span>@endif</header>
                @if ($risers !== null)@include('cuts.risers')
                @elseif ($stack->layers === [])<p class="blank-words">There is no land above the board yet, so nothing is to be cut. Raise a hill on Land.</p>@else<div class="cut-hold">{!! $apart->toHtml() !!}</div>@endif
                @if ($laid !== null)
                    <p class="in small">@if ($laid->unplaced() !== [])<b class="bad">Fits no sheet: {{ implode(', ', $laid->unplaced()) }}.</b> @endif @if ($laid->offcuts() !== [])Left over: @foreach (array_slice($laid->offcuts(), 0, 4) as $strip){{ $loop->first ? '' : ', ' }}<span class="num">{{ Length::decimal($strip['width'], 0) }} × {{ Length::decimal($strip['height'], 0) }}</span>@endforeach mm. @endif @if ($laid->pieces->parted !== [])Parted with a butt joint: {{ implode(', ', $laid->pieces->parted) }}. @endif @if ($laid->pieces->filler !== []){{ count($laid->pieces->filler) }} {{ count($laid->pieces->filler) === 1 ? 'speck' : 'specks' }} under 4 cm² left to filler. @endif</p>
                @endif
            </section>
        </div><div class="col scrolls">
            <section class="sheet"><header><h2>{{ $layer === null ? 'No layer' : 'Layer '.$layer->index.', flat' }}</h2><span class="meta">dashed: where the next is glued on</span></header>
                @if ($flat){!! $flat->toHtml() !!}@endif
            </section>
            <section class="sheet"><header><h2>Layers</h2></header>
                @if ($schools !== [])<table class="layers schools"><thead><tr><th scope="col">To compare</th>@foreach ($schools['carved'] as $row)<th scope="col">{{ $row['label'] }}</th>@endforeach</tr></thead><tbody>@foreach ($schools as $school => $rows)<tr @if ($school === $cuts->school->value) aria-current="true" @endif><th scope="row">{{ $school }}</th>@foreach ($rows as $row)<td><x-figure :figure="$row['figure']" /></td>@endforeach</tr>@endforeach</tbody></table>@endif
                <div class="in"><table class="layers"><thead><tr><th scope="col">From the board up</th><th scope="col">bottom</th><th scope="col">pieces</th><th scope="col">cm²</th></tr></thead><tbody>
                    @foreach ($stack->layers as $one)<tr @if ($one->index === $picked) aria-current="true" @endif><th scope="row"><a href="{{ route('cuts.show', [$layout, $section->uid, 'layer' => $one->index] + ($view === 'sheets' ? ['on' => 'sheets'] : [])) }}">Layer {{ $one->index }}</a></th><td>{{ Length::decimal($one->bottom, 1) }}</td><td>{{ count($one->pieces) }}</td><td>{{ Length::decimal($one->area / 100, 0) }}</td></tr>@endforeach
                </tbody></table></div>
            </section>
            <section class="sheet"><header><h2>Cut from</h2></header>
                <form class="in stack" method="post" action="{{ route('layouts.update', $layout) }}">@csrf @method('PATCH')
                    <input type="hidden" name="rev" value="{{ $layout->rev }}"><input type="hidden" name="back" value="cuts">
                    <div class="pair">
                        <div class="field"><label for="f-school">School</label><select id="f-school" name="cuts[school]"><option value="carved" @selected($cuts->school->value === 'carved')>carved: cut away</option><option value="fill" @selected($cuts->school->value === 'fill')>fill: build out</option></select></div>
                        <x-field name="cuts[skin_mm]" at="cuts/skin_mm" label="Skin over it" :unit="$in" :value="Length::field($cuts->skin, $units)" />
                    </div>
                    <table class="points stock"><thead><tr><th scope="col">Sheets thick</th><th scope="col">wide</th><th scope="col">deep</th><th scope="col">in store</th><th scope="col">price</th></tr></thead><tbody>
                        @foreach ([...$cuts->sheets, null] as $k => $kind)
                            @php($in1 = $k === 0 ? 'cuts' : 'cuts[more]['.($k - 1).']')
                            @php($at1 = $k === 0 ? 'cuts' : 'cuts/more/'.($k - 1))
                            @php($typed = fn (string $part, string|int|null $now) => old(str_replace('/', '.', $at1).'.'.$part, $now))
                            <tr>@foreach (['sheet_mm' => ['thickness', $kind?->thickness], 'sheet_width_mm' => ['width', $kind?->width], 'sheet_depth_mm' => ['depth', $kind?->depth]] as $part => [$word, $mm])<td><input name="{{ $in1 }}[{{ $part }}]" aria-label="{{ ucfirst($word) }} of sheets {{ $k + 1 }}" value="{{ $typed($part, $mm === null ? '' : Length::field($mm, $units)) }}" autocomplete="off" @if ($errors->has("{$at1}/{$part}")) aria-invalid="true" @endif></td>@endforeach
                                <td>@if ($k === 0)<span class="soft small">to buy</span>@else<input name="{{ $in1 }}[count]" aria-label="How many of sheets {{ $k + 1 }} are in store" placeholder="to buy" value="{{ $typed('count', $kind?->count) }}" autocomplete="off" @if ($errors->has("{$at1}/count")) aria-invalid="true" @endif>@endif</td>
                                <td><input name="{{ $in1 }}[price]" aria-label="Price of a sheet {{ $k + 1 }}, {{ $sheet->currency }}" placeholder="none yet" value="{{ $typed('price', $kind?->price === null ? '' : number_format($kind->price / 100, 2, '.', '')) }}" autocomplete="off"></td></tr>
                            @foreach (['sheet_mm', 'sheet_width_mm', 'sheet_depth_mm', 'count', 'price'] as $part)@if ($errors->has("{$at1}/{$part}"))<tr><td colspan="5"><p class="fault">{{ $errors->first("{$at1}/{$part}") }}</p></td></tr>@endif @endforeach
                        @endforeach
                    </tbody></table>
                    <div class="pair">
                        <x-field name="cuts[kerf_mm]" at="cuts/kerf_mm" label="A cut takes" :unit="$in" :value="Length::field($cuts->kerf, $units)" />
                        <x-field name="cuts[margin_mm]" at="cuts/margin_mm" label="Free along edges" :unit="$in" :value="Length::field($cuts->margin, $units)" />
                    </div>
                    <div class="acts"><button class="btn">Cut again</button></div>
                </form>
            </section>
            <section class="sheet"><header><h2>At full size</h2></header>
                <form class="in printing" method="get" action="{{ route('cuts.take', [$layout, $section->uid, 'pdf']) }}"><div class="pair three">
                    <div class="field"><label for="f-paper">Paper</label><select id="f-paper" name="paper"><option value="a4">A4</option><option value="a3">A3</option><option value="letter">Letter</option></select></div>
                    <div class="field"><label for="f-layer">Templates of</label><select id="f-layer" name="layer">@if ($layer)<option value="{{ $layer->index }}">layer {{ $layer->index }}</option>@endif<option value="0">all layers</option></select></div>
                    <div class="acts"><button class="btn quiet">PDF</button></div></div></form>
                <p class="in take"><span class="soft">Or</span> @foreach (['svg' => 'layer as SVG', 'dxf' => 'as DXF'] as $form => $word)@if ($layer)<a class="link" href="{{ route('cuts.take', [$layout, $section->uid, $form, 'layer' => $layer->index]) }}" download>{{ $word }}</a>@endif @endforeach<a class="link" href="{{ route('cuts.take', [$layout, $section->uid, 'sheets']) }}" download>sheets as SVG</a> <a class="link" href="{{ route('cuts.take', [$layout, $section->uid, 'plan']) }}" download>the board’s plan, PDF</a> <a class="link" href="{{ route('cuts.take', [$layout, $section->uid, 'stl']) }}" download>land as STL</a></p>
            </section>
        </div></div>
    </main>
</div>
</x-page>
