<x-page title="Nothing was saved">
    <main class="page wide" id="land">
        <div class="title"><h1>Nothing was saved</h1></div>
        <section class="sheet blank">
            <div class="in stack">
                <p class="fault" role="alert">{{ $said }}</p>
                @if ($again !== null)
                    <form class="stack" method="post" action="{{ $again }}">
                        @csrf
                        @php($shown = array_diff_key($typed, ['_method' => '', 'seen' => '', 'form' => '']))
                        @foreach ($typed as $name => $value)
                            <input type="hidden" name="{{ $name }}" value="{{ $value }}">
                        @endforeach
                        @if ($shown !== [])
                            <p>What you typed is here:</p>
                            <table class="points typed-kept">
                                <tbody>
                                    @foreach ($shown as $name => $value) @if ($value !== '' && !Str::isUlid($value))
                                        <tr>
                                            <th scope="row">{{ str_replace(['_mm', '_', '[', ']'], ['', ' ', ' ', ''], $name) }}</th>
                                            <td>{{ $value }}</td>
                                        </tr>
                                    @endif @endforeach
                                </tbody>
                            </table>
                        @endif
                        <div class="acts">
                            <button class="btn">Send it once more</button
                            ><a class="link" href="{{ route('layouts.index') }}">All layouts</a>
                        </div>
                    </form>
                @else
                    <div class="acts"><a class="btn" href="{{ route('layouts.index') }}">All layouts</a></div>
                @endif
            </div>
        </section>
    </main>
</x-page>
