@use('IdleRidge\Core\Findings\FindingGroup')
<ol class="findings">
    @foreach (FindingGroup::of(array_column($findings, 'finding')) as $group)
        <li>
            @foreach ($group->findings as $k => $finding)
                <i class="tab-no num">{{ $findings[$k]['number'] }}</i>
                <div>
                    <b>{{ $finding->subject }}</b> <span class="num">{{ $findings[$k]['where'] }}</span>
                    <div class="figs">
                        @foreach ($finding->figures as $name => $figure)
                            <span>{{ str_replace('_', ' ', $name) }} <x-figure :figure="$figure" /> {{ $figure->unit() }}</span>
                        @endforeach
                    </div>
                    @if ($loop->last)
                        <p>{{ $group->why }} {{ $group->do }}</p>
                    @endif
                    @if ($finding->id === 'wall-needed')
                        <button
                            type="button"
                            class="link"
                            hx-post="{{ $here('runs.wall', [$finding->place->run]) }}"
                            hx-vals='@json(['side' => $finding->place->side?->value, 'from' => $finding->place->fromMm, 'to' =>
                                $finding->place->toMm])'
                            hx-target="#land"
                            hx-include="#look"
                        >
                            Place the wall
                        </button>
                    @endif
                </div>
            @endforeach
        </li>
    @endforeach
</ol>
