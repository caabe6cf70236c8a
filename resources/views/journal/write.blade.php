{{-- A note and a picture: of their own, or added to an entry. --}}
<section class="sheet">
    <header><h2>{{ $about === null ? 'Write a note' : 'Add to it' }}</h2></header>
    <form class="in stack" method="post" action="{{ route('journal.note', $layout) }}">
        @csrf
        @seen
        <input type="hidden" name="form" value="note">
        @if ($about === null)
            <x-choice form="note" name="section" id="f-note-section" label="Section" :options="$at" />
        @else
            <input type="hidden" name="about" value="{{ $about }}">
        @endif
        <div class="field">
            <label for="f-note">{{ $about === null ? 'What you did or saw' : 'What you saw, or what has to be put right' }}</label>
            <textarea id="f-note" name="note" rows="3" @error('note') aria-invalid="true" aria-describedby="f-note-fault" @enderror
                >{{ old('form') === 'note' ? \App\Http\OldInput::text('note', '') : '' }}</textarea
            >
            @error('note')
                <p class="fault" id="f-note-fault">{{ $message }}</p>
            @enderror
        </div>
        @if ($about !== null)
            <fieldset class="judge">
                <legend>Would you do it again?</legend>
                <label class="check"><input type="radio" name="verdict" value="" checked> do not know yet</label>
                <label class="check"><input type="radio" name="verdict" value="would do again"> would do again</label>
                <label class="check"><input type="radio" name="verdict" value="would not"> would not</label>
            </fieldset>
        @endif
        <div class="acts"><button class="btn">Write it down</button></div>
    </form>
    <form class="in stack taking" method="post" action="{{ route('photos.store', $layout) }}" enctype="multipart/form-data">
        @csrf
        @seen
        <input type="hidden" name="form" value="photo">
        @if ($about === null)
            <x-choice form="photo" name="section" id="f-photo-section" label="Section" :options="$at" />
        @else
            <input type="hidden" name="entry" value="{{ $about }}">
        @endif
        <div class="field">
            <label for="f-picture">Picture <small>from the camera or a file, up to 20 MB</small></label>
            <input id="f-picture" type="file" name="picture" accept="image/*" @error('picture') aria-invalid="true" @enderror>
            @error('picture')
                <p class="fault">{{ $message }}</p>
            @enderror
        </div>
        <x-field form="photo" name="caption" label="What it shows" />
        <div class="acts"><button class="btn quiet">Put it in the journal</button></div>
    </form>
</section>
