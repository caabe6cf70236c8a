@use('IdleRidge\Core\Measure\Format')
<x-page :title="$layout->name . ', spans'" :layout="$layout" :section="$first" current="settings">
    <main class="page wide" id="land">
        <x-sheet-head :layout="$layout" on="spans.show" />
        <div class="desk">
            <div class="cards">
                <section class="sheet">
                    <header>
                        <h2>Over the gap</h2>
                        <span class="meta">a hand on its middle; the bend is drawn larger than it is</span>
                    </header>
                    @if ($rows === [])
                        <p class="in soft">Mend what is marked beside; the strips stand here then.</p>
                    @else
                        {!! $drawing->toHtml() !!}
                        <div class="scroll" tabindex="0" role="region" aria-label="What each strip does">
                            <table class="whole folds">
                                <thead>
                                    <tr>
                                        <th scope="col">Of</th>
                                        <th scope="col" class="n">thick</th>
                                        <th scope="col" class="n">by hand</th>
                                        <th scope="col" class="n">by itself</th>
                                        <th scope="col" class="n">of what breaks it</th>
                                        <th scope="col" class="n">the air moves it</th>
                                        <th scope="col" class="n">enough is</th>
                                        <th scope="col">so it …</th>
                                    </tr>
                                </thead>
                                <tbody>
                                    @foreach ($rows as $row)
                                        <tr>
                                            <th scope="row"><b>{{ $row['name'] }}</b></th>
                                            <td class="n num" data-label="thick">{{ $row['thick'] }}</td>
                                            <td class="n num" data-label="by hand">{{ $row['hand'] }}</td>
                                            <td class="n num" data-label="by itself">{{ $row['itself'] }}</td>
                                            <td class="n num" data-label="of what breaks it">{{ $row['load'] }}</td>
                                            <td class="n num" data-label="the air moves it">{{ $row['moves'] }}</td>
                                            <td class="n num" data-label="enough is">{{ $row['enough'] }}</td>
                                            <td @class(['bad' => $row['bad']]) data-label="so it">{{ $row['word'] }}</td>
                                        </tr>
                                    @endforeach
                                </tbody>
                            </table>
                        </div>
                        <p class="in soft">
                            It may bend {{ $most }} under the hand and bear a quarter of what breaks it; {{ $bears }} of scenery lie
                            on it.
                            @if (count($airs) === 2)
                                Between the rooms’ driest air ({{ $airs[0] }}) and their dampest ({{ $airs[1] }}) wood grows with the
                                damp, foam with the warmth.
                            @endif
                        </p>
                        <ul class="in trial">
                            @foreach ($rows as $row)
                                @if ($row['bows'] !== null)
                                    <li>
                                        <b>{{ ucfirst($row['name']) }}</b> held fast at both ends cannot grow and goes up by
                                        {{ $row['bows'] }}: leave {{ $row['moves'] }} at one end.
                                    </li>
                                @elseif ($row['presses'] !== null)
                                    <li>
                                        <b>{{ ucfirst($row['name']) }}</b> held fast at both ends stays straight and presses on them
                                        with {{ $row['presses'] }}.
                                    </li>
                                @elseif ($row['thrust'] !== null)
                                    <li>
                                        <b>{{ ucfirst($row['name']) }}</b> pushes its feet apart with {{ $row['thrust'] }}: both want
                                        something solid behind them.
                                    </li>
                                @endif
                            @endforeach
                        </ul>
                    @endif
                </section>
            </div>
            <div class="side">
                <section class="sheet">
                    <header><h2>What bridges what?</h2></header>
                    <form class="in" method="get" action="{{ route('spans.show', $layout) }}">
                        <div class="pair">
                            <x-field name="span" label="Span" :unit="Format::unit('mm')" :value="$shown['span']" />
                            <x-field name="wide" label="Wide" :unit="Format::unit('mm')" :value="$shown['wide']" />
                            <x-field name="thick" label="Foam, thick" :unit="Format::unit('mm')" :value="$shown['thick']" />
                            <x-field name="ply" label="Plywood, thick" :unit="Format::unit('mm')" :value="$shown['ply']" />
                            <x-field
                                name="rise"
                                label="Arched up by"
                                :unit="Format::unit('mm')"
                                :value="$shown['rise']"
                                hint="0 lies flat on its ends"
                            />
                            <x-field name="hand" label="A hand of" :unit="Format::unit('kg')" :value="$shown['hand']" />
                        </div>
                        <div class="acts"><button class="btn quiet">Try it</button></div>
                    </form>
                </section>
                @if ($structures !== [])
                    <section class="sheet">
                        <header><h2>On this layout</h2></header>
                        <ul class="in road-widths">
                            @foreach ($structures as $one)
                                <li>
                                    <a class="link" href="{{ route('spans.show', [$layout, ...$one['asks']]) }}">{{ $one['name'] }}</a>
                                    {{ $one['span'] }}
                                </li>
                            @endforeach
                        </ul>
                    </section>
                @endif
            </div>
        </div>
    </main>
</x-page>
