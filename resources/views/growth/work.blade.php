@if ($work === null)
    <form class="in" method="post" action="{{ route($to . '.zone', [$layout, $section->uid, $uid]) }}">
        @csrf
        @seen
        <button class="btn quiet">Put it among the work</button>
        @isset($brings)
            <span class="soft">{{ $brings }}</span>
        @endisset
    </form>
@else
    <p class="in">
        Its work is the zone <a href="{{ route('coats.show', [$layout, $section->uid, 'zone' => $work->uid]) }}">{{ $work->name }}</a>.
    </p>
@endif
<form class="in" method="post" action="{{ route($to . '.destroy', [$layout, $section->uid, $uid]) }}">
    @csrf
    @method('delete')
    @seen
    <button class="link">{{ $away }}</button>
</form>
