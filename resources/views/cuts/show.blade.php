@use('IdleRidge\Core\Measure\Format')
@php($tabs = ['apart' => $shell === null ? 'Taken apart' : 'Ribs', 'turned' => 'To turn', 'sheets' => 'On sheets']
    + ($shell === null ? ['glue' => 'Glue-up'] : ['glue' => 'Shell'])
    + ['risers' => 'Risers', 'edges' => 'Edges', 'board' => 'Frame, weight', 'hidden' => 'Hidden'])
<x-page :title="$section->name . ', cuts'" :layout="$layout" :section="$section" current="cuts">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="cuts.show" />
        <main class="page" id="land">
            <div class="title">
                <h1>{{ $section->name }}</h1>
                <div class="sub">
                    @if ($shell !== null)
                        {{ count($shell->ribs) }} ribs,<br>
                    @elseif (count($cuts->thicknesses()) === 1)
                        {{
                            count($stack->layers) .
                                (count($stack->layers) === 1 ? ' layer of ' : ' layers of ') .
                                Format::length($cuts->first()->thickness, 1)
                        }} foam,<br>
                    @else
                        {{ $stack->words() }} foam,<br>
                    @endif
                    {{ $cuts->school->words() }}
                </div>
                <x-facts :facts="$facts" />
            </div>
            <x-said />
            <div class="grid">
                <div class="col">
                    <section class="sheet profile-sheet cut-sheet" id="cut-sheet">
                        <header>
                            <div class="tools">
                                @foreach ($tabs as $key => $word)
                                    <a
                                        class="tool"
                                        href="{{ route('cuts.show', [$layout, $section->uid, 'layer' => $picked]
                                            + ($key === 'apart' ? [] : ['on' => $key])) }}"
                                        @if ($view === $key) aria-current="true" @endif
                                        >{{ $word }}</a
                                    >
                                @endforeach
                            </div>
                        </header>
                        @include('cuts.' . $view)
                    </section>
                </div>
                <div class="col scrolls">
                    <section class="sheet">
                        <header>
                            <h2>{{ $picked === 0 ? 'No layer' : $names[$picked] }}, flat</h2>
                            <span class="meta">{{
                                $shell === null
                                    ? 'dashed: where the next is glued on'
                                    : 'seen from the left'
                            }}</span>
                        </header>
                        @foreach ($bears as $words)
                            <p class="in bears">{{ ucfirst($words) }}.</p>
                        @endforeach
                        @if ($flat) {!! $flat->toHtml() !!}@endif
                    </section>
                    @include('cuts.compare')
                    @include('cuts.from')
                    @include('cuts.store')
                    @include('cuts.print')
                </div>
            </div>
        </main>
    </div>
</x-page>
