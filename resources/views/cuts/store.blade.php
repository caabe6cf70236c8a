@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
<section class="sheet">
    <header><h2>In store</h2></header>
    <form class="in stack" method="post" action="{{ route('cuts.store', [$layout, $section->uid]) }}">
        @csrf
        @seen
        <table class="points stock">
            <thead>
                <tr>
                    <th scope="col">Thick</th>
                    <th scope="col">wide</th>
                    <th scope="col">deep</th>
                    <th scope="col">how many</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($store->inStore() as ['lot' => $lot, 'count' => $count])
                    <tr>
                        <td>{{ Format::length($lot->thickness, 1) }}</td>
                        <td>{{ Format::length($lot->width) }}</td>
                        <td>
                            {{ Format::length($lot->depth) }}
                            @if ($lot->kind === \IdleRidge\Core\Shelf\SheetKind::Offcut)
                                <small class="soft"> offcut</small>
                            @endif
                        </td>
                        <td>
                            <input type="hidden" name="shown[{{ $lot->uid }}]" value="{{ $count }}"><input
                                name="lots[{{ $lot->uid }}]"
                                value="{{ \App\Http\OldInput::text("lots.{$lot->uid}", $count) }}"
                                inputmode="numeric"
                                aria-label="How many of {{ Format::several([$lot->width, $lot->depth, $lot->thickness], 'mm', 1) }}"
                                autocomplete="off"
                                @if ($errors->has("lots/{$lot->uid}")) aria-invalid="true" @endif
                            >
                        </td>
                    </tr>
                    @if ($errors->has("lots/{$lot->uid}"))
                        <tr>
                            <td colspan="4"><p class="fault">{{ $errors->first("lots/{$lot->uid}") }}</p></td>
                        </tr>
                    @endif
                @endforeach
                <tr>
                    @foreach (['sheet_mm' => 'Thickness', 'sheet_width_mm' => 'Width', 'sheet_depth_mm' => 'Depth', 'count' => 'How many']
                        as $part => $word)
                        <td>
                            <input
                                name="new[{{ $part }}]"
                                value="{{ \App\Http\OldInput::text("new.{$part}") }}"
                                aria-label="{{ $word }} of foam that is not listed"
                                autocomplete="off"
                                @if ($errors->has("new/{$part}")) aria-invalid="true" @endif
                            >
                        </td>
                    @endforeach
                </tr>
                @foreach (['sheet_mm', 'sheet_width_mm', 'sheet_depth_mm', 'count'] as $part) @if ($errors->has("new/{$part}"))
                    <tr>
                        <td colspan="4"><p class="fault">{{ $errors->first("new/{$part}") }}</p></td>
                    </tr>
                @endif @endforeach
            </tbody>
        </table>
        <div class="acts"><button class="btn quiet">Keep the count</button></div>
    </form>
</section>
