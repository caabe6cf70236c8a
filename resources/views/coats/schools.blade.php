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
            @if ($trials !== [])
                <section class="sheet">
                    <div class="scroll" tabindex="0" role="region" aria-label="Schools beside each other">
                        <table class="school-table">
                            <thead>
                                <tr>
                                    <td></td>
                                    @foreach ($trials as $trial)
                                        <th scope="col">{{ $trial->school->name }} <small>Suits {{ $trial->school->suits }}.</small></th>
                                    @endforeach
                                </tr>
                            </thead>
                            <tbody>
                                @foreach ($rows as $figure => $row)
                                    <tr class="figures">
                                        <th scope="row">{{ $row['label'] }}</th>
                                        @foreach ($row['cells'] as $k => $cell)
                                            <td @class(['best' => in_array($k, $best[$figure], true)])>
                                                @if (($cell['before'] ?? '') !== '') <small>{{ $cell['before'] }}</small> @endif
                                                @if ($cell['figure'] !== null) <x-figure :figure="$cell['figure']" /> @endif
                                                <small>{{ $cell['after'] ?? $cell['figure']->unit() }}</small>
                                                @if (in_array($k, $best[$figure], true)) <em>least</em> @endif
                                            </td>
                                        @endforeach
                                    </tr>
                                @endforeach
                                @if (array_filter($trials, fn($trial) => $trial->unpriced !== []) !== [])
                                    <tr>
                                        <th scope="row">Without a price</th>
                                        @foreach ($trials as $trial)
                                            <td class="soft">{{ $trial->unpriced === [] ? '–' : implode(', ', $trial->unpriced) }}</td>
                                        @endforeach
                                    </tr>
                                @endif
                                <tr>
                                    <th scope="row">Coats, from below</th>
                                    @foreach ($trials as $trial)
                                        <td>
                                            <ol>
                                                @foreach ($trial->coats as $coat)
                                                    <li>
                                                        {{ $coat->recipe->name }}
                                                        @if ($coat->passes > 1) <span class="soft"> × {{ $coat->passes }}</span> @endif
                                                        @if ($coat->share < 1)
                                                            <span class="soft"> over {{ Decimal::trimmed(100 * $coat->share, 0) }} %</span>
                                                        @endif
                                                        @if ($coat->way !== null)
                                                            <span class="soft way-words">{{ $wayWords($coat->way) }}</span>
                                                        @endif
                                                    </li>
                                                @endforeach
                                            </ol>
                                        </td>
                                    @endforeach
                                </tr>
                                <tr>
                                    <th scope="row">Goes in</th>
                                    @foreach ($trials as $trial) <td>{{ $goesIn($trial->amounts) }}</td> @endforeach
                                </tr>
                                @foreach ([
                                    'What can go wrong' => fn($trial) => $trial->school->wrong,
                                    'To undo it' => fn($trial) => $trial->undo(),
                                ] as $label => $lines)
                                    <tr>
                                        <th scope="row">{{ $label }}</th>
                                        @foreach ($trials as $trial)
                                            <td>
                                                <ul>@foreach ($lines($trial) as $line) <li>{{ $line }}</li> @endforeach</ul>
                                            </td>
                                        @endforeach
                                    </tr>
                                @endforeach
                                <tr>
                                    <td></td>
                                    @foreach ($trials as $trial)
                                        <td>
                                            <form method="post" action="{{ route('schools.take', [$layout, $section->uid, $zone->uid]) }}">
                                                @csrf
                                                @seen
                                                <input type="hidden" name="school" value="{{ $trial->school->key }}">
                                                <button
                                                    class="btn quiet"
                                                    aria-label="Put it on {{ $zone->name }}: {{ $trial->school->name }}"
                                                    >Put it on {{ $zone->name }}</button>
                                            </form>
                                        </td>
                                    @endforeach
                                </tr>
                            </tbody>
                        </table>
                    </div>
                </section>
            @endif
        </main>
    </div>
</x-page>
