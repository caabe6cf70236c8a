<section class="sheet">
    <header><h2>Here is water</h2></header>
    @if ($bodies === [])
        <p class="blank-words">
            None yet. Draw a bank or a stream on <a href="{{ route('land.show', [$layout, $section->uid]) }}">Land</a>: what it holds,
            where it would run out, its dams, pours and days are worked out here.
        </p>
    @endif
    <ul class="due-list growth-list">
        @foreach ($bodies as $one)
            <li>
                <a href="{{ $here(['pick' => $one['uid']]) }}"><b>{{ $one['name'] }}</b></a>
                <span class="num">{{ $one['ml'] }}</span>
                <span class="words @if ($one['bad']) bad @endif">{{ $one['words'] }}</span>
            </li>
        @endforeach
        @foreach ($page->survey->mirrors as $fit)
            <li>
                <a href="{{ $here(['mirror' => $fit->mirror->uid]) }}"><b>{{ $fit->mirror->name }}</b></a>
                <span class="num">{{ $fit->view->isGood() ? 'shows the scene' : 'look at it' }}</span>
            </li>
        @endforeach
    </ul>
</section>
@if ($ends !== [])
    @include('water.ends')
@endif
