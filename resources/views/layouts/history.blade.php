<x-page :title="$layout->name . ', history'" :layout="$layout" :section="$first" current="settings">
    <main class="page wide" id="land">
        <x-sheet-head :layout="$layout" on="history.show" :next="$next" />
        <x-said />
        <section class="sheet history-sheet">
            <header>
                <h2>History</h2>
                <span class="meta">undo and redo go back across restarts; a copy leaves everything as it is</span>
                <form class="end history-for" method="get" action="{{ route('history.show', $layout) }}" role="search">
                    <input
                        type="search"
                        name="for"
                        value="{{ $words }}"
                        placeholder="words of a step"
                        aria-label="Only steps with these words"
                    >
                    <button class="btn quiet small">Filter</button>
                </form>
            </header>
            @error('step') <p class="fault wide-fault" role="alert">{{ $message }}</p> @enderror
            @forelse ($days as $day => $steps)
                <h3 class="in">{{ $day }}</h3>
                <ol class="history-steps">
                    @foreach ($steps as $step)
                        <li>
                            <span class="num soft">{{ $step['at'] }}</span>
                            <span @class(['soft' => $step['turned']])>{{ $step['sentence'] }}</span>
                            <span class="soft">{{ $step['what'] }}</span>
                            @if ($step['id'] === $newest)
                                <span class="soft">as it is now</span>
                            @else
                                <form method="post" action="{{ route('history.copy', [$layout, $step['id']]) }}">
                                    @csrf
                                    <button
                                        class="link"
                                        aria-label="A copy as it was then, after {{ $step['sentence'] }}, {{ $step['at'] }}"
                                        >A copy as it was then</button>
                                </form>
                            @endif
                        </li>
                    @endforeach
                </ol>
            @empty
                <p class="in soft">{{ $words === '' ? 'Nothing has been changed yet.' : 'No step has these words.' }}</p>
            @endforelse
            @if ($earlier !== null)
                <p class="in">
                    <a class="link" href="{{ route('history.show', [$layout, 'before' => $earlier, 'for' => $words]) }}">Earlier</a>
                </p>
            @endif
        </section>
    </main>
</x-page>
