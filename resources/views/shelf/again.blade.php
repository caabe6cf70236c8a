@if ($again !== [])
    <section class="sheet">
        <header><h2>Taken up again?</h2></header>
        @foreach ($again as $row)
            <form class="again" method="post" action="{{ route('shelf.again', $layout) }}">
                @csrf
                @seen
                <input type="hidden" name="form" value="again-{{ $row['laid'] }}">
                <input type="hidden" name="laid" value="{{ $row['laid'] }}">
                <input type="hidden" name="material" value="{{ $row['material'] }}">
                <div class="nm">{{ ucfirst($row['material']) }}<span>{{ $row['title'] }}, {{ $row['when'] }}</span></div>
                <div class="cup-row">
                    <x-field
                        :form="'again-'.$row['laid']"
                        name="amount"
                        :id="'again-'.$loop->index"
                        label="came back"
                        :unit="\IdleRidge\Core\Measure\Format::unit($row['unit'])"
                        mode="decimal"
                        :value="$row['amount']"
                    />
                    <button class="btn quiet">Book it back</button>
                </div>
            </form>
        @endforeach
    </section>
@endif
