<div
    class="weigh"
    id="weigh"
    hx-get="{{ route('pots.weigh', $layout) }}"
    hx-trigger="{{ $fault === null && $line === null ? 'never' : ($fault === null ? 'load delay:1s' : 'load delay:5s') }}"
    hx-swap="outerHTML"
    hx-vals="{{ json_encode($vals, JSON_THROW_ON_ERROR) }}"
    aria-live="polite"
>
    @if ($fault !== null)
        <p class="wh">{{ $fault }}</p>
    @else
        <input type="hidden" name="factor" value="{{ $factor === '' ? '1' : $factor }}">
        <b class="reading num">{{ $reading[0] }}<small>{{ $reading[1] }}</small></b>
        <div class="to">
            @if ($line === null)
                <span class="nm">All of it is in. Stir.</span>
            @else
                <span class="nm"
                    >{{ ucfirst($line) }}<span
                        >{{ $over ? "{$left} too much" : "{$left} to go, to {$target}" }}</span
                    ></span
                >
            @endif
            <svg @class(['fillbar', 'over' => $over]) viewBox="0 0 100 8" preserveAspectRatio="none" aria-hidden="true">
                <rect class="trough" width="100" height="8" />
                <rect class="there" width="{{ round(100 * $share, 1) }}" height="8" />
            </svg>
            @if ($more !== [])
                <p class="more">
                    {{ $over ? 'Left so,' : 'Still' }} <b>{{ implode(', ', $more) }}</b> more {{ $over ? 'has to come to it' : 'to come' }}
                    {{ $factor === '' ? '' : "(a pot {$factor} times as large)" }}.
                </p>
            @endif
            @if ($over)
                <button
                    class="link"
                    type="button"
                    hx-get="{{ route('pots.weigh', $layout) }}"
                    hx-target="#weigh"
                    hx-swap="outerHTML"
                    hx-vals="{{ json_encode([...$vals, 'left' => '1'], JSON_THROW_ON_ERROR) }}"
                >Leave it so</button>
            @endif
        </div>
    @endif
</div>
