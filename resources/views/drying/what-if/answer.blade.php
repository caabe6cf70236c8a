<section class="sheet">
    <header><h2>{{ $said === [] ? 'As it is' : 'As it would be' }}</h2></header>
    @if ($said !== [])
        <p class="in tight">{{ ucfirst(implode(', ', $said)) }}.</p>
    @endif
    @if (!$hasPlan)
        <p class="in soft">Nothing is planned yet: zones and their coats are made on Coats.</p>
    @endif
    <table class="layers what-if">
        <thead>
            <tr>
                <td></td>
                <th scope="col">now</th>
                @if ($said !== [])
                    <th scope="col">then</th>
                    <td></td>
                @endif
            </tr>
        </thead>
        <tbody>
            @foreach ($rows as $row)
                <tr>
                    <th scope="row">{{ $row['label'] }}</th>
                    <td>{{ $row['now'] }}</td>
                    @if ($row['then'] !== null)
                        <td @class(['good' => $row['better'] < 0, 'bad' => $row['better'] > 0])>
                            <b>{{ $row['then'] }}</b>
                        </td>
                        <td class="word">
                            {{
                                ['-1' => 'better', '0' => 'the same', '1' => 'worse'][
                                    (string) $row['better']
                                ]
                            }}
                        </td>
                    @endif
                </tr>
            @endforeach
        </tbody>
    </table>
    @if ($said !== [])
        <form class="in" method="post" action="{{ route('what-if.keep', $layout) }}">
            @csrf
            @seen
            @foreach ($kept as $key => $value) @if (is_scalar($value))
                <input type="hidden" name="{{ $key }}" value="{{ $value }}">
            @endif @endforeach
            <div class="acts">
                <button class="btn">Keep it</button><a class="link" href="{{ route('what-if.show', $layout) }}">Leave it</a>
            </div>
        </form>
    @endif
    @if ($moved !== [])
        <h3 class="in">What moves to another day</h3>
        <ul class="rows">
            @foreach ($moved as $one)
                <li>
                    <span><b>{{ $one['title'] }}</b> <span class="wh">{{ $one['place'] }}</span></span
                    ><span class="num">{{ $one['now'] }} → {{ $one['then'] }}</span>
                </li>
            @endforeach
        </ul>
    @endif
</section>
