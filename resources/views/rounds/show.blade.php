<x-page title="Rounds" :layout="$layout" :section="$first" current="rounds">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="rounds.card" />
        <main class="page rounds" id="land">
            <div class="title">
                <h1>Rounds</h1>
                <div class="sub">what has to be looked at now,<br>in the order of a walk</div>
                <dl class="facts">
                    <div>
                        <dt>Due</dt>
                        <dd><b class="num">{{ $total }}</b></dd>
                    </div>
                    <div>
                        <dt @class(['bad' => $mends !== []])>Not right</dt>
                        <dd><b class="num">{{ count($mends) }}</b></dd>
                    </div>
                </dl>
            </div>
            <x-said />
            @foreach (['check', 'answer', 'note', 'minutes', 'picture'] as $place)
                @error($place)
                    <p class="fault wide-fault" role="alert">{{ $message }}</p>
                @enderror
            @endforeach
            <div class="rounds-cols">
                <div class="wide-col">
                    @if ($current)
                        <section class="sheet asked" id="asked">
                            <header>
                                <span class="meta"
                                    >{{ $current->moment->value }}{{ $number > 0 ? " · {$number} of {$total}" : ' · put off' }}</span
                                >
                            </header>
                            <h2>{{ $current->asks }}</h2>
                            <p class="how">{{ ucfirst($current->how) }}.</p>
                            <p class="where"><b>{{ $current->section->name }}</b>, {{ $current->where }}</p>
                            {!! $plan->toHtml() !!}
                            <form
                                class="answers"
                                method="post"
                                action="{{ route('rounds.answer', $layout) }}"
                                enctype="multipart/form-data"
                            >
                                @csrf
                                @seen
                                <input type="hidden" name="check" value="{{ $current->key }}">
                                <input type="hidden" name="section" value="{{ $current->section->uid }}">
                                <input type="hidden" name="asks" value="{{ $current->asks }}">
                                <button class="btn answer" name="answer" value="right">Right</button>
                                <button class="btn answer quiet" name="answer" value="later">Later</button>
                                <details @if ($errors->hasAny(['note', 'minutes', 'picture'])) open @endif>
                                    <summary class="btn answer wrong">Not right</summary>
                                    <div class="wrong-fields">
                                        <label class="grow"
                                            >What is wrong
                                            <input
                                                name="note"
                                                maxlength="200"
                                                value="{{ \App\Http\OldInput::text('note', '') }}"
                                                autocomplete="off"
                                        ></label>
                                        <label
                                            >Minutes to put it right
                                            <input
                                                name="minutes"
                                                inputmode="numeric"
                                                value="{{ \App\Http\OldInput::text('minutes', (string) $current->minutes) }}"
                                                autocomplete="off"
                                        ></label>
                                        <label class="grow"
                                            >A picture, if you want
                                            <input type="file" name="picture" accept="image/*" capture="environment"
                                        ></label>
                                        <button class="btn wrong" name="answer" value="not right">It is not right</button>
                                    </div>
                                </details>
                            </form>
                        </section>
                    @else
                        <section class="sheet">
                            <p class="blank-words">
                                Nothing has to be looked at now. Checks come up by themselves: before and after gluing, before the next
                                coat, and in
                                the week before a visit or a show.
                            </p>
                        </section>
                    @endif
                    @include('rounds.stalls')
                </div>
                <div class="rcol">
                    @if ($mends !== [])
                        <section class="sheet mends">
                            <header><h2>Put right first</h2></header>
                            @foreach ($mends as $mend)
                                @include('rounds.mend', ['back' => 'rounds'])
                            @endforeach
                        </section>
                    @endif
                    @foreach ($boards as $board => $checks)
                        <section class="sheet">
                            <header><h2>{{ $board }}</h2></header>
                            <ul class="due-list">
                                @foreach ($checks as $one)
                                    <li @class(['now' => $current?->key === $one->key])>
                                        <a href="{{ route('rounds.show', [$layout, 'check' => $one->key]) }}">{{ $one->asks }}</a
                                        ><span>{{ $one->moment->value }}, {{ $one->where }}</span>
                                    </li>
                                @endforeach
                            </ul>
                        </section>
                    @endforeach
                    @if ($later !== [])
                        <section class="sheet">
                            <header><h2>Later</h2></header>
                            <ul class="due-list">
                                @foreach ($later as $one)
                                    <li>
                                        <a href="{{ route('rounds.show', [$layout, 'check' => $one->key]) }}">{{ $one->asks }}</a
                                        ><span>{{ $one->section->name }}, {{ $one->where }}</span>
                                    </li>
                                @endforeach
                            </ul>
                        </section>
                    @endif
                    @if ($done !== [])
                        <section class="sheet">
                            <header><h2>Looked at today</h2></header>
                            <ul class="due-list said">
                                @foreach ($done as $one)
                                    <li>
                                        {{ $one['asks'] }}<span
                                            
                                            ><b @class(['bad' => $one['answer'] === 'not right'])>{{ $one['answer'] }}</b>,
                                            {{ $one['when'] }}{{
                                                $one['note'] === '' ? '' : ": {$one['note']}" }}</span
                                        >
                                    </li>
                                @endforeach
                            </ul>
                        </section>
                    @endif
                </div>
            </div>
        </main>
    </div>
</x-page>
