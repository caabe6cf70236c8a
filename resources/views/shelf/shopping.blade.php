@use('IdleRidge\Core\Measure\Decimal')
<x-page title="Shopping list" :layout="$layout" :section="$first" current="shelf">
    <main class="page wide bench-page shopping" id="land">
        <div class="title">
            <h1>Shopping list</h1>
            <div class="sub">
                @if ($by !== '')
                    needed from {{ $by }} on,<br>the cheapest there is, proven
                @else
                    the cheapest packs,<br>proven
                @endif
            </div>
            <dl class="facts">
                <div>
                    <dt>All of it</dt>
                    <dd><x-figure :figure="$cost" /><small>{{ $currency }}</small></dd>
                </div>
            </dl>
            <a class="btn quiet no-print" href="{{ route('shopping.csv', [$layout, 'shopping']) }}">As a table</a>
            <a class="btn quiet no-print" href="{{ route('shelf.show', $layout) }}">Back to the shelf</a>
        </div>
        <x-said />
        @foreach (['price', 'count'] as $place)
            @error($place)
                <p class="fault wide-fault" role="alert">{{ $message }}</p>
            @enderror
        @endforeach
        <div class="cols shop-cols">
            <div class="wide-col">
                @forelse ($shops as $shop => $rows)
                    <section class="sheet">
                        <header>
                            <h2>{{ $shop === '' ? 'To buy' : $shop }}</h2>
                            @isset($carriage[$shop])
                                <span class="meta">carriage {{ $carriage[$shop]->text() }} {{ $currency }}</span>
                            @endisset
                        </header>
                        @foreach ($rows as $row)
                            <form class="shop-row" method="post" action="{{ route('shopping.bought', $layout) }}">
                                @csrf
                                @seen
                                <input type="hidden" name="price" value="{{ $row['uid'] }}">
                                <input type="hidden" name="count" value="{{ $row['count'] }}">
                                <button class="tick" aria-label="{{ $row['count'] }} × {{ $row['material'] }} bought"
                                    ><i aria-hidden="true"></i
                                ></button>
                                <span class="many num">{{ $row['count'] }} ×</span>
                                <div class="nm"
                                    >{{ ucfirst($row['material']) }}<span
                                        >{{ $row['pack'] }} a pack · short of {{ $row['missing'].$row['over'] }}{{ $row['when'] }}</span
                                    ></div
                                >
                                <b class="num"><x-figure :figure="$row['minor']" /></b>
                            </form>
                        @endforeach
                    </section>
                @empty
                    <section class="sheet">
                        <p class="blank-words">
                            {{ $missing === [] && $left === []
                                ? 'There is enough of everything, or nothing is planned.'
                                : 'Nothing of it can be bought by the price list.' }}
                        </p>
                    </section>
                @endforelse
                @if ($missing !== [] || $short !== [] || $left !== [])
                    <section class="sheet">
                        <header><h2>Not on it</h2></header>
                        <table class="plain-table">
                            @foreach ($missing as [$material, $amount])
                                <tr>
                                    <td>{{ $material }}</td>
                                    <td class="num">{{ $amount }}</td>
                                    <td class="soft">has no price</td>
                                </tr>
                            @endforeach
                            @foreach ($short as [$material, $amount])
                                <tr>
                                    <td>{{ $material }}</td>
                                    <td class="num">{{ $amount }}</td>
                                    <td class="soft">cannot be had: the shops have no more</td>
                                </tr>
                            @endforeach
                            @foreach ($left as $material)
                                <tr>
                                    <td>{{ $material }}</td>
                                    <td></td>
                                    <td class="soft">beyond what may be spent</td>
                                </tr>
                            @endforeach
                        </table>
                    </section>
                @endif
                @if ($against !== [])
                    <section class="sheet no-print">
                        <header><h2>Small against bulk</h2><span class="meta">one kind of pack alone</span></header>
                        <table class="plain-table against">
                            @foreach ($against as $one)
                                @foreach ($one['rows'] as $k => $row)
                                    <tr>
                                        @if ($k === 0)
                                            <th scope="rowgroup" rowspan="{{ count($one['rows']) }}">{{ $one['material'] }}</th>
                                        @endif
                                        <td>{{ $row['words'] }}{{ $row['supplier'] === '' ? '' : ", {$row['supplier']}" }}</td>
                                        <td class="num">{{ $row['minor']->text() }}</td>
                                        <td class="num">{{ $row['per']->text() }} <small>{{ $row['per']->formula }}</small></td>
                                        <td class="soft">{{ $row['over'] }} left over</td>
                                    </tr>
                                @endforeach
                            @endforeach
                        </table>
                    </section>
                @endif
            </div>
            <div class="rcol no-print">
                <section class="sheet">
                    <header><h2>When and where</h2></header>
                    <form class="in stack" method="post" action="{{ route('shopping.update', $layout) }}">
                        @csrf
                        @method('patch')
                        @seen
                        <input type="hidden" name="form" value="when">
                        <x-field
                            form="when"
                            name="shop_on"
                            label="You shop on"
                            :value="$shelf->shopOn"
                            hint="what is short is planned from that day on"
                        />
                        <x-field
                            form="when"
                            name="budget"
                            label="To spend at most"
                            :unit="$currency"
                            mode="decimal"
                            :value="$shelf->budget === null ? '' : Decimal::fixed($shelf->budget / 100, 2)"
                        />
                        @foreach ($suppliers as $k => $supplier)
                            <input type="hidden" name="carriage[{{ $k }}][supplier]" value="{{ $supplier }}">
                            <x-field
                                form="when"
                                name="carriage[{{ $k }}][minor]"
                                at="carriage/{{ $supplier }}"
                                :label="'Carriage, '.$supplier"
                                :unit="$currency"
                                mode="decimal"
                                :value="isset($shelf->carriage[$supplier]) ? Decimal::fixed($shelf->carriage[$supplier] / 100, 2) : ''"
                            />
                        @endforeach
                        <div class="acts"><button class="btn quiet">Set</button></div>
                    </form>
                </section>
                <section class="sheet">
                    <header><h2>Prices</h2></header>
                    <p class="in">
                        <a class="link" href="{{ route('shopping.prices', $layout) }}">The price list</a>: packs, shops, what they have.
                    </p>
                </section>
            </div>
        </div>
    </main>
</x-page>
