<x-page title="Safe keeping">
    <main class="page wide house-page" id="land">
        <div class="title">
            <h1>Safe keeping</h1>
            <div class="sub">
                A copy a day of all layouts, with their history:<br>
                the newest of seven days and of four weeks stay.
            </div>
        </div>
        <x-said :undo="false" />
        @foreach ($errors->all() as $message)
            <p class="fault" role="alert">{{ $message }}</p>
        @endforeach
        <div class="desk">
            <section class="sheet">
                <header>
                    <h2>Copies</h2>
                    <span class="meta end">{{
                        match (true) {
                            $old === null => 'none yet',
                            $old < 1 => 'the newest is of today',
                            $old === 1 => 'the newest is a day old',
                            default => "the newest is {$old} days old",
                        }
                    }}</span>
                </header>
                @forelse ($copies as $copy)
                    <div class="device copy">
                        <span class="nm">{{ $copy['made'] }}<span>{{ $copy['layouts'] }}</span></span
                        ><span class="num">{{ $copy['size'] }}</span
                        ><a class="link" href="{{ route('keeping.show', $copy['name']) }}" download>Take along</a>
                        <details>
                            <summary class="link">Bring back</summary>
                            <form method="post" action="{{ route('keeping.restore') }}">
                                @csrf
                                <input type="hidden" name="copy" value="{{ $copy['name'] }}">
                                <p class="small">All layouts here become those of this copy. What is here now is copied first.</p>
                                <button class="btn quiet">Bring this back</button>
                            </form>
                        </details>
                    </div>
                @empty
                    <p class="in soft">No copy was made yet.</p>
                @endforelse
            </section>
            <div class="side">
                <section class="sheet">
                    <header><h2>Now</h2></header>
                    <form class="in stack" method="post" action="{{ route('keeping.store') }}">
                        @csrf
                        <p>Nobody has to stop working for it.</p>
                        <div class="acts"><button class="btn">Make a copy</button></div>
                    </form>
                </section>
                <section class="sheet">
                    <header><h2>From another machine</h2></header>
                    <form class="in stack" method="post" enctype="multipart/form-data" action="{{ route('keeping.restore') }}">
                        @csrf
                        <p>Take a copy along there, bring it in here.</p>
                        <label class="file"><span>A copy</span><input type="file" name="file" accept=".zip"></label>
                        <div class="acts"><button class="btn quiet">Bring it back here</button></div>
                        <p class="soft small">
                            What is here now is copied first. A copy over 20 MB comes in by <code>bin/ridge restore FILE</code>.
                        </p>
                    </form>
                </section>
                <section class="sheet">
                    <header><h2>Where it lies</h2></header>
                    <dl class="in read">
                        <div>
                            <dt>Data</dt>
                            <dd><code>{{ $data }}</code></dd>
                        </div>
                        <div>
                            <dt>Copies</dt>
                            <dd><code>{{ $folder }}</code></dd>
                        </div>
                    </dl>
                    <p class="in soft small">A copy on the same disk does not outlive the disk: take one along now and then.</p>
                </section>
            </div>
        </div>
    </main>
</x-page>
