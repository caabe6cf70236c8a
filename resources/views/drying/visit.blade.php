@use('IdleRidge\Core\Measure\Format')
<x-page title="Packing list" :layout="$layout" :section="$first" current="drying">
    <main class="page wide visit-page" id="land">
        <div class="title">
            <h1>Packing list</h1>
            <div class="sub">
                {{ (new DateTimeImmutable($visit->date))->format('l j F') }}{{
                    $visit->until
                        ? ' to ' . (new DateTimeImmutable($visit->until))->format('l j F')
                        : ''
                }}{{ $visit->who === '' ? '' : ', with ' . $visit->who }};<br>
                {{ count($planned) }} {{ count($planned) === 1 ? 'move is' : 'moves are' }} planned in it
            </div>
        </div>
        <div class="grid">
            <div class="col">
                <section class="sheet">
                    <header>
                        <h2>Materials</h2>
                        <span class="meta end">what has to lie ready, waste included</span>
                    </header>
                    <ul class="in checks">
                        @forelse ($kit->materials as $amount)
                            @php([$shown, $unit] = $amount->words())
                            <li><span class="box"></span><b class="num">{{ $shown }} {{ $unit }}</b> {{ $amount->material }}</li>
                        @empty
                            <li class="soft">Nothing is planned in it yet.</li>
                        @endforelse
                    </ul>
                </section>
                <section class="sheet">
                    <header><h2>Tools, protection, the rest</h2></header>
                    <ul class="in checks">
                        @foreach ([...array_keys($kit->tools), ...$kit->wear, ...$kit->beside, ...$always] as $one)
                            <li><span class="box"></span>{{ $one }}</li>
                        @endforeach
                    </ul>
                </section>
            </div>
            <div class="col">
                <section class="sheet">
                    <header><h2>What is done there</h2></header>
                    <ol class="rows">
                        @foreach ($planned as $row)
                            <li>
                                <span
                                    ><b>{{ $row['placed']->move->title() }}</b>
                                    <span class="wh">{{ $row['placed']->move->place() }}</span></span
                                ><span class="num">{{ $row['when'] }}, {{ $row['placed']->minutes() }} min</span>
                            </li>
                        @endforeach
                    </ol>
                </section>
                <section class="sheet">
                    <header><h2>As it is left</h2></header>
                    <p class="in">{{
                        $still === []
                            ? 'All of it is dry through when you go.'
                            : 'Still drying when you go:'
                    }}</p>
                    @if ($still !== [])
                        <ul class="rows">
                            @foreach ($still as $row)
                                <li>
                                    <span
                                        ><b>{{ $row['placed']->move->title() }}</b>
                                        <span class="wh">{{ $row['placed']->move->place() }}</span></span
                                    ><span class="num">{{ $row['state'] }}, dry {{ $words->moment($row['ready']) }}</span>
                                </li>
                            @endforeach
                        </ul>
                    @endif
                    @foreach ($by->left as $row)
                        <p class="in">Better not begun: {{ $row['move']->title() }}, {{ $row['move']->place() }}. {{ $row['why'] }}.</p>
                    @endforeach
                </section>
            </div>
        </div>
    </main>
</x-page>
