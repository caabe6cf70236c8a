@use('IdleRidge\Core\Measure\Decimal')
<x-page :title="$section->name . ', schools'" :layout="$layout" :section="$section" current="coats">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="coats.show" />
        <main class="page" id="land">
            <div class="title">
                <h1>Schools</h1>
                <div class="sub">
                    {{ $zone === null ? $section->name : $zone->name . ' on ' . $section->name }},<br>
                    in the air of {{ $room->name }}
                </div>
                <form class="school-by" method="get">
                    <label for="f-zone">Zone</label
                    ><select id="f-zone" name="zone">
                        @foreach ($zones as $one)
                            <option value="{{ $one->uid }}" @selected($one === $zone)>{{ $one->name }}</option>
                        @endforeach
                    </select>
                    <label for="f-question">Question</label
                    ><select id="f-question" name="question">
                        @foreach ($questions as $question)
                            <option @selected($question === $asked)>{{ $question }}</option>
                        @endforeach</select
                    ><button class="btn quiet">Compare</button>
                </form>
            </div>
            @if ($zone === null)
                <section class="sheet blank">
                    <p class="blank-words">Make a zone on Coats first: schools are tried on it, with its area and its room.</p>
                </section>
            @endif
            <div class="candidates schools-grid">
                @foreach ($trials as ['trial' => $trial, 'rows' => $rows])
                    <section class="sheet candidate">
                        <header><h2>{{ $trial->school->name }}</h2></header>
                        <p class="in soft small">Suits {{ $trial->school->suits }}.</p>
                        <dl class="read">
                            @foreach ($rows as $row)
                                <div>
                                    <dt>{{ $row['label'] }}</dt>
                                    <dd>
                                        @if (($row['before'] ?? '') !== '')
                                            <small>{{ $row['before'] }}</small>
                                        @endif
                                        @if ($row['figure'] !== null)
                                            <x-figure :figure="$row['figure']" />
                                        @endif
                                        <small>{{ $row['after'] ?? $row['figure']->unit() }}</small>
                                    </dd>
                                </div>
                            @endforeach
                        </dl>
                        @if ($trial->unpriced !== [])
                            <p class="in soft small">Without a price: {{ implode(', ', $trial->unpriced) }}.</p>
                        @endif
                        <div class="in">
                            <h3>Coats, from below</h3>
                            <ol class="steps">
                                @foreach ($trial->coats as $coat)
                                    <li>
                                        {{ $coat->recipe->name }}
                                        @if ($coat->passes > 1)
                                            <span class="soft"> × {{ $coat->passes }}</span>
                                        @endif
                                        @if ($coat->share < 1)
                                            <span class="soft"> over {{ Decimal::trimmed(100 * $coat->share, 0) }} %</span>
                                        @endif
                                        @if ($coat->way !== null)
                                            <span class="soft way-words">{{ $wayWords($coat->way) }}</span>
                                        @endif
                                    </li>
                                @endforeach
                            </ol>
                            <h3>Goes in</h3>
                            <p class="small">{{ $goesIn($trial->amounts) }}</p>
                            <h3>What can go wrong</h3>
                            <ul class="steps">
                                @foreach ($trial->school->wrong as $wrong)
                                    <li>{{ $wrong }}</li>
                                @endforeach
                            </ul>
                            <h3>To undo it</h3>
                            <ul class="steps">
                                @foreach ($trial->undo() as $undo)
                                    <li>{{ $undo }}</li>
                                @endforeach
                            </ul>
                        </div>
                        <form method="post" action="{{ route('schools.take', [$layout, $section->uid, $zone->uid]) }}">
                            @csrf
                            @seen
                            <input type="hidden" name="school" value="{{ $trial->school->key }}"><button class="btn quiet">
                                Put it on {{ $zone->name }}
                            </button>
                        </form>
                    </section>
                @endforeach
            </div>
        </main>
    </div>
</x-page>
