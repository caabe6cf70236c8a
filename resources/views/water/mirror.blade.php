@use('IdleRidge\Core\Measure\Format')
@use('IdleRidge\Core\Measure\Decimal')
@php($fit = $page->mirror)
<section class="sheet">
    <header>
        <h2>{{ $fit->mirror->name }}</h2>
        <a class="link" href="{{ $here() }}">All of the board</a>
    </header>
    <p class="in words">
        @if ($fit->view->seen() === 0)
            Nobody sees its face from where people stand.
        @else
            @if ($fit->view->isGood())
                What is seen in it is the scene: {{ $fit->view->seen() }} lines from the eyes, thrown back, meet land or trees.
            @else
                Of {{ $fit->view->seen() }} lines from the eyes, thrown back, {{ $fit->view->scene }} meet the scene,
                {{ $fit->view->viewer }} who looks, {{ $fit->view->beyond }} what lies beyond.
            @endif
        @endif
    </p>
    <form class="in stack" method="post" action="{{ route('mirrors.update', [$layout, $section->uid, $fit->mirror->uid]) }}">
        @csrf
        @method('patch')
        @seen
        <input type="hidden" name="form" value="mirror">
        <x-field form="mirror" name="name" label="Called" :value="$fit->mirror->name" />
        <div class="pair">
            <x-field form="mirror" name="x" label="Along" :value="Format::field($fit->mirror->x)" />
            <x-field form="mirror" name="y" label="From the front" :value="Format::field($fit->mirror->y)" />
        </div>
        <div class="trio">
            <x-field form="mirror" name="width" label="Wide" :value="Format::field($fit->mirror->width)" />
            <x-field form="mirror" name="height" label="High" :value="Format::field($fit->mirror->height)" />
            <x-field form="mirror" name="facing_deg" label="Faces" unit="°" :value="Decimal::trimmed($fit->mirror->facingDeg, 1)"
                mode="decimal" />
        </div>
        <p class="soft">It faces 0° to the right, 90° to the back, −90° to the front.</p>
        @if ($faces)
            <p class="fault">{{ $faces->subject }}. {{ $faces->do }}</p>
        @endif
        <div class="acts">
            <button class="btn">Set it so</button>
            @if ($fit->betterDeg !== null && abs($fit->betterDeg - $fit->mirror->facingDeg) > 0.5)
                <button class="btn quiet" form="turn-mirror">Turn it {{ round(abs($fit->betterDeg - $fit->mirror->facingDeg)) }}°</button>
            @endif
        </div>
    </form>
    @if ($fit->betterDeg !== null)
        <form
            id="turn-mirror"
            method="post"
            action="{{ route('mirrors.update', [$layout, $section->uid, $fit->mirror->uid]) }}"
            hidden
        >
            @csrf
            @method('patch')
            @seen
            <input type="hidden" name="facing_deg" value="{{ $fit->betterDeg }}">
        </form>
    @endif
    <form class="in" method="post" action="{{ route('mirrors.destroy', [$layout, $section->uid, $fit->mirror->uid]) }}">
        @csrf
        @method('delete')
        @seen
        <button class="link">Put the mirror away</button>
    </form>
</section>
