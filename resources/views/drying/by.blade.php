<x-page title="The plan, what by then" :layout="$layout" :section="$first" current="drying">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="coats.show" />
        <main class="page bench-page" id="land">
            <div class="title">
                <h1>The plan</h1>
                <x-plan-tabs :layout="$layout" on="by.show" />
                <form class="by-form" method="get">
                    <label for="f-by">Another day</label><input id="f-by" name="day" value="{{ $typed }}"><button class="btn quiet">
                        Show
                    </button>
                </form>
            </div>
            @if ($fault)
                <p class="fault" role="alert">{{ $fault }}</p>
            @endif
            <div class="cols">
                <section class="sheet moves-sheet">
                    <header>
                        <h2>By the end of {{ $day }}</h2>
                        <span class="meta"
                            >{{ count($by->moves) }} {{ count($by->moves) === 1 ? 'move' : 'moves' }}, {{ $minutes }} min</span>
                        <span class="meta end">as it is left then, {{ (int) (100 * $by->certainty) }} %</span>
                    </header>
                    <div class="mv-list">
                        @forelse ($by->moves as $row)
                            <div class="by-row">
                                <span class="tm num">{{ $words->at($row['placed']->start)->format('D H:i') }}</span
                                ><span
                                    ><b>{{ $row['placed']->move->title() }}</b
                                    ><span class="wh">{{ $row['placed']->move->place() }}</span></span
                                ><span class="num">{{ $row['placed']->minutes() }} min</span
                                ><span class="left-as"
                                    ><x-state
                                        :state="\IdleRidge\Core\Plan\DryingState::from(['dry through' => 'ready', 'set' => 'setting',
                                            'wet' => 'wet'][$row['state']])"
                                        :word="$row['state']"
                                    /><span class="wh">{{
                                        $row['state'] === 'dry through'
                                            ? ''
                                            : 'dry ' . $words->moment($row['ready'])
                                    }}</span></span
                                >
                            </div>
                        @empty
                            <p class="blank-words">Nothing can be finished by then: there is no session before it, or nothing is ready.</p>
                        @endforelse
                    </div>
                </section>
                <div class="rcol">
                    <section class="sheet">
                        <header><h2>Better not begun</h2></header>
                        @forelse ($by->left as $row)
                            <div class="nt">
                                <i>window</i>
                                <div>
                                    <div class="nm">{{ $row['move']->title() }}<span>{{ $row['move']->place() }}</span></div>
                                    <p>{{ $row['why'] }}</p>
                                </div>
                            </div>
                        @empty
                            <p class="in soft">Nothing that is begun would be left in the middle.</p>
                        @endforelse
                    </section>
                    <section class="sheet">
                        <header><h2>Left safe</h2></header>
                        <p class="in">{{
                            $by->moves === []
                                ? 'Nothing is left wet.'
                                : ($by->isDry()
                                    ? 'All of it is dry through by then.'
                                    : 'What is wet or set by then stays where it is: no cover over it, no board on its side.')
                        }}</p>
                    </section>
                </div>
            </div>
        </main>
    </div>
</x-page>
