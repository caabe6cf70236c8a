@props(['layout', 'boards', 'route', 'pinned' => []])
<nav class="rail" aria-label="Sections">
    @foreach ($boards as $board)
        <a href="{{ route($route, [$layout, $board['uid']]) }}" @if ($board['current']) aria-current="true" @endif
            >{!! $board['thumb']->toHtml() !!}<span class="nm">{{ $board['name'] }}</span
            ><x-state :state="$board['state']" :word="$board['word']"
        /></a>
    @endforeach
    @if ($pinned !== [])
        <div class="pinned">
            @foreach ($pinned as $photo)
                <a href="{{ route('photos.show', [$layout, $photo->uid]) }}">
                    <x-shot :layout="$layout" :photo="$photo" told />{{ $photo->caption }}
                </a>
            @endforeach
        </div>
    @endif
    <a class="all" href="{{ route('layouts.settings', $layout) }}">Add a section</a>
</nav>
