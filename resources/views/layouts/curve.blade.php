<details class="in">
    <summary>
        <b>{{ $curve['title'] }}</b>
        <span class="soft">{{ $curve['where'] }}, {{ $curve['turn'] }}, chord {{ $curve['chord'] }}</span>
    </summary>
    <div class="offsets" tabindex="0" role="region" aria-label="Offsets of {{ $curve['title'] }}, {{ $curve['where'] }}">
        @foreach ([
            ['from the chord’s middle' . ($curve['even'] ? ', either way' : ''), $curve['fromChord']],
            ['along the tangent from where it begins', $curve['fromTangent']],
        ] as [$caption, $pairs])
            <table>
                <caption>{{ $caption }}</caption>
                @foreach (['along', 'off'] as $k => $word)
                    <tr>
                        <th scope="row">{{ $word }}</th>
                        @foreach ($pairs as $pair) <td class="num">{{ $pair[$k] }}</td> @endforeach
                    </tr>
                @endforeach
            </table>
        @endforeach
    </div>
</details>
