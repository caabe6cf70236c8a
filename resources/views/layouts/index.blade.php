<x-page title="Layouts">
    <main class="page wide" id="land">
        <div class="title">
            <h1>Layouts</h1>
            <div class="sub">
                One sheet a layout: its boards, its runs,<br>
                its land, from bare foam to the last wire.
            </div>
        </div>
        <div class="desk">
            <div class="cards">
                @forelse ($cards as $card)
                    <section class="sheet card-layout">
                        @if ($card['layout']->removed_at !== null)
                            <form class="in away-here" method="post" action="{{ route('layouts.restore', $card['layout']) }}" role="status">
                                @csrf
                                <span>{{ $card['layout']->name }} is put away. Nothing of it is lost.</span>
                                <button class="btn quiet">Bring it back</button>
                            </form>
                        @elseif ($card['broken'])
                            <header>
                                <h2>{{ $card['layout']->name }}</h2>
                                <span class="meta">cannot be read</span>
                            </header>
                            <div class="in stack">@include('layouts.broken', $card['broken'])</div>
                        @else
                            <header>
                                <h2><a href="{{ route('layouts.show', $card['layout']) }}">{{ $card['layout']->name }}</a></h2>
                                <span class="meta">{{ $card['project']->layout->scale->label() }}, {{ $card['layout']->units }}</span>
                                <span class="end meta"
                                    >{{ count($card['project']->sections) }}
                                    {{ count($card['project']->sections) === 1 ? 'section' : 'sections' }},
                                    {{ count($card['project']->runs) }} {{ count($card['project']->runs) === 1 ? 'run' : 'runs' }}</span
                                >
                            </header>
                            <div class="in">
                                @if ($card['boards'])
                                    <a
                                        href="{{ route('layouts.show', $card['layout']) }}"
                                        tabindex="-1"
                                        aria-hidden="true"
                                        >{!! $card['boards']->toHtml() !!}</a
                                    >
                                @else
                                    <p class="soft">No section yet. Open it and add the first board.</p>
                                @endif
                                <div class="acts">
                                    <a class="btn quiet" href="{{ route('layouts.show', $card['layout']) }}">Open</a>
                                    <a class="btn quiet" href="{{ route('layouts.export', $card['layout']) }}">Export</a>
                                    <form class="end" method="post" action="{{ route('layouts.destroy', $card['layout']) }}">
                                        @csrf
                                        @method('DELETE')
                                        <button class="link">Put away</button>
                                    </form>
                                </div>
                            </div>
                        @endif
                    </section>
                @empty
                    <section class="sheet blank">
                        <div class="in">
                            <h2>No layout yet</h2>
                            <p>Three questions, and a board to begin from. Or bring one in from a file.</p>
                            <div class="acts"><a class="btn" href="{{ route('layouts.begin') }}">Begin a layout</a></div>
                        </div>
                    </section>
                @endforelse
            </div>
            <div class="side">
                @if ($cards !== [])
                    <section class="sheet">
                        <header><h2>A new layout</h2></header>
                        <div class="in stack">
                            <p>Three questions, and a board to begin from.</p>
                            <div class="acts"><a class="btn" href="{{ route('layouts.begin') }}">Begin a layout</a></div>
                        </div>
                    </section>
                @endif
                <section class="sheet">
                    <header><h2>From a file</h2></header>
                    <form class="in stack" method="post" action="{{ route('layouts.import') }}" enctype="multipart/form-data">
                        @csrf
                        <div class="field">
                            <label for="f-file">A layout <small>*.ridge.json, or *.ridge.zip with its pictures</small></label
                            ><input
                                id="f-file"
                                type="file"
                                name="file"
                                accept=".json,.zip,application/json,application/zip"
                                @error('file') aria-invalid="true" aria-describedby="f-file-fault" @enderror
                            >
                            @error('file')
                                <div class="fault" id="f-file-fault" role="alert">
                                    @foreach ($errors->get('file') as $line)
                                        <p>{{ $line }}</p>
                                    @endforeach
                                </div>
                            @enderror
                        </div>
                        <div class="acts"><button class="btn quiet">Bring it in</button></div>
                    </form>
                </section>
                @if ($away !== [])
                    <section class="sheet">
                        <header><h2>Put away</h2></header>
                        <ul class="in away">
                            @foreach ($away as $one)
                                <li>
                                    <span class="grow">{{ $one['layout']->name }} <small>{{ $one['on'] }}</small></span>
                                    <a class="link" href="{{ route('layouts.export', $one['layout']) }}">Export</a>
                                    <form method="post" action="{{ route('layouts.restore', $one['layout']) }}">
                                        @csrf
                                        <button class="link">Bring it back</button>
                                    </form>
                                </li>
                            @endforeach
                        </ul>
                    </section>
                @endif
            </div>
        </div>
    </main>
</x-page>
