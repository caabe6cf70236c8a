<section class="sheet">
    <header>
        <h2>Need and have</h2>
        <span class="meta">all that is planned, waste included</span>
        <a class="meta end" href="{{ route('takeoff.show', $layout) }}">Take-off</a>
    </header>
    @if ($needs === [])
        <p class="blank-words">Nothing is planned that takes anything.</p>
    @else
        <table class="needs">
            <thead>
                <tr>
                    <th scope="col">Material</th>
                    <th scope="col"><span class="visually-hidden">have against need</span></th>
                    <th scope="col" class="n">need</th>
                    <th scope="col" class="n">have</th>
                    <th scope="col" class="n">short</th>
                    <th scope="col">first short</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($needs as $row)
                    <tr @class(['short' => $row['missing'] !== null && $row['known'], 'unknown' => ! $row['known']])>
                        <th scope="row">{{ $row['material'] }}</th>
                        <td>
                            <svg class="need-bar" viewBox="0 0 100 12" preserveAspectRatio="none" aria-hidden="true">
                                <rect class="trough" width="100" height="12" />
                                @if ($row['known'] && $row['missing'] !== null)
                                    <rect
                                        class="gap"
                                        x="{{ 100 * $row['bar'] }}"
                                        width="{{ 100 * max(0, $row['tick'] - $row['bar']) }}"
                                        height="12"
                                    />
                                @endif
                                <rect class="there" width="{{ 100 * $row['bar'] }}" height="12" />
                                <path class="need" d="M{{ 100 * $row['tick'] - 0.6 }} -1V13" />
                            </svg>
                        </td>
                        <td class="n"><b class="num">{{ $row['need'][0] }}</b> {{ $row['need'][1] }}</td>
                        <td class="n">
                            @if ($row['known'])
                                <b class="num">{{ $row['have'][0] }}</b> {{ $row['have'][1] }}
                            @else
                                <span class="soft">not counted</span>
                            @endif
                        </td>
                        <td class="n">
                            @if ($row['missing'] !== null && $row['known'])
                                <b class="num">{{ $row['missing'][0] }}</b> {{ $row['missing'][1] }}
                            @endif
                        </td>
                        <td>
                            {{ $row['known'] ? $row['first'] : '' }}
                            @if ($row['missing'] !== null)
                            <a
                                class="instead"
                                href="{{ route('shelf.show', [$layout, 'instead' => $row['material']]) }}#instead"
                                aria-label="Instead of {{ $row['material'] }}"
                                >instead</a
                            >
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</section>
