@use('IdleRidge\Core\Findings\FindingGroup')
@if ($findings !== [])
    <section class="sheet">
        <header><h2>Findings</h2></header>
        <ol class="growth-findings">
            @foreach (FindingGroup::of($findings) as $group)
                <li>
                    @foreach ($group->findings as $k => $finding)
                        <i class="tabno">{{ $k + 1 }}</i>
                        <div>
                            <b>{{ $finding->subject }}</b>
                            @foreach ($finding->figures as $name => $figure)
                                <span class="told"
                                    >{{ str_replace('_', ' ', $name) }} <x-figure :figure="$figure" /> {{ $figure->unit() }}</span
                                >
                            @endforeach
                            @if ($loop->last)
                                <p>{{ $group->why }} {{ $group->do }}</p>
                            @endif
                        </div>
                    @endforeach
                </li>
            @endforeach
        </ol>
    </section>
@endif
