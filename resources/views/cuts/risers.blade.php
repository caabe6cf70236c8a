@use('IdleRidge\Core\Measure\Length')
@if ($risers['run'] === null)<p class="blank-words">Lay a run over this board and its risers stand here.</p>
@else
<div class="cut-hold">{!! $risers['drawing']->toHtml() !!}
    @if (count($risers['runs']) > 1)<p class="small">Under @foreach ($risers['runs'] as $run)<a class="link" href="{{ route('cuts.show', [$layout, $section->uid, 'on' => 'risers', 'run' => $run->uid]) }}" @if ($run->uid === $risers['run']->uid) aria-current="true" @endif>{{ $run->name }}</a> @endforeach</p>@endif
    <table class="layers riser-table"><thead><tr><th scope="col">Riser</th><th scope="col">station</th><th scope="col">high</th><th scope="col">wide</th><th scope="col">top, °</th><th scope="col">of sheets</th></tr></thead><tbody>
        @foreach ($risers['risers'] as $k => $riser)<tr><th scope="row">{{ $k + 1 }}</th><td>{{ Length::decimal($riser->station, 0) }}</td><td>{{ Length::decimal($riser->height, 1) }}</td><td>{{ Length::decimal($riser->width(), 0) }}</td><td>{{ Length::decimal($riser->bevelDeg, 1) }}</td><td>{{ $riser->slices }} × {{ Length::decimal($cuts->first()->thickness, 1) }}{{ $riser->rest >= 0.05 ? ' + '.Length::decimal($riser->rest, 1) : '' }}</td></tr>@endforeach
    </tbody></table>
    <p class="small take"><a class="link" href="{{ route('cuts.take', [$layout, $section->uid, 'risers', 'run' => $risers['run']->uid]) }}" download>templates of the risers, PDF</a></p>
</div>
@endif
