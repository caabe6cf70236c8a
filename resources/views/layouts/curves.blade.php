<x-page :title="$layout->name . ', curves and sizes'" :layout="$layout" :section="$first" current="settings">
    <main class="page wide" id="land">
        <x-sheet-head :layout="$layout" on="curves.show" />
        <div class="desk">
            <div class="cards">
                <section class="sheet">
                    <header>
                        <h2>Tightest curves</h2>
                        <span class="meta">and what the vehicles make of them</span>
                    </header>
                    @if ($runs === [])
                        <p class="in soft">No track yet. Draw a run on Land; its curves are told here.</p>
                    @else
                        <div class="scroll" tabindex="0" role="region" aria-label="Tightest curves, a run a row">
                            <table class="whole folds">
                                <thead>
                                    <tr>
                                        <th scope="col">Run</th>
                                        <th scope="col" class="n">Tightest</th>
                                        <th scope="col">Vehicle</th>
                                        <th scope="col" class="n">in · out</th>
                                        <th scope="col" class="n">needs in all</th>
                                        <th scope="col">so it …</th>
                                    </tr>
                                </thead>
                                <tbody>
                                    @foreach ($runs as $run)
                                        @forelse ($run['vehicles'] as $vehicle)
                                            <tr>
                                                @if ($loop->first)
                                                    <th scope="row" rowspan="{{ count($run['vehicles']) }}"><b>{{ $run['name'] }}</b></th>
                                                    <td class="n" data-label="tightest" rowspan="{{ count($run['vehicles']) }}">
                                                        <span class="num">{{ $run['radius'] }}</span>
                                                        <span class="soft">{{ $run['at'] }}</span>
                                                        <span class="soft">adds {{ $run['felt'] }} to a grade</span>
                                                    </td>
                                                @endif
                                                <td><b>{{ $vehicle['name'] }}</b></td>
                                                <td class="n num" data-label="in · out"
                                                    >{{ $vehicle['inside'] }} · {{ $vehicle['outside'] }}</td>
                                                <td class="n num" data-label="needs in all">{{ $vehicle['room'] }}</td>
                                                <td @class(['bad' => $vehicle['bad']]) data-label="so it">{{ $vehicle['word'] }}</td>
                                            </tr>
                                        @empty
                                            <tr>
                                                <th scope="row"><b>{{ $run['name'] }}</b></th>
                                                <td class="n">straight</td>
                                                <td colspan="4" class="soft">nothing to watch</td>
                                            </tr>
                                        @endforelse
                                    @endforeach
                                </tbody>
                            </table>
                        </div>
                    @endif
                </section>
                @if (array_merge(...array_column($runs, 'curves')) !== [])
                    <section class="sheet set-out">
                        <header>
                            <h2>Setting out</h2>
                            <span class="meta">offsets every {{ $step }}; printed at 1:1 on each board’s plan, under Cuts</span>
                        </header>
                        @foreach ($runs as $run)
                            @if ($run['curves'] !== [])
                                <h3 class="in">{{ $run['name'] }}</h3>
                                @foreach ($run['curves'] as $curve) @include('layouts.curve') @endforeach
                            @endif
                        @endforeach
                    </section>
                @endif
            </div>
            <div class="side">
                <section class="sheet">
                    <header><h2>How tight may it be?</h2></header>
                    <table class="whole">
                        <thead>
                            <tr>
                                <th scope="col">Vehicle</th>
                                <th scope="col" class="n">runs surely</th>
                                <th scope="col" class="n">looks right</th>
                                <th scope="col" class="n">couples, from</th>
                            </tr>
                        </thead>
                        <tbody>
                            @foreach ($vehicles as $vehicle)
                                <tr>
                                    <th scope="row"><b>{{ $vehicle['name'] }}</b> <span class="soft">{{ $vehicle['body'] }} long</span></th>
                                    @foreach ($vehicle['from'] as $from) <td class="n num">{{ $from }}</td> @endforeach
                                </tr>
                            @endforeach
                        </tbody>
                    </table>
                    <p class="in low soft">Three, four and five times its body: the common guideline.</p>
                    <form class="in" method="get" action="{{ route('curves.show', $layout) }}">
                        <div class="pair">
                            <x-field name="radius" label="What would a radius do?" :value="$asked['radius']" />
                            <div class="acts"><button class="btn quiet">Try it</button></div>
                        </div>
                    </form>
                    @if ($trial !== null)
                        <div class="in" role="status">
                            <p>On {{ $trial['radius'] }} a grade is felt {{ $trial['felt'] }} steeper.</p>
                            <ul class="trial">
                                @foreach ($trial['vehicles'] as $vehicle)
                                    <li>
                                        <b>{{ $vehicle['name'] }}</b> {{ $vehicle['inside'] }} in, {{ $vehicle['outside'] }} out,
                                        {{ $vehicle['room'] }} with its margins; it
                                        <span @class(['bad' => $vehicle['bad']])>{{ $vehicle['word'] }}</span>
                                    </li>
                                @endforeach
                            </ul>
                        </div>
                    @endif
                </section>
                <section class="sheet">
                    <header><h2>Sizes</h2><span class="meta">outdoors and here</span></header>
                    @if ($roads !== [])
                        <ul class="in road-widths">
                            @foreach ($roads as $road)
                                <li><b>{{ $road['name'] }}</b> {{ $road['here'] }} wide, {{ $road['outdoors'] }} outdoors</li>
                            @endforeach
                        </ul>
                    @endif
                    <form class="in" method="get" action="{{ route('curves.show', $layout) }}">
                        <div class="pair three">
                            <x-field name="length" label="Outdoors, long" :value="$asked['length']" />
                            <x-field name="width" label="wide" :value="$asked['width']" />
                            <div class="acts"><button class="btn quiet">Here</button></div>
                        </div>
                        @if ($footprint !== null) <p role="status">It takes <b>{{ $footprint }}</b> here.</p> @endif
                    </form>
                    <form class="in" method="get" action="{{ route('curves.show', $layout) }}">
                        <div class="pair">
                            <x-field name="here" label="Here" :value="$asked['here']" />
                            <div class="acts"><button class="btn quiet">Outdoors</button></div>
                        </div>
                        @if ($outdoors !== null) <p role="status">That is <b>{{ $outdoors }}</b> outdoors.</p> @endif
                    </form>
                </section>
            </div>
        </div>
    </main>
</x-page>
