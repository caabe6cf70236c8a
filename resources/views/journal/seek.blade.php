<form class="seek" method="get" action="{{ route('journal.show', $layout) }}" role="search">
    <div class="seek-row">
        <label class="grow"
            >Search
            <input type="search" name="words" value="{{ $by['words'] }}" placeholder="words, material, lot, who …" autocomplete="off"
        ></label>
        <label
            >Section
            <select name="section">
                <option value="">all</option>
                @foreach ($sections as $uid => $name)
                    <option value="{{ $uid }}" @selected($by['section'] === $uid)>{{ $name }}</option>
                @endforeach
            </select></label
        >
        <label class="check"><input type="checkbox" name="picture" value="1" @checked($by['picture'] !== '')> with a picture</label>
        <button class="btn quiet">Find</button>
    </div>
    <details @if (array_diff_key($looked, ['words' => 1, 'section' => 1, 'picture' => 1]) !== []) open @endif>
        <summary>By zone, coat, material, lot, day</summary>
        <div class="seek-row">
            @foreach (['zone' => 'Zone', 'coat' => 'Coat', 'material' => 'Material', 'lot' => 'Lot or pot'] as $field => $label)
                <label>{{ $label }} <input type="text" name="{{ $field }}" value="{{ $by[$field] }}" autocomplete="off"></label>
            @endforeach
            <label>From <input type="date" name="from" value="{{ $by['from'] }}"></label>
            <label>to <input type="date" name="to" value="{{ $by['to'] }}"></label>
            <label
                >Judged
                <select name="verdict">
                    <option value="">or not</option>
                    @foreach ($verdicts as $verdict)
                        <option @selected($by['verdict'] === $verdict)>{{ $verdict }}</option>
                    @endforeach
                </select></label
            >
        </div>
    </details>
</form>
