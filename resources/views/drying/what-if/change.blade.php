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
                ><span>Kept at, {{ \IdleRidge\Core\Measure\Format::unit('°C') }}</span><input name="heater" value="{{ $v('heater') }}">
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
