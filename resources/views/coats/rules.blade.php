@use('IdleRidge\Core\Rulebook\RulePages')
<x-page title="Rule book" :layout="$layout" :section="$first" current="coats">
    <main class="page wide rule-book" id="land">
        <div class="title">
            <h1>Rule book</h1>
            <div class="sub">
                {{ count($book->rules) }} rules in plain words,<br>
                and what they find on {{ $layout->name }} now
            </div>
        </div>
        @foreach (RulePages::CHAPTERS as $key => $chapter)
            <section class="sheet">
                <header><h2>{{ $chapter }}</h2></header>
                <ol class="in rules">
                    @foreach ($book->chapter($key) as $rule)
                        <li id="{{ $rule['id'] }}">
                            <h3>{{ $rule['name'] }}</h3>
                            <p>{{ $rule['what'] }} <span class="soft">{{ $rule['why'] }}</span></p>
                            @if (isset($found[$rule['id']]))
                                <p class="now">
                                    @foreach ($found[$rule['id']] as $finding)
                                        {{ $loop->first ? '' : ' · ' }}<a
                                         class="link" href="{{ $address($finding) }}"><b
                                             class="{{ $finding->severity->value === 'hint' ? 'soft'
                                                 : 'bad' }}">{{ $finding->severity->value }}</b> {{ $finding->subject }},
                                                 {{ $sections[$finding->section] ?? '' }}</a>
                                    @endforeach
                                </p>
                            @endif
                        </li>
                    @endforeach
                </ol>
            </section>
        @endforeach
    </main>
</x-page>
