@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
<div class="pair">
    <x-field
        name="foot_mm"
        at="foot_mm"
        label="Base to each side"
        :unit="$mm"
        :value="isset($feature->figures['foot_mm']) ? Format::field($feature->figures['foot_mm']) : ''"
    />
    <x-field
        name="foot_deg"
        at="foot_deg"
        label="or sides at"
        unit="°"
        :value="isset($feature->figures['foot_deg']) ? Decimal::trimmed($feature->figures['foot_deg'], 1) : ''"
        mode="decimal"
    />
</div>
@if ($feature->kind->isSpot() && $shape)
    <p class="small">
        @foreach ($shape as $row)
            {{ $row['before'] }}
            <x-figure :figure="$row['figure']" />
            {{ $row['figure']->unit() }}{{ $row['after'] }}
        @endforeach
    </p>
@endif
<p class="soft small">{{
    $feature->hasFoot()
        ? 'It stands on what lies there.'
        : 'With a base or a slope it stands on what lies there; without, it shapes the ground around it.'
}}</p>
