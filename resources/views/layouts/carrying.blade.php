@use('IdleRidge\Core\Measure\Format')
@php($in = Format::unit('mm'))
@php($side = fn(?float $mm): string => $mm === null ? '' : Format::field($mm))
<x-page :title="$layout->name . ', carrying'" :layout="$layout" :section="$first" current="settings">
    <main class="page wide" id="land">
        <x-sheet-head :layout="$layout" on="carrying.show" />
        <x-said />
        <div class="desk">
            <div class="cards">
                <section class="sheet">
                    <header>
                        <h2>As they are carried</h2>
                        <span class="meta">level on their frames, with all that stands on them</span>
                    </header>
                    @if ($rows === [])
                        <p class="in soft">No board yet; what would go in is told below.</p>
                    @else
                        <div class="scroll" tabindex="0" role="region" aria-label="Boards, one a row">
                            <table class="whole folds">
                                <thead>
                                    <tr>
                                        <th scope="col">Board</th>
                                        <th scope="col" class="n">Takes</th>
                                        <th scope="col" class="n">Dry, wet</th>
                                        <th scope="col">Opening</th>
                                        <th scope="col">Load space</th>
                                    </tr>
                                </thead>
                                <tbody>
                                    @foreach ($rows as $row)
                                        <tr>
                                            <th scope="row">
                                                <a href="{{ route('cuts.show', [$layout, $row['uid'], 'on' => 'board']) }}"
                                                    >{{ $row['name'] }}</a>
                                            </th>
                                            <td class="n num" data-label="takes">{{ $row['size'] }}</td>
                                            <td class="n" data-label="dry, wet">
                                                <span class="num">{{ $row['dry'] }}</span>, <span class="num">{{ $row['wet'] }}</span>
                                                <span class="soft"
                                                    >{{ $row['people'] === 1 ? 'one person' : $row['people'] . ' people' }}</span>
                                            </td>
                                            <td data-label="opening">
                                                @if ($row['passes'] === null)
                                                    <span class="soft">none set</span>
                                                @elseif ($row['passes']['fits'])
                                                    <span class="good">goes through</span>
                                                @else
                                                    <span class="bad">{{ Format::length($row['passes']['short']) }} too large</span>
                                                @endif
                                            </td>
                                            <td data-label="load space">
                                                @if ($plan === null)
                                                    <span class="soft">none set</span>
                                                @elseif ($row['loaded'] !== null)
                                                    {{ count($loads) > 1 ? 'load ' . $row['loaded']['load'] . ', ' : '' }}shelf {{
                                                        $row['loaded']['shelf']
                                                    }}
                                                @else
                                                    <span class="bad">{{ $row['lacks'] }}</span>
                                                @endif
                                            </td>
                                        </tr>
                                    @endforeach
                                </tbody>
                            </table>
                        </div>
                    @endif
                </section>
                @if ($plan !== null && $plan->boards !== [])
                    @foreach ($loads as $load)
                        <section class="sheet load">
                            <header>
                                <h2>{{ count($loads) > 1 ? 'Load ' . $load['number'] . ' of ' . count($loads) : 'All in one load' }}</h2>
                                <span class="meta">{{ $load['weight'] }} wet; what is loaded first lies lowest</span>
                            </header>
                            <div class="in load-views">
                                @foreach ($load['shelves'] as $k => $shelf)
                                    <figure>{!! $shelf->toHtml() !!}<figcaption>shelf {{ $k + 1 }}, from above</figcaption></figure>
                                @endforeach
                                <figure>{!! $load['side']->toHtml() !!}<figcaption>from the side</figcaption></figure>
                            </div>
                        </section>
                    @endforeach
                @endif
                <section class="sheet">
                    <header>
                        <h2>What to build next</h2>
                        <span class="meta">as high as the highest here, {{ $high }}, with land as heavy</span>
                        <form class="end next-size" method="get" action="{{ route('carrying.show', $layout) }}">
                            <x-field name="width" :label="'Width ' . $in" :value="$typed['width']" />
                            <x-field name="depth" :label="'Depth ' . $in" :value="$typed['depth']" />
                            <button class="btn quiet">Try it</button>
                        </form>
                    </header>
                    <table class="whole">
                        <thead>
                            <tr>
                                <th scope="col">A board of</th>
                                <th scope="col" class="n">would weigh</th>
                                <th scope="col">Opening</th>
                                <th scope="col" class="n">go into one load</th>
                            </tr>
                        </thead>
                        <tbody>
                            @foreach ($sizes as $k => $size)
                                <tr @class(['tried' => $asked && $k === 0])>
                                    <th scope="row" class="num">{{ $size['size'] }}</th>
                                    <td class="n">
                                        <span class="num">{{ $size['weight'] }}</span>
                                        @if ($size['people'] > 1) <span class="soft">{{ $size['people'] }} people</span> @endif
                                    </td>
                                    <td>
                                        @if ($size['passes'] === null) <span class="soft">none set</span>
                                        @elseif ($size['passes']['fits']) <span class="good">goes through</span>
                                        @else <span class="bad">{{ Format::length($size['passes']['short']) }} too large</span>
                                        @endif
                                    </td>
                                    <td class="n num">{{ ['' => '–', '0' => 'none'][(string) $size['most']] ?? $size['most'] }}</td>
                                </tr>
                            @endforeach
                        </tbody>
                    </table>
                </section>
            </div>
            <div class="side">
                <section class="sheet">
                    <header><h2>What they have to pass</h2></header>
                    <form class="in stack" method="post" action="{{ route('layouts.update', $layout) }}">
                        @csrf
                        @method('PATCH')
                        @seen
                        <input type="hidden" name="form" value="carrying">
                        <input type="hidden" name="back" value="carrying">
                        <h3>Opening</h3>
                        <div class="pair">
                            @foreach (['opening_width_mm' => ['wide', 0], 'opening_height_mm' => ['high', 1]] as $key => [$word, $n])
                                <x-field
                                    form="carrying"
                                    name="cuts[board][{{ $key }}]"
                                    at="cuts/board/{{ $key }}"
                                    :label="$word"
                                    :unit="$in"
                                    :value="$side($build->opening[$n] ?? null)"
                                />
                            @endforeach
                        </div>
                        <h3>Load space</h3>
                        <div class="pair three">
                            @foreach ([
                                'load_length_mm' => ['long', $build->load?->length],
                                'load_width_mm' => ['wide', $build->load?->width],
                                'load_height_mm' => ['high', $build->load?->height],
                            ] as $key => [$word, $mm])
                                <x-field
                                    form="carrying"
                                    name="cuts[board][{{ $key }}]"
                                    at="cuts/board/{{ $key }}"
                                    :label="$word"
                                    :unit="$in"
                                    :value="$side($mm)"
                                />
                            @endforeach
                        </div>
                        <div class="pair">
                            <x-field
                                form="carrying"
                                name="cuts[board][load_limit_kg]"
                                at="cuts/board/load_limit_kg"
                                label="carries at most"
                                :unit="Format::unit('kg')"
                                :value="$build->load?->limit === null ? '' : Format::field($build->load->limit, 'kg', 1)"
                            />
                            <x-field
                                form="carrying"
                                name="cuts[board][lift_kg]"
                                at="cuts/board/lift_kg"
                                label="One lifts"
                                :unit="Format::unit('kg')"
                                :value="Format::field($build->lift, 'kg', 1)"
                            />
                        </div>
                        <p class="small soft">
                            Leave all of a space empty for none. Boards lie level, on shelves as a rack has them.
                        </p>
                        <div class="acts"><button class="btn">Save</button></div>
                    </form>
                </section>
            </div>
        </div>
    </main>
</x-page>
