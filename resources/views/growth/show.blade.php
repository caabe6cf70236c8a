@use('IdleRidge\Core\Measure\Format')
@use('IdleRidge\Core\Measure\RoundSteps')
@php($here = fn(array $more = []): string => route('growth.show', [$layout, $section->uid] + $more))
<x-page :title="$section->name . ', growth'" :layout="$layout" :section="$section" current="growth">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="growth.show" />
        <main
            class="page growth"
            id="land"
            data-growth="{{ $here($page->picked === null ? [] : ['pick' => $page->picked]) }}"
            data-here="{{ $here() }}"
            @if ($stand)
                data-stand="{{ $stand->uid }}"
                data-trees="{{ route('stands.plant', [$layout, $section->uid, $stand->uid]) }}"
            @endif
        >
            <div class="title">
                <h1>{{ $section->name }}</h1>
                <div class="sub">what grows here,<br>and what stands along lines</div>
                <x-facts :facts="$facts" />
            </div>
            <x-said />
            <div id="faults" role="alert"></div>
            @foreach ([...$errors->get('x'), ...$errors->get('y'), ...$errors->get('tree'), ...$errors->get('of')] as $message)
                @if (! $tree)
                    <p class="fault wide-fault" role="alert">{{ $message }}</p>
                @endif
            @endforeach
            <div class="grid">
                <div class="col">
                    <section class="sheet plan-sheet growth-sheet">
                        <header>
                            <div class="tools" role="group" aria-label="Tools">
                                <button
                                    class="tool"
                                    type="button"
                                    data-growth-tool="pick"
                                    aria-pressed="{{ $grass ? 'false' : 'true' }}"
                                >Pick</button>
                                <button
                                    class="tool"
                                    type="button"
                                    data-growth-tool="tree"
                                    aria-pressed="false"
                                    @disabled(! $stand)
                                >Tree</button>
                                <button class="tool" type="button" data-growth-tool="line" aria-pressed="false">Line</button>
                                <a class="tool" href="{{ $here($grass ? [] : ['on' => 'grass']) }}" @if ($grass) aria-current="true" @endif
                                    >Grass</a
                                >
                            </div>
                            @php($told = $stand
                                ? 'drag a tree; arrows move it by ' . Format::length(RoundSteps::fine()) . ', with shift by ' .
                                    Format::length(RoundSteps::coarse())
                                : 'pick a stand or a row, or plant one')
                            <span class="hint meta" id="growth-hint" role="status" data-pick="{{ $told }}">{{ $told }}</span>
                            <div class="tools last">
                                <button class="tool" type="submit" form="page-undo" @disabled($next['undo'] === null)
                                    title="{{ $next['undo'] }}">Undo</button>
                                <button class="tool" type="submit" form="page-redo" @disabled($next['redo'] === null)
                                    title="{{ $next['redo'] }}">Redo</button>
                            </div>
                        </header>
                        <div class="plan-hold">{!! $plan->toHtml() !!}</div>
                    </section>
                    <section class="sheet skyline-sheet">
                        <header>
                            <h2>Skyline</h2>
                            <span class="meta">square from the edge, heights true to lengths</span>
                            <div class="tools last" role="group" aria-label="Seen from">
                                @foreach (array_column(\IdleRidge\Core\Geometry\BoardEdge::cases(), 'value') as $edge)
                                    <a
                                        class="tool"
                                        href="{{ $here(array_filter(['pick' => $page->picked, 'tree' => $page->tree], fn($v) => $v !== null)
                                            + ['from' => $edge]) }}"
                                        @if ($edge === $from) aria-current="true" @endif
                                    >{{ $edge }}</a>
                                @endforeach
                            </div>
                        </header>
                        {!! $skyline->toHtml() !!}
                    </section>
                </div>
                <div class="col scrolls" tabindex="0" aria-label="What stands here">
                    @if ($grass)
                        @include('growth.grass')
                    @elseif ($stand)
                        @include('growth.stand')
                    @elseif ($row)
                        @include('growth.row')
                    @else
                        @include('growth.list')
                    @endif
                    @if (! $grass)
                        @include('growth.findings')
                        @include('growth.take')
                        @include('growth.distances')
                    @endif
                </div>
            </div>
        </main>
    </div>
</x-page>
