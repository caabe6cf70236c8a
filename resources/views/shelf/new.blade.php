<section class="sheet">
    <header><h2>Put on the shelf</h2></header>
    <form class="in stack" method="post" action="{{ route('shelf.store', $layout) }}">
        @csrf
        @seen
        <input type="hidden" name="form" value="new">
        <div class="field">
            <label for="new-material">Material</label>
            <select id="new-material" name="material">
                <option value="">choose</option>
                @foreach ($materials as $name => $unit)
                    <option value="{{ $name }}" @selected(old('form') === 'new' && old('material') === $name)>
                        {{ $name }} ({{ \IdleRidge\Core\Measure\Format::unit($unit) }})
                    </option>
                @endforeach
            </select>
            @if (old('form') === 'new')
                @error('material')
                    <p class="fault">{{ $message }}</p>
                @enderror
            @endif
        </div>
        <div class="trio">
            <x-field form="new" name="pack" label="A pack holds" mode="decimal" />
            <x-field form="new" name="count" label="packs" value="1" mode="numeric" />
            <x-field form="new" name="share" label="or a share" />
        </div>
        <div class="trio">
            <x-field form="new" name="price" label="Each" :unit="$currency" mode="decimal" />
            <x-field form="new" name="supplier" label="from" />
            <x-field form="new" name="mark" label="mark" />
        </div>
        <div class="acts"><button class="btn quiet">Put it there</button></div>
    </form>
    <form class="in stack file-row" method="post" action="{{ route('shopping.import', [$layout, 'stock']) }}" enctype="multipart/form-data">
        @csrf
        @seen
        <label class="link" for="stock-file">Take in a table of stock</label>
        <input id="stock-file" type="file" name="file" accept=".csv,text/csv">
        <button class="btn quiet">Take it in</button>
    </form>
</section>
