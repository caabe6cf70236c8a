@use('IdleRidge\Core\Measure\Format')
@use('IdleRidge\Core\Measure\Decimal')
<section class="sheet moves-sheet">
    <header class="mvh">
        <h2>Moves, in order</h2>
        <span class="meta">what goes in</span><span class="meta">what it opens, {{ $sure }}</span><span class="meta">min</span>
    </header>
    <div class="mv-list">
        @if ($current)
            <article class="mv-now" id="now" data-zone="{{ $currentZone }}">
                <div class="mv-now-head">
                    <span class="no">{{ $number - 1 }}</span>
                    <div>
                        <h3>{{ $current->title }}</h3>
                        <p class="wh">
                            {{ $project->section($current->section)->name }}, {{ $currentZone }} · begun
                            {{ $words->clock($current->startedAt) }}, about <b>{{ $left }} min</b> left
                            @foreach ($countdowns as $one) @if ($one['kind'] === 'workable')
                                · workable until
                                <b>{{ $one['clock'] }}</b>
                            @endif @endforeach
                            · {{ Format::text($current->area / 100, 'cm²') }}
                        </p>
                    </div>
                </div>
                @if ($steps !== [])
                    <ol class="ticks">
                        @foreach ($steps as $k => $step)
                            <li @class(['into' => $step['wet'], 'ticked' => isset($current->ticks[$k])])>
                                <form method="post" action="{{ route('moves.tick', [$layout, $current->uid]) }}">
                                    @csrf
                                    @seen
                                    <input type="hidden" name="step" value="{{ $k }}"><button aria-pressed="{{
                                        isset($current->ticks[$k]) ? 'true' : 'false' }}">
                                        <i aria-hidden="true"></i><span>{{ $step['do'] }}
                                            @if ($step['wet'])
                                                <small>into the wet</small>
                                            @endif
                                            @if ($step['with'] !== '')
                                                <small class="with">{{ $step['with'] }}</small>
                                            @endif</span
                                        >
                                        <b class="num">{{ isset($current->ticks[$k]) ? $words->clock($current->ticks[$k]) : '' }}</b>
                                    </button>
                                </form>
                                @foreach ($step['cautions'] as $caution)
                                    <p class="ca"><b>{{ $caution['do'] }}</b> {{ $caution['why'] }}</p>
                                @endforeach
                            </li>
                        @endforeach
                    </ol>
                @endif
                <ul class="amounts">
                    @foreach ($amounts as $amount)
                        @php([$shown, $unit] = $amount->words())
                        <li><b class="num">{{ $shown }}</b> {{ $unit }} {{ $amount->material }}</li>
                    @endforeach
                </ul>
                <p class="wh"><a class="link" href="{{ route('pots.show', $layout) }}">Weigh and mix it on Pots</a></p>
                @foreach ($cautions as $caution)
                    <p class="ca"><b>{{ $caution['do'] }}</b> {{ $caution['why'] }}</p>
                @endforeach
                <div class="acts">
                    <form method="post" action="{{ route('moves.done', [$layout, $current->uid]) }}">
                        @csrf
                        @seen
                        <button class="btn quiet big">Done</button>
                    </form>
                    <form method="post" action="{{ route('moves.stop', [$layout, $current->uid]) }}">
                        @csrf
                        @seen
                        <button class="btn quiet big">Stop here</button>
                    </form>
                    <form method="post" action="{{ route('moves.wet', [$layout, $current->uid]) }}">
                        @csrf
                        @seen
                        <button class="btn quiet big">Still wet</button>
                    </form>
                </div>
            </article>
        @endif
        @foreach ($rows as $k => $row)
            <div @class(['mv', 'nx' => $k === 0 && !$current])>
                <span class="no">{{ $number + $k }}</span><span class="tm">{{ $row['start'] }}</span>
                <span class="what"
                    ><b>{{ $row['title'] }}</b
                    ><span class="wh"
                        >{{ $row['place'].($row['joined'] ? ', same set-up' : '') }}</span
                    >
                    @if (count($row['steps']) > 1)
                        <details class="steps-of">
                            <summary>{{ $row['stepWords'] }}</summary>
                            <x-act :turns="[['waits' => '', 'steps' => $row['steps']]]" />
                        </details>
                    @endif
                    @if ($row['late'] !== null)
                        <span class="ca"><b>Its time is over.</b> {{ $row['late'] }}</span>
                    @endif
                    @foreach (array_slice($row['cautions'], 0, 1) as $caution)
                        <span class="ca" title="{{ $caution['why'] }}">
                            @if ($row['sparks'])
                                <svg class="icn" viewBox="0 0 16 16" aria-hidden="true"><path
                                    d="M8.8 1.6 3.9 9h3.4l-.9 5.4L12 6.6H8.4z" /></svg>
                            @endif
                            {{ $caution['do'] }}</span
                        >
                    @endforeach
                </span>
                <a class="pot" href="{{ route('pots.show', [$layout, 'move' => $row['id']]) }}">
                    @foreach (array_slice($row['amounts'], 0, 3) as $amount)
                        @php([$shown, $unit] = $amount->words())
                        <span><span class="num">{{ $shown }}</span> {{ $unit }} {{ $amount->material }}</span>
                    @endforeach
                </a>
                <span class="op"
                    ><b>{{ $row['opens'] ?? 'last coat here' }}</b><span class="wh">{{ $row['ready'] }}</span></span
                ><span class="mn"
                    >{{ $row['minutes'] }}<small>min</small>
                    @if ($k > 0 && !$current)
                        <form method="post" action="{{ route('moves.start', $layout) }}">
                            @csrf
                            @seen
                            <input type="hidden" name="move" value="{{ $row['id'] }}"><button
                                class="link"
                                aria-label="Start move {{ $number + $k }}"
                            >
                                Start
                            </button>
                        </form>
                    @endif
                </span>
            </div>
        @endforeach
        @if ($page && $rows === [] && !$current)
            <p class="blank-words">
                @if (!$hasCoats)
                    No coats yet. Make a zone and give it coats on
                    <b>Coats</b
                    >; what can be laid then stands here.
                @elseif ($allDone)
                    Everything is laid. What is left is waiting.
                @else
                    Nothing can be laid in this session; beside it stands why.
                @endif
            </p>
        @endif
        @if (!$page)
            <p class="blank-words">
                @if ($hasCoats)
                    Nothing can be planned:
                    <a class="link" href="{{ route('drying.show', $layout) }}">add an evening</a>
                    on the Drying line.
                @else
                    No coats yet. Make a zone and give it coats on
                    <b>Coats</b
                    >, then say on the
                    <b>Drying line</b>
                    when you are at the bench.
                @endif
            </p>
        @endif
    </div>
</section>
