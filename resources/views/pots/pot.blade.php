<section class="sheet pot-sheet" id="pot">
    @if ($pot)
        <header>
            <div>
                <h2>{{ ucfirst($picked->mixture->title) }}</h2>
                <p class="meta">{{ $picked->mixture->action }}{{ $pot['places'] === [] ? '' : ' · '.implode(' · ', $pot['places']) }}</p>
            </div>
            @if ($pot['plan']->count > 1)
                <p class="of end"><b class="num">{{ $pot['plan']->count }}</b> pots of this</p>
            @endif
        </header>
        <form id="mix" method="post" action="{{ route('pots.mix', $layout) }}">
            @csrf
            @seen
            <input type="hidden" name="pot" value="{{ $picked->id }}">
            @foreach ($query as $key => $value)
                <input type="hidden" name="{{ $key }}" value="{{ $value }}">
            @endforeach
            @if ($cup !== null && ! isset($query['cup']))
                <input type="hidden" name="cup" value="{{ $cup }}">
            @endif
            @if ($scale !== null && ! in_array(null, array_column($pot['lines'], 'scale'), true))
                <div
                    class="weigh"
                    hx-get="{{ route('pots.weigh', $layout) }}"
                    hx-trigger="load"
                    hx-swap="outerHTML"
                    hx-vals="{{ json_encode([...$query, 'pot' => $picked->id, ...$cup === null ? [] : ['cup' => (string) $cup]]) }}"
                >
                    <p class="wh">Set the scale to nothing with the empty cup on it.</p>
                </div>
            @endif
            <div class="pot-body">
                {!! $pot['drawing']->toHtml() !!}
                <ol class="adding" aria-label="In adding order, with what the scale shows">
                    @foreach ($pot['lines'] as $line)
                        <li>
                            <div class="what">
                                <b>{{ $line['material'] }}</b>
                                <span class="wh">{{ $line['words'] }}</span>
                            </div>
                            <span class="plus">+ <b class="num">{{ $line['add'][0] }}</b> {{ $line['add'][1] }}</span>
                            <span class="scale num"
                                >@if ($line['scale'] !== null)
                                    {{ $line['scale'][0] }}<small>{{ $line['scale'][1] }}</small>
                                @else
                                    <small>not weighed</small>
                                @endif</span
                            >
                            @foreach ($line['bases'] as $base)
                                <p class="base">
                                    <b class="num">{{ \IdleRidge\Core\Measure\Format::text($base['ml'], 'ml', 1) }}</b>
                                    {{ $base['base'] }}
                                </p>
                            @endforeach
                            @if ($line['lots'] !== [])
                                <div class="lot">
                                    @if (count($line['lots']) > 1)
                                        <select name="lots[{{ $line['material'] }}]" aria-label="Lot of {{ $line['material'] }}">
                                            @foreach ($line['lots'] as $uid => $words_)
                                                <option value="{{ $uid }}">{{ $words_ }}</option>
                                            @endforeach
                                        </select>
                                    @else
                                        <span class="wh">from {{ reset($line['lots']) }}</span>
                                    @endif
                                </div>
                            @endif
                            @error("lots/{$line['material']}")
                                <p class="fault">{{ $message }}</p>
                            @enderror
                        </li>
                    @endforeach
                </ol>
            </div>
        </form>
        <div class="pot-foot">
            @if ($pot['quick'])
                <p class="ca"><b>Do not mix it now.</b> In this room it sets before it is stirred: cool the room or the water.</p>
            @endif
            <p>
                {{ $pot['limit'] }}
                @if ($pot['within'] !== null)
                    <b>Use it up within {{ $pot['within'] }} min.</b>
                @elseif ($pot['keeps'] !== '')
                    Closed it keeps until {{ $pot['keeps'] }}.
                @endif
            </p>
            @if ($pot['yield'] !== '' && count($pot['lines']) > 1)
                <p class="soft">It comes to {{ $pot['yield'] }}.
                    @if ($pot['alcohol'])
                        {{ \IdleRidge\Core\Measure\Decimal::trimmed(100 * $pot['alcohol'], 0) }} % alcohol by weight.
                    @endif
                </p>
            @endif
            @if ($pot['colour'])
                @include('pots.colour', $pot['colour'])
            @endif
        </div>
    @elseif ($picked)
        <header><h2>{{ ucfirst($picked->mixture->title) }}</h2></header>
        <p class="blank-words">It stands mixed already, and there is enough of it.</p>
    @else
        <p class="blank-words">
            @if ($session === '')
                There is no session ahead: add an evening on the <a href="{{ route('drying.show', $layout) }}">Drying line</a>, or mix a
                pot of your own.
            @else
                What the moves take is weighed and mixed here. Nothing of this session needs a cup; a pot of your own stands beside.
            @endif
        </p>
    @endif
</section>
