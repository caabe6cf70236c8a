@if ($page->classes !== [])
<header><h2>{{ ['slope' => 'How steep', 'damp' => 'Where it is damp', 'sun' => 'Which way it faces'][$page->tint] }}</h2><span class="meta end">true surface</span></header>
<ul class="in classes">@foreach ($page->classes as $k => $class)<li><svg class="swatch" viewBox="0 0 14 14" aria-hidden="true"><rect class="tint-{{ $page->tint }}-{{ $k }}" width="14" height="14"/></svg>{{ $class->name }}<span class="num">{{ number_format($class->area / 100, 0, '.', ' ') }} cm²</span></li>@endforeach</ul>
@endif
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
<p class="in take"><span class="soft">To take along:</span> @foreach (['csv' => 'track as CSV', 'asc' => 'heights as ASCII grid', 'geojson' => 'contours as GeoJSON', 'png' => 'relief as PNG'] as $form => $word)<a class="link" href="{{ $here('land.take', [$form]) }}" download>{{ $word }}</a> @endforeach</p>
