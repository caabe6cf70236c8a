<header><h2>{{ $findings === [] ? 'Nothing picked' : 'Findings' }}</h2></header>
@if ($findings === [])
    <p class="in soft">Touch a spot, a line or a run on the plan to see its values. Every grip has a typed value too.</p>
@endif
<ol class="findings">
    @foreach ($findings as $f)
        <li><i class="tab-no num">{{ $f['number'] }}</i><div><b>{{ $f['finding']->subject }}</b> <span class="num">{{ $f['where'] }}</span>
            <div class="figs">@foreach ($f['finding']->figures as $name => $figure)<span>{{ str_replace('_', ' ', $name) }} <x-figure :figure="$figure" /> {{ $figure->unit }}</span> @endforeach</div>
            <p>{{ $f['finding']->why }} {{ $f['finding']->do }}</p></div></li>
    @endforeach
</ol>
