@props(['for', 'what'])
<input
    {{ $attributes->class('filter') }}
    type="search"
    data-filter="{{ $for }}"
    placeholder="filter"
    aria-label="Only {{ $what }} with these words"
    autocomplete="off"
>
