<x-page title="What if" :layout="$layout" :section="$first" current="drying">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="coats.show" />
        <main class="page bench-page" id="land">
            <div class="title">
                <h1>What if</h1>
                <div class="sub">
                    see the end move<br>
                    before anything is kept
                </div>
                <nav class="drying-links" aria-label="About the plan">
                    <a href="{{ route('drying.show', $layout) }}">Drying line</a><a href="{{ route('by.show', $layout) }}">By Sunday</a
                    ><a href="{{ route('bench.show', $layout) }}">How it is planned</a>
                </nav>
            </div>
            <x-said />
            @php($v = fn(string $key, string $else = ''): string => is_scalar($input[$key] ?? null) ? (string) $input[$key] : $else)
            <div class="cols even">
                <section class="sheet">
                    <header><h2>Change</h2></header>
                    <form class="in stack" method="get" action="{{ route('what-if.show', $layout) }}">
                        <h3>The room</h3>
                        <div class="pair three">
                            <label class="field"
                                ><span>Room</span
                                ><select name="room">
                                    @foreach ($rooms as $uid => $name)
                                        <option value="{{ $uid }}" @selected($v('room') === $uid)>{{ $name }}</option>
                                    @endforeach</select></label
                            ><label class="field"
                                ><span>Kept at, °C</span><input name="heater" value="{{ $v('heater') }}" inputmode="decimal">
                                @isset($faults['heater'])
                                    <small class="fault">{{ $faults['heater'] }}</small>
                                @endisset</label
                            ><label class="field"
                                ><span>Air</span
                                ><select name="airflow">
                                    @foreach (['' => 'as it is', 'closed' => 'closed', 'still' => 'still', 'moving' => 'moving',
                                        'fan' => 'a fan'] as $key => $word)
                                        <option value="{{ $key }}" @selected($v('airflow') === $key)>{{ $word }}</option>
                                    @endforeach</select
                            ></label>
                        </div>
                        <h3>The bench</h3>
                        <div class="pair four">
                            <label class="field"
                                ><span>One more on</span><input name="date" value="{{ $v('date') }}">
                                @isset($faults['date'])
                                    <small class="fault">{{ $faults['date'] }}</small>
                                @endisset</label
                            ><label class="field"
                                ><span>From</span><input name="from" value="{{ $v('from', '10:00') }}">
                                @isset($faults['from'])
                                    <small class="fault">{{ $faults['from'] }}</small>
                                @endisset</label
                            ><label class="field"
                                ><span>to</span><input name="to" value="{{ $v('to', '13:00') }}">
                                @isset($faults['to'])
                                    <small class="fault">{{ $faults['to'] }}</small>
                                @endisset</label
                            ><label class="field"
                                ><span>Hands</span
                                ><select name="hands">
                                    @foreach (['1' => 'as they are', '2' => 'two pairs', '3' => 'three pairs'] as $key => $word)
                                        <option value="{{ $key }}" @selected($v('hands', '1') === (string) $key)>{{ $word }}</option>
                                    @endforeach</select
                            ></label>
                        </div>
                        <h3>The coats</h3>
                        <div class="pair">
                            <label class="field"
                                ><span>On</span
                                ><select name="zone">
                                    <option value="">no zone</option>
                                    @foreach ($zones as $uid => $name)
                                        <option value="{{ $uid }}" @selected($v('zone') === $uid)>{{ $name }}</option>
                                    @endforeach</select></label
                            ><label class="field"
                                ><span>another school</span
                                ><select name="school">
                                    <option value="">none</option>
                                    @foreach ($schools as $key => $name)
                                        <option value="{{ $key }}" @selected($v('school') === $key)>{{ $name }}</option>
                                    @endforeach</select
                            ></label>
                        </div>
                        <label class="field"
                            ><span>One coat or pass fewer</span
                            ><select name="fewer">
                                <option value="">none</option>
                                @foreach ($coats as $uid => $name)
                                    <option value="{{ $uid }}" @selected($v('fewer') === $uid)>{{ $name }}</option>
                                @endforeach
                            </select>
                            @isset($faults['fewer'])
                                <small class="fault">{{ $faults['fewer'] }}</small>
                            @endisset
                        </label>
                        @foreach (array_diff_key($faults, array_flip(['heater', 'date', 'from', 'to', 'fewer'])) as $fault)
                            <p class="fault">{{ $fault }}</p>
                        @endforeach
                        <div class="acts"><button class="btn {{ $said === [] ? '' : 'quiet' }}">Try it</button></div>
                    </form>
                </section>
                <section class="sheet">
                    <header><h2>{{ $said === [] ? 'As it is' : 'As it would be' }}</h2></header>
                    @if ($said !== [])
                        <p class="in tight">{{ ucfirst(implode(', ', $said)) }}.</p>
                    @endif
                    @if (!$hasPlan)
                        <p class="in soft">Nothing is planned yet: zones and their coats are made on Coats.</p>
                    @endif
                    <table class="layers what-if">
                        <thead>
                            <tr>
                                <td></td>
                                <th scope="col">now</th>
                                @if ($said !== [])
                                    <th scope="col">then</th>
                                    <td></td>
                                @endif
                            </tr>
                        </thead>
                        <tbody>
                            @foreach ($rows as $row)
                                <tr>
                                    <th scope="row">{{ $row['label'] }}</th>
                                    <td>{{ $row['now'] }}</td>
                                    @if ($row['then'] !== null)
                                        <td @class(['good' => $row['better'] < 0, 'bad' => $row['better'] > 0])>
                                            <b>{{ $row['then'] }}</b>
                                        </td>
                                        <td class="word">
                                            {{
                                                ['-1' => 'better', '0' => 'the same', '1' => 'worse'][
                                                    (string) $row['better']
                                                ]
                                            }}
                                        </td>
                                    @endif
                                </tr>
                            @endforeach
                        </tbody>
                    </table>
                    @if ($said !== [])
                        <form class="in" method="post" action="{{ route('what-if.keep', $layout) }}">
                            @csrf
                            @seen
                            @foreach ($kept as $key => $value) @if (is_scalar($value))
                                <input type="hidden" name="{{ $key }}" value="{{ $value }}">
                            @endif @endforeach
                            <div class="acts">
                                <button class="btn">Keep it</button><a class="link" href="{{ route('what-if.show', $layout) }}">Leave it</a>
                            </div>
                        </form>
                    @endif
                    @if ($moved !== [])
                        <h3 class="in">What moves to another day</h3>
                        <ul class="rows">
                            @foreach ($moved as $one)
                                <li>
                                    <span><b>{{ $one['title'] }}</b> <span class="wh">{{ $one['place'] }}</span></span
                                    ><span class="num">{{ $one['now'] }} → {{ $one['then'] }}</span>
                                </li>
                            @endforeach
                        </ul>
                    @endif
                </section>
            </div>
        </main>
    </div>
</x-page>
