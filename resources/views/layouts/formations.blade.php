@use('IdleRidge\Core\Track\RunKind')
<x-page :title="$layout->name . ', formations'" :layout="$layout" :section="$first" current="settings">
    <main class="page wide" id="land">
        <x-sheet-head :layout="$layout" on="formations.show" />
        <x-said />
        <div class="desk">
            <div class="cards">
                @forelse ($cards as $card)
                    <section @class(['sheet', 'formation', 'picked' => $card['picked']])>
                        <header>
                            <h2>
                                <a
                                    href="{{ route('formations.show', [$layout, 'of' => $card['uid']]) }}"
                                    @if ($card['picked']) aria-current="true" @endif
                                    >{{ $card['names'] }}</a>
                            </h2>
                            <span class="meta">{{ $card['kind'] }}, cut across, looking along rising stations</span>
                        </header>
                        {!! $card['drawing']->toHtml() !!}
                        <div class="in"><x-facts :facts="$card['facts']" /></div>
                        @if ($card['hangs'] !== '') <p class="in small soft">{{ $card['hangs'] }}</p> @endif
                    </section>
                @empty
                    <section class="sheet">
                        <header><h2>No formation yet</h2></header>
                        <p class="in soft">
                            Draw a run or a road on Land: it lies on a formation that fits the scale, and stands here then.
                        </p>
                    </section>
                @endforelse
            </div>
            @if ($picked !== null)
                <div class="side">
                    <section class="sheet">
                        <header><h2>Change it</h2></header>
                        <form class="in stack" method="post" action="{{ route('formations.update', $layout) }}">
                            @csrf
                            @method('PATCH')
                            @seen
                            <input type="hidden" name="of" value="{{ $picked->runs[0]->uid }}">
                            <x-formation :profile="$picked->profile" :road="$picked->kind === RunKind::Road" />
                            <fieldset class="stack lies-on">
                                <legend>{{ $picked->kind === RunKind::Road ? 'Roads' : 'Tracks' }} that lie on it then</legend>
                                @php($old = old('of') === null ? null : (array) old('runs'))
                                @foreach ($runs as $run)
                                    <label class="check"
                                        ><input
                                            type="checkbox"
                                            name="runs[]"
                                            value="{{ $run['uid'] }}"
                                            @checked($old === null ? $run['on'] : in_array($run['uid'], $old, true))
                                        > {{ $run['name'] }}</label>
                                @endforeach
                                @if ($errors->has('runs')) <p class="fault">{{ $errors->first('runs') }}</p> @endif
                            </fieldset>
                            <p class="small soft">What is not ticked keeps the formation it has.</p>
                            <div class="acts"><button class="btn">Save</button></div>
                        </form>
                    </section>
                </div>
            @endif
        </div>
    </main>
</x-page>
