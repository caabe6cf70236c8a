@props(['id' => 'f-paper', 'label' => 'Paper'])
<div class="field">
    <label for="{{ $id }}">{{ $label }}</label
    ><select id="{{ $id }}" name="paper">
        <option value="a4">A4</option>
        <option value="a3">A3</option>
        <option value="letter">Letter</option>
    </select>
</div>
