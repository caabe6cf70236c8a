@use('IdleRidge\Core\Findings\FindingGroup')
@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
@php($state = $coat['state'])
@php($recipe = $state->coat->recipe)
<header>
    <h2>{{ $state->coat->title() }}</h2>
    <x-state
        class="end"
        :state="$state->state"
        :word="$state->isWhole() || $state->laid === 0 ? null : $state->state->value . ' ' . $state->laid . ' of ' . $state->all"
    />
</header>
<p class="in tight soft">{{ $coat['when'] }}</p>
<div id="faults" role="alert">
    @if ($errors->any() && old('form') === 'coat')
        <ul class="fault-list">
            @foreach ($errors->all() as $error)
                <li>{{ $error }}</li>
            @endforeach
        </ul>
    @endif
    @error('coat')
        <p class="fault in">{{ $message }}</p>
    @enderror
</div>
<div class="cure">
    @if ($coat['ring']) {!! $coat['ring']->toHtml() !!}@endif
    <ul>
        @foreach ($coat['milestones'] as $m)
            <li>
                @if ($m['strong'])
                    <b>{{ $m['word'] }}</b>
                @else
                    {{ $m['word'] }}
                @endif
                <span>{{ $m['text'] }}</span>
            </li>
        @endforeach
    </ul>
</div>
@if ($coat['why'] !== '')
    <div class="blk">
        <h3>Why not sooner</h3>
        <p>{{ ucfirst(rtrim($coat['why'], '.')) }}.</p>
    </div>
@endif
@if ($coat['lots'] !== '')
    <div class="blk">
        <h3>From</h3>
        <p>{{ ucfirst($coat['lots']) }}.</p>
    </div>
@endif
@if ($coat['acts'] !== [])
    <div class="blk">
        <h3>In one go</h3>
        <x-act :turns="$coat['acts']" />
    </div>
@endif
@if (($coat['pieces']['lines'] ?? []) !== [])
    <div class="blk">
        <h3>Grain and pieces</h3>
        <ul class="grain">
            @foreach ($coat['pieces']['lines'] as $line)
                <li>{{ $line }}</li>
            @endforeach
        </ul>
        @if ($coat['pieces']['values']['joint'] !== '')
            <p class="small">
                Measuring stick at full size:
                <a class="link" href="{{ $here('coats.stick', [$zone->uid, $state->coat->uid, 'pdf']) }}">PDF</a>
                <a class="link" href="{{ $here('coats.stick', [$zone->uid, $state->coat->uid, 'svg']) }}">SVG</a>
            </p>
        @endif
    </div>
@endif
@if ($coat['strips'] !== null)
    <div class="blk">
        <h3>{{ $coat['strips']['title'] }}</h3>
        {!! $coat['strips']['drawing']->toHtml() !!}
        <ol class="strip-areas">
            @foreach ($coat['strips']['areas'] as $strip)
                <li><b>{{ $strip['number'] }}</b> <x-figure :figure="$strip['area']" /> {{ $strip['area']->unit() }}</li>
            @endforeach
        </ol>
    </div>
@endif
<div class="blk">
    <h3>{{ $coat['used'] ? 'Went in' : 'Goes in, waste included' }}</h3>
    <table class="take">
        @foreach ($coat['amounts'] as $amount)
            @php([$shown, $unit] = $amount->words(false))
            <tr>
                <th scope="row">{{ $amount->material }}</th>
                <td class="num">{{ $shown }}</td>
                <td class="u">{{ $unit }}</td>
            </tr>
        @endforeach
    </table>
    @if ($coat['moves'] > 0)
        <p class="soft small">
            {{ $coat['minutes'] }} min of work in {{ $coat['moves'] }} {{ $coat['moves'] === 1 ? 'move' : 'moves' }}. <a class="link"
                href="{{ route('library.show', [$layout, 'recipe' => $recipe->base()]) }}">{{ $recipe->provenance->value === 'yours'
                    ? 'Figures are yours' : 'Starting values' }}</a>
        </p>
    @endif
</div>
<div class="blk">
    <h3>Rules</h3>
    <dl class="rl">
        @foreach ($coat['needs'] as $need)
            <dt>before</dt>
            <dd>{{ $need }}</dd>
        @endforeach
        @if ($coat['air'] !== '')
            <dt>air</dt>
            <dd>{{ $coat['air'] }}</dd>
        @endif
        @if ($coat['window'] !== '')
            <dt>window</dt>
            <dd>{{ $coat['window'] }}</dd>
        @endif
        @if ($coat['spread'] !== '')
            <dt>spread</dt>
            <dd>{{ $coat['spread'] }}</dd>
        @endif
        @if ($coat['learned'] !== '')
            <dt>learned</dt>
            <dd>{{ $coat['learned'] }}</dd>
        @endif
        <dt>stage</dt>
        <dd>{{ $recipe->stage->word() }}</dd>
        @if ($recipe->check !== '')
            <dt>check</dt>
            <dd>{{ $recipe->check }}</dd>
        @endif
        @if ($recipe->undo !== '')
            <dt>undo</dt>
            <dd>{{ $recipe->undo }}</dd>
        @endif
    </dl>
