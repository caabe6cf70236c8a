@use('IdleRidge\Core\Measure\Format')
@use('IdleRidge\Core\Measure\Decimal')
<section class="sheet lot-sheet" id="lot">
    <header>
        <h2>{{ ucfirst($lot->material) }}</h2>
        @if ($lot->recovered)
            <span class="meta">taken up again</span>
        @endif
        <span class="lot-left end"><b class="num">{{ $detail['shown'][0] }}</b> {{ $detail['shown'][1] }}</span>
    </header>
    @if ($detail['over'])
        <p class="ca in-ca"><b>Past its time since {{ $detail['good'] }}.</b> Try it on scrap first, or throw it away.</p>
    @elseif ($detail['good'] !== '')
        <p class="wh in-ca">good until {{ $detail['good'] }}</p>
    @endif
    <form class="in stack" method="post" action="{{ route('shelf.count', [$layout, $lot->uid]) }}">
        @csrf
        @seen
        <input type="hidden" name="form" value="count"><input type="hidden" name="shown" value="{{ round($detail['amount'], 3) }}">
        <div class="trio">
            @if ($detail['weighed'])
                <x-field form="count" name="gross" label="On the scale" :unit="Format::unit('g')" mode="decimal" />
                <x-field
                    form="count"
                    name="tare_g"
                    label="container"
                    :unit="Format::unit('g')"
                    mode="decimal"
                    :value="$lot->tare === null ? '' : Format::field($lot->tare, 'g', 1)"
                />
            @endif
            @if ($lot->pack !== null)
                <x-field form="count" name="share" label="or of a pack" />
            @endif
            <x-field form="count" name="amount" :label="$detail['weighed'] ? 'or' : 'There is'" :unit="Format::unit($lot->unit)"
                mode="decimal" />
        </div>
        <div class="acts"><button class="btn quiet">Count it</button></div>
    </form>
    <details class="in-fold" @if (old('form') === 'lot') open @endif>
        <summary>What it is</summary>
        <form class="in stack" method="post" action="{{ route('shelf.update', [$layout, $lot->uid]) }}">
            @csrf
            @method('patch')
            @seen
            <input type="hidden" name="form" value="lot">
            <div class="pair">
                <x-field form="lot" name="mark" label="Colour or batch mark" :value="$lot->mark" />
                <x-field form="lot" name="supplier" label="From" :value="$lot->supplier" />
                <x-field form="lot" name="bought_on" label="Bought on" :value="$lot->boughtOn" />
                <x-field form="lot" name="opened" label="Opened on" :value="$detail['opened']" />
                <x-field form="lot" name="best_before" label="Best before" :value="$lot->bestBefore" />
                <x-field form="lot" name="keeps_days" label="Open it keeps" unit="days" :value="$lot->keepsDays" />
                <x-field
                    form="lot"
                    name="pack"
                    label="A full pack"
                    :unit="Format::unit($lot->unit)"
                    :value="$lot->pack === null ? '' : Format::field($lot->pack, $lot->unit, 3)"
                />
                <x-field
                    form="lot"
                    name="price"
                    label="Paid"
                    :unit="$currency"
                    :value="$lot->minor === null ? '' : Decimal::fixed($lot->minor / 100, 2)"
                />
                @if (str_starts_with($lot->material, 'alcohol'))
                    <x-field form="lot" name="strength" label="Strength" unit="%" :value="$lot->strength" />
                @endif
            </div>
            <div class="acts"><button class="btn quiet">Keep it so</button></div>
        </form>
    </details>
    <table class="plain-table moves-of">
        @foreach ($detail['movements'] as $move)
            <tr>
                <td class="soft">{{ $move['at'] }}</td>
                <td class="num">{{ $move['by'] }}</td>
                <td>{{ $move['cause'] }}{{ $move['for'] === '' ? '' : ": {$move['for']}" }}</td>
            </tr>
        @endforeach
    </table>
    <form class="in" method="post" action="{{ route('shelf.destroy', [$layout, $lot->uid]) }}">
        @csrf
        @method('delete')
        @seen
        <button class="link">Throw it away</button>
    </form>
</section>
