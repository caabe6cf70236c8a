<x-page :title="$section->name.', land'" :layout="$layout" :section="$section" current="land">
<div class="frame">
    <nav class="rail" aria-label="Sections">
        @foreach ($rail as $board)
            <a href="{{ route('land.show', [$layout, $board['uid']]) }}" @if ($board['current']) aria-current="true" @endif>{!! $board['thumb']->toHtml() !!}<span class="nm">{{ $board['name'] }}</span><span class="st st-bare">bare</span></a>
        @endforeach
        <a class="all" href="{{ route('layouts.settings', $layout) }}">Add a section</a>
    </nav>
    @include('land.views')
</div>
</x-page>
