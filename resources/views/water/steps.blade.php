<section class="sheet">
    <header>
        <h2>From the bed up</h2>
        <span class="meta">{{ $page->trial->school->name }}</span>
    </header>
    <ol class="water-steps">
        @foreach ($steps as $step)
            <li>
                <div>
                    <b>{{ $step['title'] }}</b>
                    @if ($step['deep'] !== '')
                        <span class="soft">{{ $step['deep'] }}</span>
                    @endif
                </div>
                <div class="takes">
                    @foreach ($step['takes'] as $takes)
                        <span>{{ $takes }}</span>
                    @endforeach
                    @if ($step['pots'] !== '')
                        <span @class(['soft', 'hot' => $step['hot']])>{{ $step['pots'] }}</span>
                    @endif
                </div>
                <div class="when">
                    <span class="num"
                        ><x-figure :figure="$step['minutes']" /> min, day <x-figure :figure="$step['from']" unit="days on" /></span
                    >
                    <span class="soft">{{ $step['wait'] }}</span>
                </div>
            </li>
        @endforeach
    </ol>
</section>
