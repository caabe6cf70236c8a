@use('IdleRidge\Core\Measure\ClockWords')
@use('IdleRidge\Core\Measure\Decimal')
<x-page :title="$layout->name . ', whole'" :layout="$layout" :section="$first" current="settings">
    <main class="page wide" id="land">
        <x-sheet-head :layout="$layout" on="whole.show" />
        <x-said />
        @if ($rows === [])
            <section class="sheet">
                <p class="in soft">
                    No board yet.
                    <a class="link" href="{{ route('layouts.settings', $layout) }}">Set one up</a>; everything follows from it.
                </p>
            </section>
        @else
            <div class="desk">
                <div class="cards">
                    <section class="sheet whole-sheet">
                        <header>
                            <h2>Boards</h2>
                            <span class="meta">{{ $hours }} of work in {{ $sessions }} sessions, {{ $weight }} dry</span>
                            @if ($ready !== null)
                                <span class="meta end">all cured by <b>{{ $ready }}</b></span>
                            @endif
                        </header>
                        {!! $drawing?->toHtml() !!}
                        <div class="scroll" tabindex="0" role="region" aria-label="Boards, one a row">
                            <table class="whole folds">
                                <thead>
                                    <tr>
                                        <th scope="col">Board</th>
                                        <th scope="col">Next</th>
                                        <th scope="col" class="n">Left</th>
                                        <th scope="col">Cured by</th>
                                        <th scope="col" class="n">Weighs</th>
                                        <th scope="col">Found</th>
                                    </tr>
                                </thead>
                                <tbody>
                                    @foreach ($rows as $row)
                                        <tr>
                                            <th scope="row">
                                                <a href="{{ route('land.show', [$layout, $row['uid']]) }}">{{ $row['name'] }}</a>
                                                <x-state :state="$row['state']" :word="$row['word']" />
                                            </th>
                                            <td>
                                                @if ($row['next'] === null)
                                                    <span class="soft">nothing planned</span>
                                                @else
                                                    {{ $row['next']['title'] }} <span class="soft">{{ $row['next']['at'] }}</span>
                                                @endif
                                            </td>
                                            <td class="n num" data-label="left">{{ $row['left'] ?? '–' }}</td>
                                            <td data-label="cured by">
                                                {{ $row['ready'] ?? '–' }}
                                                @if (($row['late'] ?? 0) > 0)
                                                    <span class="bad">{{ ClockWords::span($row['late']) }} too late</span>
                                                @elseif ($row['late'] === 0)
                                                    <span class="good">in time</span>
                                                @endif
                                            </td>
                                            <td class="n" data-label="weighs">
                                                <span class="num">{{ $row['kg'][0] }}</span> {{ $row['kg'][1] }}
                                                @if ($row['people'] > 1)
                                                    <span class="soft">{{ $row['people'] }} people</span>
                                                @endif
                                            </td>
                                            <td class="found" data-label="found">
                                                @forelse ($row['findings'] as $severity => $count)
                                                    <span @class(['bad' => $severity !== 'hint', 'soft' => $severity === 'hint'])
                                                        ><b>{{ $count }}</b> {{ $severity }}</span>
                                                @empty
                                                    <span class="good">nothing</span>
                                                @endforelse
                                            </td>
                                        </tr>
                                    @endforeach
                                </tbody>
                            </table>
                        </div>
                    </section>
                </div>
                <div class="side">
                    <section class="sheet">
                        <header><h2>To look at first</h2></header>
                        <ol class="in whole-found">
                            @forelse ($told as $one)
                                <li>
                                    <a href="{{ $one['address'] }}"
                                        ><b @class(['bad' => $one['severity']->value !== 'hint'])>{{ $one['severity']->value }}</b>
                                        {{ $one['subjects'] }}{{ $one['times'] > 1 ? ', ' . $one['times'] . ' times' : '' }},
                                        {{ $one['board'] }}</a>
                                </li>
                            @empty
                                <li class="good">Nothing is found on any board.</li>
                            @endforelse
                        </ol>
                        @if ($untold > 0)
                            <p class="in low">
                                <a class="link" href="{{ route('rules.show', $layout) }}">{{ $untold }} more in the rule book</a>
                            </p>
                        @endif
                    </section>
                    <section class="sheet">
                        <header><h2>For all boards</h2></header>
                        <p class="in low">
                            <a class="link" href="{{ route('shopping.show', $layout) }}">Shopping list</a>
                            <span class="soft">{{ $materials === 0 ? 'nothing is short'
                                : $materials . ' materials' . ($packs > 0 ? ", {$packs} packs" : '') }}</span>
                        </p>
                        <form class="in printing" method="get" action="{{ route('whole.templates', $layout) }}">
                            <div class="pair">
                                <x-paper id="f-paper-templates" label="Templates at 1:1, paper" />
                                <div class="acts"><button class="btn quiet">All templates</button></div>
                            </div>
                        </form>
                        <form class="in printing" method="get" action="{{ route('whole.plan', $layout) }}">
                            <div class="pair three">
                                <x-field
                                    name="scale"
                                    label="Plan at one to"
                                    :value="Decimal::trimmed($scale, 1)"
                                    mode="decimal"
                                />
                                <x-paper id="f-paper-plan" />
                                <div class="acts"><button class="btn quiet">Print the plan</button></div>
                            </div>
                        </form>
                    </section>
                </div>
            </div>
        @endif
    </main>
</x-page>
