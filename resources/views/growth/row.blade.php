@use('IdleRidge\Core\Measure\Format')
@use('IdleRidge\Core\Measure\Decimal')
@php($figures = $row->figures)
@php($line = array_values(array_filter($rows, fn($r) => $r['uid'] === $row->uid))[0] ?? null)
<section class="sheet">
    <header>
        <h2>{{ $row->called() }}</h2>
        <span class="meta">{{ $line['count'] ?? '' }}</span>
        <a class="link" href="{{ $here() }}">All of the board</a>
    </header>
    @if ($line)
        <p class="in words">{{ $line['words'] }}</p>
    @endif
    <form class="in stack" method="post" action="{{ route('rows.update', [$layout, $section->uid, $row->uid]) }}">
        @csrf
        @method('patch')
        @seen
        <input type="hidden" name="form" value="row">
        <div class="pair">
            <x-field form="row" name="name" id="f-row-name" label="Called" :value="$row->name" />
            <x-field
                form="row"
                name="offset"
                at="offset_mm"
                :label="$row->fromEdge ? 'Left of the formation’s edge' : 'Left of its line'"
                :value="Format::field($row->offset)"
            />
        </div>
        <div class="trio">
            <x-field form="row" name="spacing_m" :label="$row->kind->isUnbroken() ? 'A piece, outdoors' : 'Apart, outdoors'"
                :unit="Format::unit('m')"
                :value="Format::field($figures->spacing, 'm', 3)" mode="decimal"
                :real="$set ? Format::length($set->spacing, 1) . ' here' : null" />
            <x-field form="row" name="height_m" label="Height, outdoors" :unit="Format::unit('m')"
                :value="Format::field($figures->height, 'm', 3)"
                mode="decimal" :real="$set ? Format::length($set->height, 1) . ' here' : null" />
            <x-field form="row" name="wide_m" label="Width, outdoors" :unit="Format::unit('m')"
                :value="Format::field($figures->wide, 'm', 3)" mode="decimal"
                :real="$set ? Format::length($set->wide, 1) . ' here' : null" />
        </div>
        @if ($row->kind->isSpanned())
            <div class="pair">
                <x-field form="row" name="wires_m" label="Wires at, outdoors" :unit="Format::unit('m')"
                    :value="\App\Actions\Growth\SaveRow::wiresOf($figures->wires)" />
                <x-field form="row" name="strain_m" label="Straining post every" :unit="Format::unit('m')"
                    :value="Format::field($figures->strain, 'm', 1)"
                    mode="decimal" />
            </div>
        @endif
        <div class="trio">
            <x-field form="row" name="from" at="from_mm" label="From" :value="$row->from === null ? '' : Format::field($row->from)"
                hint="empty: all" />
            <x-field form="row" name="to" at="to_mm" label="to" :value="$row->to === null ? '' : Format::field($row->to)"
                hint="empty: all" />
            <x-field form="row" name="pack" at="pack_mm" label="A pack is" :value="Format::field($row->pack)"
                hint="long; 0: by pieces" />
        </div>
        @if ($row->kind === \IdleRidge\Core\Planting\RowKind::Fence || $row->kind->isUnbroken())
            <x-field
                form="row"
                name="gates"
                label="Gates"
                :value="\App\Actions\Growth\SaveRow::gatesOf($row->gates)"
                hint="place along the row, width outdoors; more after a semicolon"
            />
        @endif
        <div class="acts"><button class="btn">Set it out anew</button></div>
    </form>
    @include('growth.work', ['to' => 'rows', 'uid' => $row->uid, 'away' => 'Put the row away'])
</section>
