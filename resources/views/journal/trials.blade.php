@use('IdleRidge\Core\Measure\Format')
@use('IdleRidge\Core\Track\StartingValues')
@use('IdleRidge\Core\Measure\Decimal')
<x-page title="Trials" :layout="$layout" :section="$first" current="journal">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="journal.history" />
        <main class="page trials" id="land">
            <div class="title">
                <h1>Trials</h1>
                <div class="sub">tried on scrap first;<br>what was good becomes a recipe</div>
                <div class="ways"><a class="btn quiet" href="{{ route('journal.show', $layout) }}">Journal</a></div>
            </div>
            <x-said />
            @error('trial')
                <p class="fault wide-fault" role="alert">{{ $message }}</p>
            @enderror
            <div class="journal-cols opened">
                <section class="sheet">
                    @if ($rows === [])
                        <p class="blank-words">
                            Nothing was tried yet. Take a piece of scrap, say which recipe goes onto it, and write down how long it took,
                            how much it
                            took and when it was dry.
                        </p>
                    @else
                        <table class="match-rows trial-rows">
                            <thead>
                                <tr>
                                    <th scope="col">Trial</th>
                                    <th scope="col">Used</th>
                                    <th scope="col">Work</th>
                                    <th scope="col">Dry to the touch</th>
                                    <th scope="col">Judged</th>
                                </tr>
                            </thead>
                            <tbody>
                                @foreach ($rows as $row)
                                    <tr @class(['picked' => $open?->uid === $row['uid']])>
                                        <th scope="row">
                                            <a href="{{ route('trials.index', [$layout, 'trial' => $row['uid']]) }}">{{ $row['name'] }}</a
                                            ><span>{{ $row['title'] }}, {{ $row['area'] }}, {{ $row['when'] }}</span>
                                            @if ($row['note'] !== '')
                                                <em>{{ $row['note'] }}</em>
                                            @endif
                                        </th>
                                        <td>
                                            {{ implode(', ', $row['amounts']) }}
                                            <span>{{ $row['used'] === '' ? '' : "{$row['used']} against the recipe" }}</span>
                                        </td>
                                        <td>
                                            {{ $row['minutes'] ?: '–' }}
                                            <span>recipe {{ $row['said'] }}{{ $row['slower'] === '' ? '' : ", {$row['slower']}" }}</span>
                                        </td>
                                        <td>
                                            {{ $row['dry'] ?: '–' }}
                                            <span>
                                                {{ $row['saidDry'] === '' ? '' : "recipe {$row['saidDry']}" }}{{ $row['wetter'] === '' ?
                                                '' : ", {$row['wetter']}" }}
                                            </span>
                                        </td>
                                        <td>
                                            @if ($row['verdict'])
                                                <span @class(['verdict', 'not' =>
                                                    $row['verdict'] === 'would not'])>{{ $row['verdict'] }}
                                                </span>
                                            @endif
                                        </td>
                                    </tr>
                                @endforeach
                            </tbody>
                        </table>
                    @endif
                </section>
                <div class="rcol">
                    @if ($open)
                        <section class="sheet">
                            <header>
                                <h2>{{ $open->name }}</h2>
                                <a class="meta end" href="{{ route('trials.index', $layout) }}">Close</a>
                            </header>
                            <form class="in stack" method="post" action="{{ route('trials.update', [$layout, $open->uid]) }}">
                                @csrf
                                @method('patch')
                                @seen
                                <input type="hidden" name="form" value="trial">
                                @foreach ($open->amounts as $k => $one)
                                    <x-field
                                        form="trial"
                                        name="used[{{ $k }}]"
                                        at="amounts/{{ $k }}/used"
                                        :label="ucfirst($one['material']) . ' used'"
                                        :unit="Format::unit($one['unit'])"
                                        mode="decimal"
                                        :value="Format::field($one['used'], $one['unit'])"
                                    />
                                @endforeach
                                <div class="pair">
                                    <x-field
                                        form="trial"
                                        name="minutes"
                                        label="Work"
                                        unit="min"
                                        mode="decimal"
                                        :value="$open->minutes === null ? '' : Decimal::trimmed($open->minutes, 1)"
                                    />
                                    <x-field
                                        form="trial"
                                        name="dry"
                                        label="Dry to the touch after"
                                        unit="min"
                                        mode="decimal"
                                        :value="$open->dry === null ? '' : Decimal::trimmed($open->dry, 0)"
                                    />
                                </div>
                                <x-choice
                                    form="trial"
                                    name="verdict"
                                    label="Judged"
                                    :options="['' => 'not yet', 'would do again' => 'would do again', 'would not' => 'would not']"
                                    :value="$open->verdict?->value ?? ''"
                                />
                                <div class="field">
                                    <label for="f-trial-note">What you saw</label>
                                    <textarea id="f-trial-note" name="note" rows="3">{{ $open->note }}</textarea>
                                </div>
                                <div class="acts"><button class="btn">Write it down</button></div>
                            </form>
                            <form class="in" method="post" action="{{ route('trials.promote', [$layout, $open->uid]) }}">
                                @csrf
                                @seen
                                <div class="acts"><button class="btn quiet">Make it a recipe of mine</button></div>
                            </form>
                            <form class="in" method="post" action="{{ route('trials.destroy', [$layout, $open->uid]) }}">
                                @csrf
                                @method('delete')
                                @seen
                                <button class="link">Put it away</button>
                            </form>
                        </section>
                    @endif
                    <section class="sheet">
                        <header><h2>Try something</h2></header>
                        <form class="in stack" method="post" action="{{ route('trials.store', $layout) }}">
                            @csrf
                            @seen
                            <input type="hidden" name="form" value="new">
                            <x-field form="new" name="name" id="f-trial-name" label="What you try" />
                            <x-choice form="new" name="recipe" label="Recipe" :options="$recipes" />
                            <div class="trio">
                                @php($scrap = Format::field(StartingValues::scrap()))
                                <x-field form="new" name="wide" label="Scrap" :unit="Format::unit('mm')" mode="decimal" :value="$scrap" />
                                <x-field form="new" name="deep" label="by" :unit="Format::unit('mm')" mode="decimal" :value="$scrap" />
                                <x-field form="new" name="mm" label="Thick" :unit="Format::unit('mm')" mode="decimal" />
                            </div>
                            <div class="acts"><button class="btn quiet">Begin</button></div>
                        </form>
                    </section>
                </div>
            </div>
        </main>
    </div>
</x-page>
