@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
<x-page title="Price list" :layout="$layout" :section="$first" current="shelf">
    <main class="page wide bench-page" id="land">
        <div class="title">
            <h1>Price list</h1>
            <div class="sub">a pack a row; one without a price<br>is taken away</div>
            <a class="btn quiet end" href="{{ route('shopping.csv', [$layout, 'prices']) }}">As a table</a>
            <a class="btn quiet" href="{{ route('shopping.show', $layout) }}">Shopping list</a>
        </div>
        <x-said />
        @foreach ($errors->getMessages() as $place => $messages) @if (str_starts_with($place, 'row ') || $place === 'file')
            <p class="fault wide-fault" role="alert"><b>{{ ucfirst($place) }}:</b> {{ $messages[0] }}</p>
        @endif @endforeach
        <section class="sheet">
            <form class="in" method="post" action="{{ route('shopping.keep', $layout) }}">
                @csrf
                @method('patch')
                @seen
                <table class="points price-list">
                    <thead>
                        <tr>
                            <th scope="col">Material</th>
                            <th scope="col">a pack holds</th>
                            <th scope="col">costs, {{ $currency }}</th>
                            <th scope="col">from</th>
                            <th scope="col">to be had</th>
                        </tr>
                    </thead>
                    <tbody>
                        @foreach ([...$prices, null, null] as $k => $price)
                            <tr>
                                <td>
                                    @if ($price)
                                        <input type="hidden" name="prices[{{ $k }}][uid]" value="{{ $price->uid }}"
                                        ><input type="hidden" name="prices[{{ $k }}][material]" value="{{ $price->material }}"
                                        >{{ $price->material }}
                                    @else
                                        <input
                                            name="prices[{{ $k }}][material]"
                                            list="stuff"
                                            value="{{ \App\Http\OldInput::text("prices.{$k}.material") }}"
                                            aria-label="Material of a new pack"
                                            autocomplete="off"
                                        >
                                    @endif
                                </td>
                                @foreach ([
                                    'amount' => [$price === null ? '' : Format::field($price->amount, $units[$price->material] ??
                                        '', 3), 'A pack holds'],
                                    'price' => [$price === null ? '' : Decimal::fixed($price->minor / 100, 2), 'Price'],
                                    'supplier' => [$price->supplier ?? '', 'From'],
                                    'available' => [$price->available ?? '', 'To be had'],
                                ] as $field => [$value, $label])
                                    <td>
                                        <input
                                            name="prices[{{ $k }}][{{ $field }}]"
                                            value="{{ \App\Http\OldInput::text("prices.{$k}.{$field}", $value) }}"
                                            aria-label="{{ $label }}, {{ $price->material ?? 'a new pack' }}"
                                            autocomplete="off"
                                            @if ($errors->has("prices/{$k}/{$field}")) aria-invalid="true" @endif
                                        >{{ $field === 'amount' && $price ? Format::unit($units[$price->material] ?? '') : '' }}
                                    </td>
                                @endforeach
                            </tr>
                            @foreach (['material', 'amount', 'price', 'supplier', 'available'] as $field)
                                @if ($errors->has("prices/{$k}/{$field}"))
                                    <tr>
                                        <td colspan="5"><p class="fault">{{ $errors->first("prices/{$k}/{$field}") }}</p></td>
                                    </tr>
                                @endif
                            @endforeach
                        @endforeach
                    </tbody>
                </table>
                <datalist id="stuff">
                    @foreach ($units as $name => $unit)
                        <option value="{{ $name }}">{{ Format::unit($unit) }}</option>
                    @endforeach
                </datalist>
                <div class="acts"><button class="btn">Keep the list</button></div>
            </form>
        </section>
        <section class="sheet">
            <header><h2>From a table</h2></header>
            <form
                class="in file-row"
                method="post"
                action="{{ route('shopping.import', [$layout, 'prices']) }}"
                enctype="multipart/form-data"
            >
                @csrf
                @seen
                <label for="price-file">Columns <b>material, amount, price</b>, and if you like <b>unit, supplier, available</b></label>
                <input id="price-file" type="file" name="file" accept=".csv,text/csv">
                <button class="btn quiet">Take it in</button>
            </form>
        </section>
    </main>
</x-page>
