@use('IdleRidge\Core\Measure\Length')
@php($in = $units->value === 'metric' ? 'mm' : 'in')
<x-page :title="$section->name.', cuts'" :layout="$layout" :section="$section" current="cuts">
<div class="frame">
    <x-rail :layout="$layout" :boards="$rail" route="cuts.show" />
    <main class="page" id="land">
        <div class="title"><h1>{{ $section->name }}</h1><div class="sub">{{ count($stack->layers) }} {{ count($stack->layers) === 1 ? 'layer' : 'layers' }} of {{ Length::show($cuts->thickness, $units, 1) }} foam,<br>{{ $stack->school->value === 'carved' ? 'cut away to shape' : 'filled out to shape' }}</div>
            <dl class="facts">@foreach ($facts as $fact)<div><dt>{{ $fact['label'] }}</dt><dd><x-figure :figure="$fact['figure']" :unit="$fact['unit']" /><small>{{ $fact['unit'] }}</small></dd></div>@endforeach</dl>
        </div>
        <x-said />
        <div class="grid"><div class="col">
            <section class="sheet profile-sheet"><header><h2>The stack, taken apart</h2><span class="meta">figures at the left are bottoms over the datum, mm; touch a layer to lay it flat</span></header>
                @if ($stack->layers === [])<p class="blank-words">There is no land above the board yet, so nothing is to be cut. Raise a hill on Land.</p>@else{!! $apart->toHtml() !!}@endif
            </section>
        </div><div class="col">
            <section class="sheet"><header><h2>{{ $layer === null ? 'No layer' : 'Layer '.$layer->index.', flat' }}</h2><span class="meta">dashed: where the next is glued on</span></header>
                @if ($flat){!! $flat->toHtml() !!}@endif
            </section>
            <section class="sheet"><header><h2>Cut from</h2></header>
                <form class="in stack" method="post" action="{{ route('layouts.update', $layout) }}">@csrf @method('PATCH')
                    <input type="hidden" name="rev" value="{{ $layout->rev }}"><input type="hidden" name="back" value="cuts">
                    <div class="pair">
                        <div class="field"><label for="f-school">School</label><select id="f-school" name="cuts[school]"><option value="carved" @selected($cuts->school->value === 'carved')>carved: cut away</option><option value="fill" @selected($cuts->school->value === 'fill')>fill: build out</option></select></div>
                        <x-field name="cuts[skin_mm]" at="cuts/skin_mm" label="Skin over it" :unit="$in" :value="Length::field($cuts->skin, $units)" />
                    </div>
                    <div class="pair three">
                        <x-field name="cuts[sheet_mm]" at="cuts/sheet_mm" label="Sheets thick" :unit="$in" :value="Length::field($cuts->thickness, $units)" />
                        <x-field name="cuts[sheet_width_mm]" at="cuts/sheet_width_mm" label="wide" :value="Length::field($cuts->sheetWidth, $units)" />
                        <x-field name="cuts[sheet_depth_mm]" at="cuts/sheet_depth_mm" label="deep" :value="Length::field($cuts->sheetDepth, $units)" />
                    </div>
                    <div class="acts"><button class="btn">Cut again</button></div>
                </form>
            </section>
            <section class="sheet inspector"><header><h2>Layers</h2></header>
                <div class="in"><table class="layers"><thead><tr><th scope="col">From the board up</th><th scope="col">bottom</th><th scope="col">pieces</th><th scope="col">cm²</th></tr></thead><tbody>
                    @foreach ($stack->layers as $one)<tr @if ($one->index === $picked) aria-current="true" @endif><th scope="row"><a href="{{ route('cuts.show', [$layout, $section->uid, 'layer' => $one->index]) }}">Layer {{ $one->index }}</a></th><td>{{ Length::decimal($one->bottom, 1) }}</td><td>{{ count($one->pieces) }}</td><td>{{ Length::decimal($one->area / 100, 0) }}</td></tr>@endforeach
                </tbody></table></div>
            </section>
        </div></div>
    </main>
</div>
</x-page>
