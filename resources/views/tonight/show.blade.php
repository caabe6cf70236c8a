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
                                        <x-figure :figure="$figure" :unit="$unit ?? $figure->unit()"
                                        /><small>{{ $unit ?? $figure->unit() }}</small>
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
                <section class="sheet window-sheet" tabindex="0" aria-label="The session">{!! $window->toHtml() !!}</section>
            @endif
            <div class="cols">
                @include('tonight.moves')
                <div class="rcol">
                    @if ($mends !== [])
                        <section class="sheet mends">
                            <header><h2>Put right first</h2></header>
                            @foreach ($mends as $mend)
                                @include('rounds.mend', ['back' => 'tonight'])
                            @endforeach
                        </section>
                    @endif
                    @if ($checksDue > 0)
                        <p class="checks-due">
                            <a href="{{ route('rounds.show', $layout) }}"
                                
                                ><b class="num">{{ $checksDue }}</b>
                                {{ $checksDue === 1 ? 'thing' : 'things' }} to look at before going on</a
                            >
                        </p>
                    @endif
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
