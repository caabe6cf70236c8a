@props(['choice', 'name', 'form', 'none'])
@php($at = fn(string $field): string => $name . '[' . $field . ']')
<div class="way" x-data="way" x-on:change="pick">
    <x-choice
        :form="$form"
        :name="$at('order')"
        :label="$choice['label']"
        :options="['' => $none] + array_map(fn($o) => $o['name'], $choice['orders'])"
        :value="$choice['order']"
    />
    @foreach ($choice['orders'] as $key => $order)
        <p class="soft small" data-ways="{{ $key }}">For {{ $order['suits'] }}. Beware: {{ implode('; ', $order['wrong']) }}.</p>
    @endforeach
    @if ($choice['wets'] !== [])
        <div class="pair" data-ways="{{ implode(' ', $choice['wets']) }}">
            <x-choice
                :form="$form"
                :name="$at('wetting')"
                label="Wetted with"
                :options="$choice['wettings']"
                :value="$choice['wetting']"
            /><x-field :form="$form" :name="$at('strength')" label="Alcohol" unit="%" :value="$choice['strength']" mode="numeric" />
        </div>
    @endif
    @if ($choice['glued'] !== [])
        <div class="pair" data-ways="{{ implode(' ', $choice['glued']) }}">
            <x-choice
                :form="$form"
                :name="$at('glue')"
                label="Held by"
                :options="$choice['glues']"
                :value="$choice['glue']"
            /><x-field :form="$form" :name="$at('ratio')" label="Glue to water" :value="$choice['ratio']" />
        </div>
    @endif
</div>
