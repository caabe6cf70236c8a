<ul class="fault-list">
    @foreach ($faults as $place => $messages) @foreach ($messages as $message)
        <li data-for="{{ $place }}">{{ $message }}</li>
    @endforeach @endforeach
</ul>
