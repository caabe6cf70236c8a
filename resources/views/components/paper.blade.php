<div class="field">
    <label for="f-paper">Paper</label
    ><select id="f-paper" name="paper">
        <option value="a4">A4</option>
        <option value="a3">A3</option>
        <option value="letter">Letter</option>
    </select>
</div>
