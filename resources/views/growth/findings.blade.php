@if ($findings !== [])
    <section class="sheet">
        <header><h2>Findings</h2></header>
        <ol class="growth-findings">
            @foreach ($findings as $k => $finding)
                <li>
                    <i class="tabno">{{ $k + 1 }}</i>
                    <div>
                        <b>{{ $finding->subject }}</b>
                        @foreach ($finding->figures as $name => $figure)
                            <span class="told">{{ str_replace('_', ' ', $name) }} <x-figure :figure="$figure" /> {{ $figure->unit()
                                }}</span>
                        @endforeach
                        <p>{{ $finding->why }} {{ $finding->do }}</p>
                    </div>
                </li>
            @endforeach
        </ol>
    </section>
@endif
