@use('IdleRidge\Core\Measure\Format')
@use('IdleRidge\Core\Measure\Decimal')
@php($body = $page->body)
@php($made = $page->plan)
<section class="sheet">
    <header>
        <h2>{{ $body->called() }}</h2>
        <span class="meta">{{ $body->isStream ? 'stream' : 'water at ' . Format::length($body->level, 1) }}</span>
        @if (count($bodies) + count($page->survey->mirrors) > 1)
            <a class="link" href="{{ $here() }}">All of the board</a>
        @endif
    </header>
    <p class="in words">
        @if ($body->runsOut())
            <b class="bad">It runs out</b> {{ $page->survey->ways[$body->uid] }}.
        @elseif ($body->spill === null)
            Dams hold it all round.
        @else
            It may rise {{ Format::length($body->margin(), 1) }}; then it runs {{ $page->survey->ways[$body->uid] }}.
        @endif
        Its shore is {{ Format::length($body->shore) }} long.
    </p>
    @if ($done)
        <p class="in words">
            Last hands on <b>{{ $done['last'] }}</b>, clear through by <b>{{ $done['day'] }}</b>. Its work is the zone
            <a href="{{ route('coats.show', [$layout, $section->uid, 'zone' => $page->zone->uid]) }}">{{ $page->zone->name }}</a>.
        </p>
    @elseif ($page->zone)
        <p class="in words">
            Its work is the zone
            <a href="{{ route('coats.show', [$layout, $section->uid, 'zone' => $page->zone->uid]) }}">{{ $page->zone->name }}</a>; no
            session holds all of it yet.
        </p>
    @endif
    @if ($over)
        <p class="in words">
            The zone <a href="{{ route('coats.show', [$layout, $section->uid, 'zone' => $over->uid]) }}">{{ $over->name }}</a> lies over it
            already, with water among its coats.
        </p>
    @endif
    <form class="in stack" method="post" action="{{ route('waters.update', [$layout, $section->uid, $body->uid]) }}">
        @csrf
        @method('patch')
        @seen
        <input type="hidden" name="form" value="made">
        <fieldset class="made">
            <legend>Made of · days until clear, hours hands on</legend>
            @foreach ($schools as $one)
                <label>
                    <input type="radio" name="school" value="{{ $one['key'] }}" @checked(
                        (old('form') === 'made' ? old('school') : $made->school) === $one['key'])>
                    <span class="name">{{ $one['name'] }}</span>
                    <span class="num"
                        >@if ($one['days']){{ $one['days']->text() }} d, {{ $one['hours']->text() }} h @else – @endif</span
                    >
                    <small>{{ $one['why'] ?: $one['suits'] }}</small>
                </label>
            @endforeach
            @error('school')
                <p class="fault">{{ $message }}</p>
            @enderror
        </fieldset>
        @if ($fault)
            <p class="fault" role="alert">{{ $fault }}</p>
        @endif
        <div class="trio">
            @if (! $body->isStream)
                <x-field form="made" name="level" label="Its level" :value="Format::field($body->level)" hint="over the datum" />
            @endif
            <x-field form="made" name="fill" at="fill_mm" label="Filled, deep"
                :value="$made->fill === null ? '' : Format::field($made->fill)" hint="empty: to its level" />
            <x-field form="made" name="pot_g" label="Largest pot" :unit="Format::unit('g')"
                :value="$made->potG === null ? '' : Format::field($made->potG, 'g', 0)" mode="decimal" hint="empty: stays cool" />
        </div>
        @error('fill')
            <p class="fault">{{ $message }}</p>
        @enderror
        <div class="trio">
            <x-field form="made" name="coats" label="Coats of gloss" :value="$made->coats ?? ''" mode="numeric" hint="empty: as usual" />
            <x-field form="made" name="bands" label="Colours" :value="$made->bands" mode="numeric" hint="of its bed, by depth" />
            <x-choice form="made" name="dark_rim" label="Darkest" :value="$made->darkRim ? '1' : '0'"
                :options="['0' => 'middle', '1' => 'rim']" />
        </div>
        <div class="acts">
            <button class="btn @if ($page->zone === null && ! $over) quiet @endif">Plan it so</button>
            @if ($page->zone === null)
                <button class="btn @if ($over) quiet @endif" form="put-water">Put it among the work</button>
            @endif
        </div>
    </form>
    <form id="put-water" method="post" action="{{ route('waters.work', [$layout, $section->uid, $body->uid]) }}" hidden>
        @csrf
        @seen
    </form>
