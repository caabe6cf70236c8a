@props(['undo' => true])
@if (session('said'))
    <p class="said floating" role="status">
        {{ session('said') }}
        @if ($undo)
            <button class="link" form="page-undo">Undo</button>
        @endif
    </p>
@endif
