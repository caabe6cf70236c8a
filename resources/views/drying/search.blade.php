@use('IdleRidge\Core\Measure\ClockWords')
@php($told = fn(int $left): string => $left === 0 ? 'It is proven that no plan of this work ends sooner.'
    : 'No plan of this work ends more than ' . ClockWords::span($left) . ' sooner.')
@if ($search === null)
    <form class="in stack" method="post" action="{{ route('search.begin', $layout) }}">
        @csrf
        @seen
        <p class="soft small">
            @if ($gap === null)
                There is nothing to search for.
            @elseif ($gap === 0)
                No plan can end earlier: this one is the best there is.
            @else
                No plan of this work ends more than {{ ClockWords::span($gap) }} earlier. A longer search may find some of it; the plan
                stays
                until you take another.
            @endif
        </p>
        @if (($gap ?? 0) > 0)
            <div class="acts"><button class="btn quiet">Search for twenty seconds</button></div>
        @endif
    </form>
@elseif (!$search['done'])
    <div class="in stack" hx-get="{{ route('search.show', $layout) }}" hx-trigger="every 1s" hx-target="#search">
        <label class="small soft"
            >Searching<progress max="100" value="{{ (int) (100 * $search['share']) }}">
                {{ (int) (100 * $search['share']) }} %
            </progress></label
        >
        <form method="post" action="{{ route('search.end', $layout) }}">
            @csrf
            @seen
            @method('PATCH')
            <button class="link" name="do" value="stop">Stop it</button>
        </form>
    </div>
@else
    <form class="in stack" method="post" action="{{ route('search.end', $layout) }}">
        @csrf
        @seen
        @method('PATCH')
        @php($left = $search['left'] ?? null)
        @if ($search['offer'])
            <p>
                <b>A better plan was found:</b> last hands-on minute {{ $words->moment($search['offer']['last']) }}, all cured
                {{ $words->moment($search['offer']['ready']) }} at {{ $sure }}.
            </p>
            @if ($left !== null)
                <p class="soft small">{{ $told($left) }}</p>
            @endif
            <div class="acts">
                <button class="btn" name="do" value="take">Take it</button><button class="link" name="do" value="leave">Leave it</button>
            </div>
        @else
            <p class="soft small">Nothing better was found. {{ $left === null ? '' : $told($left) }}</p>
            <div class="acts"><button class="link" name="do" value="leave">Good</button></div>
        @endif
    </form>
@endif
