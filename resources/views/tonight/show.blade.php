@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Plan\DryingState')
@php($tonight = $page !== null && $words->isToday($page->session[0]))
@php($number = $page?->next() ?? 1)
<x-page title="Tonight" :layout="$layout" :section="$first" current="tonight">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="coats.show" />
        <main class="page tonight" id="land">
            <div class="title">
                <h1>{{ $page === null || $tonight ? 'Tonight' : 'Next session' }}</h1>
                <div class="sub">
                    @if ($page)
                        {{ $words->at($page->session[0])->format('l j F') }}<br>
                        bench lit {{ $words->clock($page->session[0]) }} to {{ $words->clock($page->session[1]) }}
                    @else
                        no session<br>
                        ahead
                    @endif
                </div>
                @if ($page)
                    <dl class="facts">
                        @foreach ($facts as $fact)
                            <div>
                                <dt>{{ $fact['label'] }}</dt>
                                <dd>
                                    @foreach ($fact['figures'] as [$figure, $unit])
                                        <x-figure :figure="$figure" :unit="$unit"
                                        /><small>{{ $unit }}</small>
                                    @endforeach
                                </dd>
                            </div>
                        @endforeach
                    </dl>
                @endif
                @if ($current)
                    <form class="lead" method="post" action="{{ route('moves.done', [$layout, $current->uid]) }}">
                        @csrf
                        @seen
                        <button class="btn">Done</button>
                    </form>
                @elseif ($rows !== [])
                    <form class="lead" method="post" action="{{ route('moves.start', $layout) }}">
                        @csrf
                        @seen
                        <input type="hidden" name="move" value="{{ $rows[0]['id'] }}"><button class="btn">Start move {{ $number }}</button>
                    </form>
                @elseif ($page === null && $hasCoats)
                    <a class="btn lead" href="{{ route('drying.show', $layout) }}">Add an evening</a>
                @endif
            </div>
            <x-said />
            @error('move')
                <p class="fault wide-fault" role="alert">{{ $message }}</p>
            @enderror
            @if ($window)
                <section class="sheet window-sheet">{!! $window->toHtml() !!}</section>
            @endif
            <div class="cols">
                <section class="sheet moves-sheet">
                    <header class="mvh">
                        <h2>Moves, in order</h2>
                        <span class="meta">what goes in</span><span class="meta">what it opens, 80 %</span><span class="meta">min</span>
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
                                            · {{ Decimal::trimmed($current->area / 100, 0) }} cm²
                                        </p>
                                    </div>
                                </div>
                                <ul class="amounts">
                                    @foreach ($current->amounts as $amount)
                                        @php([$shown, $unit] = $amount->words())
                                        <li><b class="num">{{ $shown }}</b> {{ $unit }} {{ $amount->material }}</li>
                                    @endforeach
                                </ul>
                                @foreach ($current->recipe->cautions as $caution)
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
                                        >{{ $row['place'].($row['joined'] ? ', same pot' : '') }}</span
                                    >
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
                                <span class="pot">
                                    @foreach (array_slice($row['amounts'], 0, 3) as $amount)
                                        @php([$shown, $unit] = $amount->words())
                                        <span><span class="num">{{ $shown }}</span> {{ $unit }} {{ $amount->material }}</span>
                                    @endforeach
                                </span>
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
                <div class="rcol">
                    @if ($countdowns !== [])
                        <section
                            @class(['sheet', 'due-sheet',
                                'urgent' => array_filter($countdowns, fn($c) => $c['kind'] !== 'workable') !== []])
                            data-countdowns
                            data-now="{{ $words->now }}"
                        >
                            <header>
                                <h2>Not to be missed</h2>
                                <button class="link end" type="button" data-notices hidden>Say it aloud</button>
                            </header>
                            @foreach ($countdowns as $one)
                                <div
                                    @class(['due', $one['kind']])
                                    data-at="{{ $one['at'] }}"
                                    data-words="{{ $one['kind'] === 'opens' ? 'From now' : 'At the latest now' }}: {{ $one['title'] }}"
                                >
                                    <b class="num" data-left>{{
                                        $one['left'] < 0
                                            ? 'over'
                                            : \IdleRidge\Core\Measure\ClockWords::span($one['left'])
                                    }}</b>
                                    <div>
                                        <div class="nm">
                                            {{ $one['title'] }}<span
                                                >{{ $one['kind'] === 'opens' ? 'from' : 'by' }} {{ $one['clock'] }},
                                                {{ $one['place'] }}</span
                                            >
                                        </div>
                                        <p>{{ ucfirst($one['why']) }}</p>
                                    </div>
                                </div>
                            @endforeach
                        </section>
                    @endif
                    <section class="sheet">
                        <header>
                            <h2>Drying now</h2>
                            <span class="meta">as of {{ $words->clock($words->now) }}</span><span class="meta end">left, 50–90 %</span>
                        </header>
                        <div class="dr-list">
                            @forelse ($drying as $row)
                                <div class="dr">
                                    <x-state :state="$row['state']" /><span class="nm"
                                        >{{ $row['title'] }}<span>{{ $row['section'] }}</span></span
                                    >{!! $row['tail']->toHtml() !!}<span class="num">{{ $row['left'] }}</span
                                    ><span class="look"
                                        ><form method="post" action="{{ route('laid.wet', [$layout, $row['uid']]) }}">
                                            @csrf
                                            @seen
                                            <button class="link" aria-label="{{ $row['title'] }} is still wet">Still wet</button>
                                        </form>
                                        <form method="post" action="{{ route('laid.dry', [$layout, $row['uid']]) }}">
                                            @csrf
                                            @seen
                                            <button class="link" aria-label="{{ $row['title'] }} is dry">Dry</button>
                                        </form></span
                                    >
                                </div>
                            @empty
                                <p class="in soft">Nothing is drying.</p>
                            @endforelse
                        </div>
                    </section>
                    <section class="sheet not-sheet">
                        <header><h2>{{ $tonight ? 'Not tonight, and why' : 'Not in this session, and why' }}</h2></header>
                        <div>
                            @forelse ($not as $row)
                                <div class="nt">
                                    <i>{{ $row['kind'] }}</i>
                                    <div>
                                        <div class="nm">{{ $row['title'] }}<span>{{ $row['place'] }}</span></div>
                                        <p>{{ $row['text'] }}</p>
                                    </div>
                                </div>
                            @empty
                                <p class="in soft">Nothing has to wait.</p>
                            @endforelse
                        </div>
                    </section>
                    @if ($kit && !$kit->isEmpty())
                        <section class="sheet kit-sheet">
                            <header>
                                <h2>To have at hand</h2>
                                <span class="meta end">for the whole session</span>
                            </header>
                            <ul class="kit">
                                @foreach ($kit->materials as $amount)
                                    @php([$shown, $unit] = $amount->words())
                                    <li><b class="num">{{ $shown }} {{ $unit }}</b> {{ $amount->material }}</li>
                                @endforeach
                            </ul>
                            <p class="in small">
                                @if ($kit->tools !== [])
                                    <b>{{ ucfirst(implode(', ', array_keys($kit->tools))) }}.</b>
                                @endif
                                {{ ucfirst(implode('; ', [...$kit->wear, ...$kit->beside])) }}
                            </p>
                        </section>
                    @endif
                    @if ($where)
                        <section class="sheet where-sheet">
                            <header>
                                <h2>Where</h2>
                                <span class="meta end">move numbers and minutes</span>
                            </header>
                            {!! $where->toHtml() !!}
                        </section>
                    @endif
                </div>
            </div>
            @if ($current || $rows !== [])
                <div class="sticky-act">
                    @if ($current)
                        <form method="post" action="{{ route('moves.done', [$layout, $current->uid]) }}">
                            @csrf
                            @seen
                            <button class="btn">Done</button>
                        </form>
                    @else
                        <form method="post" action="{{ route('moves.start', $layout) }}">
                            @csrf
                            @seen
                            <input type="hidden" name="move" value="{{ $rows[0]['id'] }}"><button class="btn">
                                Start move {{ $number }}
                            </button>
                        </form>
                    @endif
                </div>
            @endif
        </main>
    </div>
</x-page>
