@use('IdleRidge\Core\Measure\Format')
@php($name = $thing->name === '' ? ucfirst($thing->kind->value) : $thing->name)
<x-page :title="$name . ', side by side'" :layout="$layout" :section="$section" current="land">
    <main class="page wide" id="land">
        <div class="title">
            <h1>{{ $name }}</h1>
            <div class="sub">
                Side by side on {{ $section->name }}.<br>
                Nothing is changed until you take one.
            </div>
            <form class="end compare-by" method="get" action="{{ route('land.compare', [$layout, $section->uid]) }}">
                <input type="hidden" name="pick" value="{{ $thing->uid }}">
                @if (count($whats) > 1)
                    <label
                        >Vary
                        <select name="what">
                            @foreach ($whats as $one)
                                <option value="{{ $one }}" @selected($one === $what)>
                                    {{
                                        ['height' => 'the height', 'place' => 'the place', 'batter' => 'the slopes'][
                                            $one
                                        ]
                                    }}
                                </option>
                            @endforeach</select
                    ></label>
                @endif
                <label>by{{ $unit === '' ? '' : ', ' . Format::unit($unit) }} <input name="step"
                    value="{{ Format::field($step, $unit) }}" autocomplete="off"></label
                ><button class="btn quiet">Compare</button>
                <a class="btn quiet" href="{{ route('land.show', [$layout, $section->uid, 'pick' => $thing->uid]) }}">Back to the land</a>
            </form>
        </div>
        <div class="candidates">
            @foreach ($cards as $card)
                <section class="sheet candidate">
                    <header><h2>{{ $card['title'] }}</h2></header>
                    {!!
                        \App\Pages\Land\CandidateDrawing::of(
                            $card['project'],
                            $section->uid,
                            $card['sheet'],
                            $thing->uid,
                        )->toHtml()
                    !!}
                    <dl class="read">
                        @foreach ($card['rows'] as $row)
                            <div>
                                <dt>{{ $row['label'] }}</dt>
                                <dd>
                                    <x-figure :figure="$row['figure']" />
                                    @if ($row['figure']->unit() !== '')
                                        <small>{{ $row['figure']->unit() }}</small>
                                    @endif
                                    @if ($row['change'] !== null && abs($row['change']) >= 0.5 * 10 ** -$row['figure']->decimals)
                                        <span class="change"
                                            >{{ $row['change'] > 0 ? '+'
                                                : '−' }}{{ Format::text(abs($row['change']), $row['figure']->unit,
                                                    $row['figure']->decimals) }}</span
                                        >
                                    @endif
                                </dd>
                            </div>
                        @endforeach
                    </dl>
                    @if ($card['by'] !== null)
                        <form class="in" method="post" action="{{ route('land.candidate', [$layout, $section->uid]) }}">
                            @csrf
                            @seen
                            <input type="hidden" name="pick" value="{{ $thing->uid }}"><input
                                type="hidden"
                                name="what"
                                value="{{ $what }}"
                            ><input type="hidden" name="by" value="{{ $card['by'] }}"><button class="btn quiet">Take this</button>
                        </form>
                    @endif
                </section>
            @endforeach
        </div>
    </main>
</x-page>
