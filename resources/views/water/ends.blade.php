@use('IdleRidge\Core\Measure\Format')
<section class="sheet">
    <header>
        <h2>Where it ends</h2>
        <span class="meta">dams, and what is seen of them</span>
    </header>
    <ul class="due-list growth-list">
        @foreach ($ends as $one)
            <li>
                <b>{{ ($page->body ? '' : $one['end']->name . ', ') . ($one['end']->joint ? 'joint at the ' : '')
                    . $one['end']->edge->value }}</b>
                <span class="num">{{ Format::length($one['end']->width) }}</span>
                <span class="words">{{ $one['words'] }}</span>
                @if ($one['end']->joint === null && ! $one['end']->isViewed)
                    <form method="post" action="{{ route('mirrors.store', [$layout, $section->uid]) }}">
                        @csrf
                        @seen
                        <input type="hidden" name="end" value="{{ $one['end']->water }}:{{ $one['end']->edge->value }}">
                        <button class="link">Set a mirror there</button>
                    </form>
                @endif
            </li>
        @endforeach
    </ul>
</section>
