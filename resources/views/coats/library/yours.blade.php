@use('IdleRidge\Core\Measure\Format')
@if ($yours !== [])
    <div class="yours">
        <h3>As it came out with you</h3>
        @error('yours')
            <p class="fault">{{ $message }}</p>
        @enderror
        @foreach ($yours as $what => $one)
            @php($figure = fn(float $v): string => Format::field($v, $one['unit'], $one['unit'] === 'min/dm²' ? 2 : 0))
            <form class="yours-row" method="post" action="{{ route('library.learn', [$layout, $picked->id]) }}">
                @csrf
                @seen
                <input type="hidden" name="what" value="{{ $what }}">
                <div>
                    <span>{{ ucfirst($what) }}</span>
                    <b class="num">{{ $figure($one['yours']->median()) }}</b> {{ Format::unit($one['unit']) }}
                    <small
                        >{{ $one['yours']->count() }} {{ $one['yours']->count() === 1 ? 'case' : 'cases' }}{{
                            $one['yours']->count() < 2
                                ? ''
                                : ', '.$figure($one['yours']->low()).' to '.
                                    $figure($one['yours']->high()) }}; the recipe has
                        {{ $figure($one['has']) }}</small
                    >
                </div>
                @if ($one['yours']->areEnough())
                    <button class="btn quiet">Take it over</button>
                @endif
            </form>
        @endforeach
    </div>
@endif
