@if ($picked === 0)
    <p class="blank-words">There is no land above the board yet, so nothing is to be cut. Raise a hill on Land.</p>
@else
    <div class="turned-stack">
        <div class="turn" data-solids="{{ route('cuts.solids', [$layout, $section->uid], false) }}">
            <canvas tabindex="0" role="img" aria-label="What {{ $section->name }} is cut from, to turn with the arrow keys"></canvas>
            <div class="plain">
                <p>This browser draws nothing that turns; here it stands as a drawing.</p>
                {!! $drawing?->toHtml() !!}
            </div>
        </div>
        @if ($shell === null)
            <label class="apart-by">Apart <input type="range" min="0" max="100" value="60" data-apart></label>
        @endif
    </div>
@endif
