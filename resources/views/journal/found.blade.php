<x-page title="Find" :layout="$layout" :section="$first">
    <main class="page wide" id="land">
        <div class="title"><h1>Find</h1></div>
        <section class="sheet finding">
            <form class="seek" method="get" action="{{ route('find.show', $layout) }}" role="search">
                <div class="seek-row">
                    <label class="grow"
                        >For
                        <input type="search" name="for" value="{{ $for }}" autocomplete="off"
                    ></label>
                    <button class="btn quiet">Find</button>
                </div>
            </form>
            <div id="found">
                @foreach ($groups as $kind => $rows)
                    <h2>{{ $kind }}</h2>
                    <ul class="due-list">
                        @foreach ($rows as $row)
                            <li><a href="{{ $row['to'] }}">{{ $row['name'] }}</a><span>{{ $row['more'] }}</span></li>
                        @endforeach
                    </ul>
                @endforeach
                @if ($groups === [] && $for !== '')
                    <p class="blank-words">Nothing here is called that, and no entry says it.</p>
                @endif
            </div>
        </section>
    </main>
</x-page>
