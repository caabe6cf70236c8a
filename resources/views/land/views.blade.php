@php
    use IdleRidge\Core\Measure\RoundSteps;
    use IdleRidge\Core\Measure\Decimal;
    use IdleRidge\Core\Measure\Format;
    $here = fn(string $name, array $more = []): string => route($name, [$layout, $section->uid, ...$more]);
    $empty = $page->features === [] && $page->runs === [];
    $coarse = RoundSteps::coarse();
@endphp
<main
    class="page"
    id="land"
    data-show="{{ $here('land.show') }}"
    data-preview="{{ $here('land.preview') }}"
    data-grip="{{ $here('land.grip') }}"
    data-features="{{ $here('features.store') }}"
    data-runs="{{ $here('runs.store') }}"
    data-zones="{{ $here('zones.store') }}"
    data-at="{{ $here('land.at') }}"
    data-tape="{{ $here('land.tape') }}"
    data-mesh="{{ $here('land.mesh') }}"
    data-relief="{{ route('land.relief', [$layout, $section->uid, $page->sheet->hash], false) }}"
    data-station="{{ $page->cut->station }}"
    data-cut-on="{{ $page->cut->run === null ? 'board' : 'run' }}"
>
    <form id="look" hidden>
        <input name="run" value="{{ $page->cut->run?->uid }}"><input
            name="st"
            value="{{ $page->cut->run === null ? '' : $page->cut->station }}"
        ><input name="cx" value="{{ $page->cut->run === null ? $page->cut->station : '' }}">
        <input name="pick" value="{{ $page->picked }}"><input name="tab" value="{{ $page->tab }}"><input
            name="tint"
            value="{{ $page->tint }}"
        >
    </form>
    <div class="title">
        <h1>{{ $section->name }}</h1>
        <div class="sub">
            Board {{ Format::length($section->width) }} × {{ Format::length($section->depth) }}<br>
            {{
                $page->preview
                    ? 'preview on cells of ' . Format::length(\App\Computed\Land\ComputedLand::PREVIEW_CELL_MM)
                    : 'top at ' . Format::length($section->base)
            }}
        </div>
        <dl class="facts">
            @foreach ($facts as $fact)
                <div>
                    <dt>{{ $fact['label'] }}</dt>
                    <dd>
                        <x-figure :figure="$fact['figure']" /><small
                            >{{ $fact['figure']->unit() }}@if ($fact['note'])<span>{{ $fact['note'] }}</span>@endif</small
                        >
                    </dd>
                </div>
            @endforeach
            <div class="fnd">
                <dt @class(['bad' => $findings !== []])>
                    {{
                        count($findings) === 0
                            ? 'No finding'
                            : (count($findings) === 1
                                ? '1 finding'
                                : count($findings) . ' findings')
                    }}
                </dt>
                <dd>
                    @foreach (array_slice($findings, 0, 2) as $f)
                        <span class="one"
                            ><i>{{ $f['number'] }}</i>{{ $f['finding']->subject }} <span class="num">{{ $f['what'] }}</span></span
                        >
                    @endforeach
                    @if ($findings === [])
                        <span class="one soft">{{ $empty ? 'nothing to check yet' : 'land and track agree' }}</span>
                    @endif
                </dd>
            </div>
        </dl>
    </div>
    @if (session('said'))
        <p class="said floating" role="status">{{ session('said') }}</p>
    @endif
    <div class="grid">
        <div class="col">
            <section class="sheet plan-sheet" aria-label="Plan">
                <header>
                    <div class="tools" role="group" aria-label="Tools">
                        @foreach ([
                                'pick' => 'Pick',
                                'run' => 'Run',
                                'road' => 'Road',
                                'spot' => 'Spot',
                                'ridge' => 'Ridge',
                                'hollow' => 'Hollow',
                                'water' => 'Water',
                                'stream' => 'Stream',
                                'pad' => 'Pad',
                                'rough' => 'Rough',
                                'zone' => 'Zone',
                                'cut' => 'Cut',
                                'tape' => 'Tape'
                            ]
                            as $tool => $word)
                            <button
                                type="button"
                                class="tool"
                                data-tool="{{ $tool }}"
                                aria-pressed="{{ $tool === 'pick' ? 'true' : 'false' }}"
                            >
                                {{ $word }}
                            </button>
                        @endforeach
                    </div>
                    <label class="tint end"
                        ><select data-tint aria-label="What the plan is tinted by">
                            @foreach (['heights' => 'heights', 'slope' => 'slope', 'damp' => 'damp', 'sun' => 'sun side',
                                'sight' => 'hidden'] as $tint => $word)
                                <option value="{{ $tint }}" @selected($page->tint === $tint)>{{ $word }}</option>
                            @endforeach</select
                    ></label>
                    <button type="button" class="tool" data-turn aria-pressed="false" title="The relief, to turn">Turn</button>
                    <x-undo :layout="$layout" :next="$next" />
                </header>
                <div class="plan-hold">
                    {!! $plan->toHtml() !!}
                    <div id="turn" class="turn" hidden>
                        <canvas tabindex="0" role="img" aria-label="Relief of {{ $section->name }}, to turn with the arrow keys"></canvas>
                        <div class="wears">
                            <label>It wears <select data-wears></select></label>
                            <button type="button" class="tool" data-eye>Eye level</button>
                            <span class="meta" data-wait role="status" hidden>asking the plan …</span>
                        </div>
                        <div class="plain">
                            <p>This browser draws no turning relief; the same land, shaded.</p>
                            <img
                                src="{{ route('land.relief', [$layout, $section->uid, $page->sheet->hash], false) }}"
                                alt="Shaded relief of {{ $section->name }}"
                                loading="lazy"
                            >
                        </div>
                    </div>
                    @php($told = 'contours ' . Format::length($coarse) . ', heights over the datum')
                    <p class="plan-foot"><span class="meta hint" id="tool-hint" data-pick="{{ $told }}">{{ $told }}</span></p>
                    @if ($empty)
                        <p class="plan-blank">
                            Flat as the board. Touch <b>Spot</b> and then the plan to raise a hill, or <b>Run</b> and two places to lay
                            track. The first hill leaves the corners down on the board.
                        </p>
                    @endif
                </div>
            </section>
            <section class="sheet profile-sheet">
                <header>
                    <h2>Long profile</h2>
                    @if ($profile)
                        <span class="meta">{{ $page->cut->run->name }}, heights × {{ Decimal::trimmed($profile['stretch'], 1) }}</span
                        ><span class="meta end">heavy line formation, brown line ground</span>
                    @else
                        <span class="meta">no run yet</span>
                    @endif
                </header>
                @if ($profile)
                    {!! $profile['drawing']->toHtml() !!}
                @else
                    <p class="blank-words">Lay a run and its grade stands here: where it climbs, what is cut, what is filled.</p>
                @endif
            </section>
        </div>
        <div class="col">
            <section class="sheet cross-sheet">
                <header>
                    <h2>Cross-section</h2>
                    <span class="cutflag num">{{ \App\Pages\Land\CutWords::at($page->cut) }}</span>
                    <span class="end step"
                        ><button type="button" data-step="-{{ $coarse }}" aria-label="Cut line {{ Format::length($coarse) }} back">−</button
                        ><button type="button" data-step="{{ $coarse }}"
                            aria-label="Cut line {{ Format::length($coarse) }} on">+</button><span class="meta">{{
                            Format::length($coarse) }}</span></span
                    >
                </header>
                {!! $cross->toHtml() !!}
                <dl class="read">
                    @foreach ($readings as $row)
                        <div @class(['bad' => $row['bad']])>
                            <dt>{{ $row['label'] }}</dt>
                            <dd>
                                @foreach ($row['figures'] as $k => $figure)
                                    @if ($k > 0)
                                        <span aria-hidden="true"> · </span>
                                    @endif
                                    <x-figure :figure="$figure" />
                                    @if ($figure->unit() !== Format::unit('mm'))
                                        <small>{{ $figure->unit() }}</small>
                                    @endif
                                @endforeach
                            </dd>
                        </div>
                    @endforeach
                </dl>
            </section>
            <section class="sheet inspector" aria-label="What is picked">
                <div id="faults" role="alert"></div>
                @if ($page->pickedFeature() || $page->pickedRun())
                    @if ($page->pickedFeature())
                        @include('land.feature', ['feature' => $page->pickedFeature()])
                    @else
                        @include('land.run', ['run' => $page->pickedRun()])
                    @endif
                    {{-- What is wrong stays in sight while it is mended. --}}
                    @if ($findings !== [])
                        <header><h2>Findings</h2></header>
                        @include('land.found')
                    @endif
                @else
                    @include('land.findings')
                @endif
            </section>
        </div>
    </div>
</main>
