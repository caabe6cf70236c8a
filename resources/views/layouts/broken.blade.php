{{-- What can still be done with a layout that cannot be read. --}}
@props(['layout', 'faults', 'undo', 'seen'])
@foreach (array_slice($faults, 0, 5) as $fault)
    <p class="fault">{{ trim($fault->place . ': ' . $fault->getMessage(), ': ') }}</p>
@endforeach
@if (count($faults) > 5)
    <p class="soft small">And {{ count($faults) - 5 }} more like these.</p>
@endif
<div class="acts">
    @if ($undo !== null)
        <form method="post" action="{{ route('layouts.undo', $layout) }}">
            @csrf
            <input type="hidden" name="seen" value="{{ $seen }}"><button class="btn">Undo the last step</button>
        </form>
    @endif
    <a class="btn quiet" href="{{ route('layouts.rows', $layout) }}">Export as it is</a>
    <form class="end" method="post" action="{{ route('layouts.destroy', $layout) }}">
        @csrf
        @method('DELETE')
        <button class="link">Put away</button>
    </form>
</div>
@if ($undo !== null)
    <p class="soft small">The last step was “{{ $undo }}”.</p>
@endif
