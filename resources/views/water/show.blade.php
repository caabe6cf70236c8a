@php($here = fn(array $more = []): string => route('water.show', [$layout, $section->uid] + $more))
<x-page :title="$section->name . ', water'" :layout="$layout" :section="$section" current="water">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="water.show" />
        <main class="page water" id="land">
            <div class="title">
                <h1>{{ $section->name }}</h1>
                <div class="sub">what stands and runs here,<br>from its bed to its last coat</div>
                <x-facts :facts="$facts" />
            </div>
            <x-said />
            <div id="faults" role="alert"></div>
            @foreach ([...$errors->get('end'), ...$errors->get('of'), ...$errors->get('work')] as $message)
                <p class="fault wide-fault" role="alert">{{ $message }}</p>
            @endforeach
            <div class="grid">
                <div class="col">
                    <section class="sheet plan-sheet growth-sheet">
                        <header>
                            <h2>Plan</h2>
                            <span class="hint meta">{{
                                $page->body === null
                                    ? 'pick a water or a mirror'
                                    : 'bed coloured by depth; dashed: where it would run'
                            }}</span>
                            <div class="tools last">
                                <a class="tool" href="{{ route('land.show', [$layout, $section->uid]
                                    + ($page->body === null ? [] : ['pick' => $page->body->uid])) }}">Shape it</a>
                                <button class="tool" type="submit" form="page-undo" @disabled($next['undo'] === null)
                                    title="{{ $next['undo'] }}">Undo</button>
                                <button class="tool" type="submit" form="page-redo" @disabled($next['redo'] === null)
                                    title="{{ $next['redo'] }}">Redo</button>
                            </div>
                        </header>
                        <div class="plan-hold">{!! $plan->toHtml() !!}</div>
                    </section>
                    @if ($cut)
                        <section class="sheet">
                            <header>
                                <h2>Cut through {{ $page->body->called() }}</h2>
                                <span class="meta">{{
                                    $page->body->isStream
                                        ? 'along its line'
                                        : 'across its deepest place' . ($page->isPoured() ? ', pour by pour' : '')
                                }}</span>
                            </header>
                            {!! $cut->toHtml() !!}
                        </section>
                    @endif
                    @if ($steps !== [])
                        @include('water.steps')
                    @endif
                </div>
                <div class="col scrolls" tabindex="0" aria-label="What is known of it">
                    @if ($page->mirror)
                        @include('water.mirror')
                    @elseif ($page->body)
                        @include('water.body')
                    @else
                        @include('water.list')
                    @endif
                    @include('growth.findings')
                    @include('water.take')
                </div>
            </div>
        </main>
    </div>
</x-page>
