@use('IdleRidge\Core\Measure\Decimal')
@if ($yours !== [])
    <div class="yours">
        <h3>As it came out with you</h3>
        @error('yours')
            <p class="fault">{{ $message }}</p>
        @enderror
        @foreach ($yours as $what => $one)
            @php($decimals = $one['unit'] === 'min/dm²' ? 2 : 0)
            <form class="yours-row" method="post" action="{{ route('library.learn', [$layout, $picked->id]) }}">
                @csrf
                @seen
                <input type="hidden" name="what" value="{{ $what }}">
                <div>
                    <span>{{ ucfirst($what) }}</span>
                    <b class="num">{{ Decimal::trimmed($one['yours']->median(), $decimals) }}</b> {{ $one['unit'] }}
                    <small
                        >{{ $one['yours']->count() }} {{ $one['yours']->count() === 1 ? 'case' : 'cases' }}{{
                            $one['yours']->count() < 2
                                ? ''
                                : ', '.Decimal::trimmed($one['yours']->low(), $decimals).' to '.
                                    Decimal::trimmed($one['yours']->high(), $decimals) }}; the recipe has
                        {{ Decimal::trimmed($one['has'], $decimals) }}</small
                    >
                </div>
                @if ($one['yours']->areEnough())
                    <button class="btn quiet">Take it over</button>
                @endif
            </form>
        @endforeach
    </div>
@endif