</section>
<section class="sheet">
    <header>
        <h2>Its bed</h2>
        <span class="meta">painted by depth in one sitting, wet into wet</span>
    </header>
    <table class="distances beds">
        <thead>
            <tr>
                <th scope="col">Depth</th><th scope="col">Mixed</th><th scope="col">Area</th><th scope="col">Paint</th>
            </tr>
        </thead>
        <tbody>
            @foreach ($bands as $band)
                <tr>
                    <td class="num"
                        ><svg viewBox="0 0 10 10" aria-hidden="true"><rect width="10" height="10" fill="{{ $band['hex'] }}" /></svg>
                        {{ $band['words'] }}</td
                    >
                    <td>{{ $band['mix'] }}</td>
                    <td class="num"><x-figure :figure="$band['area']" /> {{ $band['area']->unit() }}</td>
                    <td class="num">@if ($band['ml'])<x-figure :figure="$band['ml']" /> {{ $band['ml']->unit() }} @endif</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <form class="in shore" method="post" action="{{ route('waters.shore', [$layout, $section->uid, $body->uid]) }}">
        @csrf
        @seen
        <input type="hidden" name="form" value="shore">
        <div class="pair">
            <x-field form="shore" name="shore" label="Shore about it" :value="Format::field(12.0)" />
            <div class="acts"><button class="btn quiet">Make it a zone</button></div>
        </div>
    </form>
</section>
@if ($body->dams !== [])
    <section class="sheet">
        <header>
            <h2>Dams</h2>
            <span class="meta">before any water, and tried with water</span>
        </header>
        <ul class="due-list growth-list">
            @foreach ($body->dams as $dam)
                <li>
                    <b>{{ $dam->joint ? 'joint at the ' : '' }}{{ $dam->edge->value }}, from {{ Format::length($dam->from) }}</b>
                    <span class="num">{{ Format::length($dam->length()) }} × {{ Format::length($dam->height()) }}</span>
                    <span class="words">{{ $dam->hold() }}</span>
                    <span class="words">{{ $dam->seal() }}</span>
                </li>
            @endforeach
        </ul>
    </section>
@endif
@if ($body->isStream)
    <section class="sheet">
        <header>
            <h2>Reaches and falls</h2>
            <span class="meta">{{ count($body->falls) }} {{ count($body->falls) === 1 ? 'fall' : 'falls' }}, by hand</span>
        </header>
        <ul class="due-list growth-list">
            @foreach ($body->reaches as $reach)
                <li>
                    <b>{{ Format::length($reach->from) }} to {{ Format::length($reach->to) }}</b>
                    <span class="num">{{ Format::text($reach->curve->volume() / 1000, 'ml', 1) }}</span>
                    <span class="words"
                        >falls {{ Format::length($reach->drop(), 1) }}, {{ Decimal::trimmed($reach->slopeDeg(), 1) }}°; a pour needs
                        {{ $reach->dams(max(0.5, $reach->curve->most / 2)) }} small dams, thin gloss none</span
                    >
                </li>
            @endforeach
            @foreach ($body->falls as $fall)
                <li>
                    <b>at {{ Format::length($fall->from) }}</b>
                    <span class="words">{{ $fall->words() }}</span>
                </li>
            @endforeach
        </ul>
    </section>
@endif
@if ($sheetCut)
    <section class="sheet">
        <header>
            <h2>Cut from sheet</h2>
            <span class="meta"
                >{{ Format::length($sheetCut->sheet->width) }} × {{ Format::length($sheetCut->sheet->height) }}</span
            >
        </header>
        <p class="in words">
            {{ $sheetCut->sheets() === 1 ? '1 sheet' : $sheetCut->sheets() . ' sheets' }} for
            {{ count($sheetCut->pieces) === 1 ? '1 piece' : count($sheetCut->pieces) . ' pieces' }}, the largest
            {{ Format::length($sheetCut->size()[0]) }} × {{ Format::length($sheetCut->size()[1]) }} with
            {{ Format::length($sheetCut->sheet->tuck) }} all round to tuck under;
            @if ($sheetCut->seams > 0)
                {{ $sheetCut->seams === 1 ? 'one seam' : $sheetCut->seams . ' seams' }}, under a ripple.
            @endif
            {{ Format::text($sheetCut->rest() / 100, 'cm²') }} are left, a strip of
            {{ Format::length($sheetCut->strip()) }} whole. Glaze under it and over it.
        </p>
    </section>
@endif
@if ($ends !== [])
    @include('water.ends')
@endif
