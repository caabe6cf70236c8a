@use('IdleRidge\Core\Measure\Decimal')
@use('IdleRidge\Core\Measure\Format')
<div class="cut-hold">
    {!! $board['drawing']->toHtml() !!}
    @if ($board['frame']->spliced !== [])
        <p class="small">Longer than the timber, so spliced: {{ implode(', ', $board['frame']->spliced) }}.</p>
    @endif
    @include('cuts.findings')
    <p class="carried"><b>{{ $board['lift'] }}</b> {{ $board['opening'] }}</p>
    <div class="two">
        <table class="layers">
            <thead>
                <tr>
                    <th scope="col">What it weighs</th>
                    <th scope="col">dry, {{ Format::unit('kg') }}</th>
                    <th scope="col">wet</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($board['weight']->parts as $part)
                    <tr>
                        <th scope="row">{{ ucfirst($part['part']) }}</th>
                        <td>{{ Format::field($part['dry'], 'kg') }}</td>
                        <td>{{ Format::field($part['wet'], 'kg') }}</td>
                    </tr>
                @endforeach
                <tr class="sum">
                    <th scope="row">All told</th>
                    <td>{{ Format::field($board['weight']->dry(), 'kg', 1) }}</td>
                    <td>{{ Format::field($board['weight']->wet(), 'kg', 1) }}</td>
                </tr>
            </tbody>
        </table>
        <table class="layers">
            <thead>
                <tr>
                    <th scope="col">Packed up from the board</th>
                    <th scope="col">high</th>
                    <th scope="col">with</th>
                    <th scope="col">left</th>
                </tr>
            </thead>
            <tbody>
                @forelse ($board['packings'] as $one)
                    <tr>
                        <th scope="row">{{ $one['name'] }}</th>
                        <td>{{ Format::cell($one['packing']->height, 1) }}</td>
                        <td>{{ $one['packing']->words() }}</td>
                        <td>
                            {{
                                $one['packing']->rest >= 0.05
                                    ? Format::cell($one['packing']->rest, 1)
                                    : '–'
                            }}
                        </td>
                    </tr>
                @empty
                    <tr>
                        <td colspan="4" class="word">No pad and no deck on this board.</td>
                    </tr>
                @endforelse
            </tbody>
        </table>
    </div>
    @if ($board['isFoam'] || $board['stands'] !== [])
        <h3>Foam that stands already</h3>
        @forelse ($board['stands'] as $words)
            <p class="small">{{ $words }}</p>
        @empty
            <p class="small soft">
                None is noted: every layer is cut whole. What is glued on already is left out of pieces, sheets and cost.
            </p>
        @endforelse
        <form class="stands" method="post" action="{{ route('sections.foam', [$layout, $section->uid]) }}">
            @csrf
            @seen
            @method('PATCH')
            <input type="hidden" name="form" value="stands">
            <x-field
                form="stands"
                name="foam_stands"
                label="Blocks on the board’s top"
                :value="$board['typed']"
                hint="from the left, from the front, wide, deep, high; the next after a semicolon"
            />
            <button class="btn quiet">Cut round it</button>
        </form>
    @endif
</div>
