@use('IdleRidge\Core\Measure\Format')
@use('IdleRidge\Core\Plan\DryingState')
@php($here = fn(string $name, array $more = []): string => route($name, [$layout, $section->uid, ...$more]))
<x-page :title="$section->name . ', coats'" :layout="$layout" :section="$section" current="coats">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="coats.show" :pinned="$pinned" />
        <main class="page coats" id="land">
            <div class="title">
                <h1>{{ $section->name }}</h1>
                <div class="sub">
                    coats in {{ count($rows) }} {{ count($rows) === 1 ? 'zone' : 'zones' }},<br>
                    areas are true surface
                </div>
                <x-facts :facts="$facts" />
            </div>
            <x-said />
            <div class="coats-grid">
                <section class="sheet zones-sheet">
                    <header>
                        <h2>Zones</h2>
                        <a class="link end" href="{{ $here('coats.show', ['edit' => 'new']) }}">Add</a>
                    </header>
                    <ol class="zone-list">
                        @forelse ($rows as $row)
                            <li>
                                <a
                                    class="zone-row"
                                    href="{{ $here('coats.show', ['zone' => $row['zone']->uid]) }}"
                                    @if ($row['current']) aria-current="true" @endif
                                    title="{{ $row['sentence'] }}"
                                    >{!! $row['thumb']->toHtml() !!}<span
                                        ><b>{{ $row['zone']->name }}</b><span class="num">{{ $row['area']->text() }}</span>
                                        <small>{{ $row['area']->unit() }}</small></span
                                    ></a
                                >
                            </li>
                        @empty
                            <li class="in soft small">None yet.</li>
                        @endforelse
                    </ol>
                    @if ($bare !== null)
                        <p class="in soft small">No zone on <x-figure :figure="$bare" /> {{ $bare->unit() }} of land.</p>
                    @endif
                    @if ($over !== [])
                        <p class="in soft small">
                            Over {{ $zone->name }}:
                            @foreach ($over as $one)
                                {{ $one['name'] }}
                                <x-figure :figure="$one['figure']" />
                                {{ $one['figure']->unit() }}{{ $loop->last ? '.' : ',' }}
                            @endforeach
                        </p>
                    @endif
                </section>
                <section class="sheet cores-sheet">
                    <header>
                        <h2>Core samples</h2>
                        <span class="meta links">
                            @if ($zone)
                                <a class="link" href="{{ $here('schools.show', ['zone' => $zone->uid]) }}">Schools</a>
                            @endif
                            <a class="link" href="{{ route('library.show', $layout) }}">Recipes</a>
                            <a class="link" href="{{ route('palette.show', $layout) }}">Palette</a>
                            <a class="link" href="{{ route('rules.show', $layout) }}">Rule book</a></span
                        >
                        @if ($zone)
                            <form class="end add-coat" method="post" action="{{ $here('coats.store', [$zone->uid]) }}">
                                @csrf
                                @seen
                                <label class="small" for="f-recipe">On {{ $zone->name }}</label
                                ><select id="f-recipe" name="recipe">
                                    @foreach ($library->buildUps as $key => $up)
                                        <option value="all:{{ $key }}">{{ $up['name'] }}</option>
                                    @endforeach
                                    @foreach ($library->recipes as $recipe)
                                        <option value="{{ $recipe->id }}">{{ $recipe->cure->name }}</option>
                                    @endforeach</select
                                ><button class="btn quiet">Add</button>
                            </form>
                        @endif
                    </header>
                    @if ($cores)
                        {!! $cores->toHtml() !!}
                    @else
                        <p class="blank-words">
                            A zone is a part of the board that gets the same coats: draw one on Land with the tool <b>Zone</b>, or make one
                            by rule here at the right. Each then stands here as a core sample, foam below and coats upward.
                        </p>
                    @endif
                </section>
                <section class="sheet coat-sheet inspector">
                    @if ($mode === 'new' || $mode === 'zone')
                        @include('coats.zone', ['edited' => $mode === 'zone' ? $zone : null])
                    @elseif ($coat)
                        @include('coats.coat')
                    @else
                        <header>
                            <h2>{{ $zone->name }}</h2>
                            <a class="link end" href="{{ $here('coats.show', ['zone' => $zone->uid, 'edit' => 'zone']) }}"
                                >Change the zone</a
                            >
                        </header>
                        <p class="in soft">
                            No coats yet. Choose a build-up or a single recipe above the core samples and touch <b>Add</b>.
                        </p>
                    @endif
                </section>
                <section class="sheet take-sheet">
                    <header>
                        <h2>Material take-off</h2>
                        <span class="meta">all coats still to lay here, waste included; what has to lie ready</span
                        ><a class="link end" href="{{ route('takeoff.show', [$layout, 'section' => $section->uid]) }}" download>CSV</a>
                    </header>
                    <div class="in take-cols" tabindex="0" role="group" aria-label="Material take-off">
                        @forelse (array_chunk($takeOff, max(1, (int) ceil(count($takeOff) / 2))) as $half)
                            <table class="take">
                                <thead>
                                    <tr>
                                        <th scope="col">material</th>
                                        <th scope="col" colspan="2">need</th>
                                    </tr>
                                </thead>
                                <tbody>
                                    @foreach ($half as $item)
                                        @php([$shown, $unit] = \IdleRidge\Core\Coats\MaterialAmount::shown($item['at_hand'], $item['unit']))
                                        <tr>
                                            <th scope="row">
                                                {{ $item['material'] }} <span>{{ Str::limit(implode(', ', $item['for']), 26) }}</span>
                                            </th>
                                            <td class="num">{{ $shown }}</td>
                                            <td class="u">{{ $unit }}</td>
                                        </tr>
                                    @endforeach
                                </tbody>
                            </table>
                        @empty
                            <p class="soft">Nothing is left to lay here.</p>
                        @endforelse
                    </div>
                </section>
            </div>
        </main>
    </div>
</x-page>
