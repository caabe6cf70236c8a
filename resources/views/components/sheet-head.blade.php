@props(['layout', 'on', 'next' => null])
{{-- Every page of the Layout sheet begins alike. --}}
<div class="title">
    <h1>{{ $layout->name }}</h1>
    <x-tabs
        :layout="$layout"
        :on="$on"
        label="About the whole layout"
        :tabs="[
            'layouts.settings' => 'Boards and rooms',
            'whole.show' => 'Whole layout',
            'carrying.show' => 'Carrying',
            'formations.show' => 'Formations',
            'curves.show' => 'Curves and sizes',
            'spans.show' => 'Spans',
            'history.show' => 'History',
        ]"
    />
    @if ($next)
        <x-undo :layout="$layout" :next="$next" look="btn quiet" class="end" />
    @endif
</div>
