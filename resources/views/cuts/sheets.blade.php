@use('IdleRidge\Core\Measure\Format')
@if ($laid === null)
    <p class="blank-words">There is no land above the board yet, so nothing is to be cut. Raise a hill on Land.</p>
@else
    <p class="in small sheets-foot">
        @if ($laid->round < $rounds)
            <span class="meta">{{ $looking ? 'Looking closer' : 'A first layout' }}</span>
            <progress max="{{ $rounds }}" value="{{ $laid->round }}" aria-label="How far the closer look is"></progress>
            @if ($looking)
                <a class="link" href="{{ route('cuts.show', [$layout, $section->uid, 'layer' => $picked, 'on' => 'sheets']) }}">Stop</a
                ><span
                    hx-get="{{ route('cuts.show', [$layout, $section->uid, 'layer' => $picked, 'on' => 'closer']) }}"
                    hx-trigger="load"
                    hx-target="#land"
                    hx-select="#land"
                    hx-swap="outerHTML"
                ></span>
            @else
                <button
                    type="button"
                    class="link"
                    hx-get="{{ route('cuts.show', [$layout, $section->uid, 'layer' => $picked, 'on' => 'closer']) }}"
                    hx-target="#land"
                    hx-select="#land"
                    hx-swap="outerHTML"
                >
                    Look closer
                </button>
            @endif
        @else
            <span class="meta">The best of {{ $rounds }} closer looks.</span>
        @endif
        <span>
            @if ($laid->unplaced() !== [])
                <b class="bad">Fits no sheet: {{ implode(', ', $laid->unplaced()) }}.</b>
            @endif
            @if ($laid->offcuts() !== [])
                Left over:
                @foreach (array_slice($laid->offcuts(), 0, 4) as $strip)
                    <span class="num">{{ Format::several([$strip['width'], $strip['height']], 'mm') }}</span>{{ $loop->last ? '.' : ',' }}
                @endforeach
            @endif
            @if ($laid->pieces->parted !== [])
                Parted with a butt joint: {{ implode(', ', $laid->pieces->parted) }}.
            @endif
            @if ($laid->pieces->filler !== [])
                {{ count($laid->pieces->filler) }} {{ count($laid->pieces->filler) === 1 ? 'speck' : 'specks' }} under {{
                    Format::text(4, 'cm²') }} left to filler.
            @endif
        </span>
    </p>
    <div class="cut-hold">{!! $drawing->toHtml() !!}</div>
    <form class="in small cut-now" method="post" action="{{ route('cuts.cut', [$layout, $section->uid]) }}">
        @csrf
        @seen
        <button class="btn quiet">These are cut</button>
        <span class="soft">{{
            $taken === []
                ? 'takes the sheets from store and puts what is left over into it'
                : count($taken) .
                    (count($taken) === 1 ? ' sheet was' : ' sheets were') .
                    ' taken for ' .
                    $section->name .
                    ' already'
        }}</span>
        @error('cuts')
            <p class="fault">{{ $message }}</p>
        @enderror
    </form>
@endif