</div>
@foreach (FindingGroup::of($findings) as $group)
    <div class="blk finding">
        <p><x-found :group="$group" /></p>
    </div>
@endforeach
@if ($recipe->cautions !== [])
    <div class="cau">
        @foreach ($recipe->cautions as $caution)
            <p><b>{{ Format::sentence($caution['do']) }}</b> {{ $caution['why'] }}</p>
        @endforeach
    </div>
@endif
@if ($coat['strip'] !== null)
    <details class="blk strip-off">
        <summary>Strip and redo</summary>
        <p class="small">
            {{ ucfirst($coat['strip']['how']) }}{{ $coat['strip']['how'] === '' ? '' : '.' }}
            @if ($coat['strip']['with'] !== [])
                <b>{{ implode(' and ', $coat['strip']['with']) }}</b>
                {{ count($coat['strip']['with']) === 1 ? 'lies over it and goes' : 'lie over it and go' }}
                too.
            @endif
        </p>
        <dl class="read">
            @foreach ($coat['strip']['rows'] as $row)
                <div>
                    <dt>{{ $row['label'] }}</dt>
                    <dd><x-figure :figure="$row['figure']" /> <small>{{ $row['after'] ?? $row['figure']->unit() }}</small></dd>
                </div>
            @endforeach
            @if ($coat['strip']['wet'])
                <div>
                    <dt>Dry again, 50–90 %</dt>
                    <dd>{{ $coat['strip']['dry'] }}</dd>
                </div>
            @endif
        </dl>
        <form method="post" action="{{ $here('coats.strip', [$zone->uid, $state->coat->uid]) }}">
            @csrf
            @seen
            <button class="btn quiet">It is stripped</button>
        </form>
    </details>
@endif
<form class="blk stack" method="post" action="{{ $here('coats.update', [$zone->uid, $state->coat->uid]) }}">
    @csrf
    @seen
    @method('PATCH')
    <input type="hidden" name="form" value="coat">
    <div class="pair three">
        <x-field
            form="coat"
            name="mm"
            label="Thickness"
            :unit="Format::unit('mm')"
            :value="Format::field($state->coat->mm)"
        /><x-field
            form="coat"
            name="share"
            label="Covers"
            unit="%"
            :value="Decimal::trimmed(100 * $state->coat->share, 1)"
            mode="decimal"
        /><x-field form="coat" name="passes" label="Passes" :value="$state->coat->passes" mode="decimal" />
    </div>
    <div class="pair">
        <x-field
            form="coat"
            name="blend_mm"
            label="Edge runs out over"
            :unit="Format::unit('mm')"
            :value="$state->coat->blend > 0 ? Format::field($state->coat->blend) : ''"
        /><x-field
            form="coat"
            name="minutes"
            label="Work a pass"
            unit="min"
            :value="$state->coat->minutes === null ? '' : Decimal::trimmed($state->coat->minutes, 1)"
            mode="decimal"
        />
    </div>
 @if ($coat['way'] !== null)
        <x-way form="coat" name="way" :choice="$coat['way']" :none="$coat['prefers']" />
    @endif
 @if ($coat['pieces'] !== null)
        <div class="pair">
            @foreach ([
                    'stones' => ['Real stones', Format::unit('mm')],
                    'stripe' => ['In stripes of', Format::unit('mm')],
                    'piece' => ['A casting, wide × high', Format::unit('mm')],
                    'joint' => ['Joints, real', Format::unit('m')]
                ]
                as $key => [$label, $unit])
                @if (in_array($key, $coat['pieces']['asks'], true))
                    <x-field
                        form="coat"
                        :name="'pieces[' . $key . ']'"
                        :at="'pieces/' . $key"
                        :label="$label"
                        :unit="$unit"
                        :value="$coat['pieces']['values'][$key]"
                    />
                @endif
            @endforeach
        </div>
    @endif
    <x-field form="coat" name="name" label="Its own name" :value="$state->coat->name" />
    @if (in_array($recipe->family->value, ['paint', 'cover', 'fibre', 'growth', 'plaster'], true))
        <div class="pair colour-pair">
            <x-choice
                form="coat"
                name="colour"
                label="Colour"
                :options="['' => 'none yet'] + array_column(array_map(fn($c) => [$c->uid, $c->name], $colours), 1, 0)"
                :value="$state->coat->colour ?? ''"
            /><a class="link" href="{{ route('palette.show', $layout) }}">Palette</a>
        </div>
    @endif
    <div class="acts">
        <button class="btn quiet">Set</button><button class="link" name="by" value="-1">Earlier</button
        ><button class="link" name="by" value="1">Later</button><button class="link" form="drop-coat">Remove</button
        ><a class="link" href="{{ $here('coats.show', ['zone' => $zone->uid, 'edit' => 'zone']) }}">Change the zone</a>
    </div>
</form>
<form id="drop-coat" method="post" action="{{ $here('coats.destroy', [$zone->uid, $state->coat->uid]) }}">
    @csrf
    @seen
    @method('DELETE')
</form>
